import { askToJoin, INVITE_MIN, linkOf, offerTo, versionsDiffer, type Speaker } from '#core/screens/invite'
import { newSecret } from '#core/screens/secret'
import type { MessageOf } from '#core/screens/message.schema'
import { db } from '~/db/database'
import { WHICH_SHOP } from '~/db/which-shop'
import { openLine, type OpenLine } from './line'
import { askNetwork, isThisMachine } from './network'

/** As many of the open jobs as are offered by name. */
const OFFERED = 60
/** An asking screen asks again until it is answered. */
const ASK_MS = 1500

/** What there is to take here: the open jobs by name, the one last touched first. */
async function onOffer(): Promise<Pick<MessageOf<'offer'>, 'jobs' | 'open' | 'all'>> {
  const cards = await db.cards.orderBy('updatedAt').reverse().toArray()
  const open = cards.filter(card => card.handedAt === null)
  const jobs = [...open, ...cards.filter(card => card.handedAt !== null)]
    .slice(0, OFFERED)
    .map(({ id, title }) => ({ id, title }))
  return { jobs, open: open.length, all: cards.length }
}

export interface Invite {
  readonly link: string
  /** Only this machine itself can open it. */
  readonly isLocal: boolean
  readonly until: number
  /** The link leads nowhere from now on. */
  takeBack(): void
}

/**
 * Makes a link for one more screen, and answers whoever opens it, for some minutes or until it is taken back.
 * @param secret what the shop's screens share @param asked told of a screen that was answered
 * @throws Error where the page has no Web Crypto
 */
export async function invite(
  me: Speaker,
  secret: string,
  told: { asked: (screen: string) => void; differs: (why: string) => void; over: () => void },
): Promise<Invite> {
  const key = newSecret()
  const origin = (await askNetwork())?.network ?? location.origin
  const line: OpenLine = await openLine(key, {
    arrived: () => undefined,
    cut: () => undefined,
    heard: async ({ message }) => {
      if (message.kind !== 'ask') return
      const differs = versionsDiffer(message)
      if (differs) told.differs(differs)
      line.say(offerTo(me, message.screen, { secret, ...(await onOffer()) }))
      if (!differs) told.asked(message.screen)
    },
  })
  const close = () => {
    clearTimeout(timer)
    line.close()
  }
  const timer = setTimeout(() => {
    close()
    told.over()
  }, INVITE_MIN * 60_000)
  return {
    link: linkOf(origin, key, WHICH_SHOP),
    isLocal: isThisMachine(new URL(origin).hostname),
    until: Date.now() + INVITE_MIN * 60_000,
    takeBack: close,
  }
}

/** Asks over a link until it is answered. @returns what ends it */
export async function askOver(
  key: string,
  me: Speaker,
  told: { offered: (offer: MessageOf<'offer'>) => void; reach: (reach: boolean) => void },
): Promise<() => void> {
  let answered = false
  const ask = () => {
    if (!answered) line.say(askToJoin(me))
  }
  const line: OpenLine = await openLine(key, {
    arrived: () => {
      told.reach(true)
      ask()
    },
    cut: () => told.reach(false),
    heard: ({ message }) => {
      if (message.kind !== 'offer' || message.to !== me.screen || answered) return
      answered = true
      told.offered(message)
    },
  })
  const again = setInterval(ask, ASK_MS)
  return () => {
    clearInterval(again)
    line.close()
  }
}
