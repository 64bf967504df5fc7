import { z } from 'zod'
import { scopeSchema } from '#core/screens/message.schema'
import { secretSchema } from '#core/screens/secret'
import { db } from '~/db/database'

/** That this browser shares the shop with other screens: what they share, and what is known of them. */
const membershipSchema = z.object({
  secret: secretSchema,
  screen: z.string(),
  name: z.string(),
  scope: scopeSchema,
  /** Screens that were met, by their ids: their names and when they were last heard. */
  met: z.record(z.string(), z.object({ name: z.string(), at: z.number() })),
})
export type Membership = z.output<typeof membershipSchema>

const KEY = 'screens'

export async function readMembership(): Promise<Membership | null> {
  const parsed = membershipSchema.safeParse((await db.facts.get(KEY))?.value)
  return parsed.success ? parsed.data : null
}
export const writeMembership = (value: Membership) => db.facts.put({ key: KEY, value })
export const dropMembership = () => db.facts.delete(KEY)

/** Changes it as it is stored by then; nothing where it was given up meanwhile. */
export const changeMembership = (change: (now: Membership) => Membership) =>
  db.transaction('rw', db.facts, async () => {
    const now = await readMembership()
    if (now) await writeMembership(change(now))
  })
