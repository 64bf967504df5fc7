import { JOB_VERSION } from '../job/version'
import { SPEECH, type Message, type MessageOf } from './message.schema'
import { secretSchema } from './secret'

/** How long a link can be used. */
export const INVITE_MIN = 10

/** Which of the two shops of a browser a link leads into; their words stand in the link. */
export type LinkedShop = 'own' | 'made-up'

/** The link that another screen opens. What follows the # is never sent to a server. */
export const linkOf = (origin: string, secret: string, shop: LinkedShop): string =>
  `${origin}/join#${shop === 'made-up' ? 'm' : 'o'}.${secret}`

/** The secret that stands in a link, or after its #; null where there is none. */
export function secretIn(text: string): { secret: string; shop: LinkedShop } | null {
  const found = /(?:^|#)([mo])\.([\w-]+)$/.exec(text.trim())
  const secret = secretSchema.safeParse(found?.[2])
  return secret.success ? { secret: secret.data, shop: found![1] === 'm' ? 'made-up' : 'own' } : null
}

export interface Speaker {
  readonly screen: string
  readonly name: string
}
const speaking = (me: Speaker) => ({ screen: me.screen, name: me.name, speech: SPEECH, version: JOB_VERSION })

/** What the screen that opened a link says first. */
export const askToJoin = (me: Speaker): Message => ({ kind: 'ask', ...speaking(me) })

/** What the screen that made the link answers. */
export const offerTo = (
  me: Speaker,
  to: string,
  shop: Pick<MessageOf<'offer'>, 'secret' | 'jobs' | 'open' | 'all'>,
): Message => ({ kind: 'offer', ...speaking(me), to, ...shop })

/** Why two screens cannot share a shop, in words; null where they can. */
export function versionsDiffer({ speech, version }: { speech: number; version: number }): string | null {
  if (speech === SPEECH && version === JOB_VERSION) return null
  return (speech !== SPEECH ? speech > SPEECH : version > JOB_VERSION)
    ? 'the other screen has a newer version: load this page anew'
    : 'the other screen has an older version: load its page anew'
}
