import { NoAnswer } from '../ask/question'
import type { JobGiven } from '../job-plan/job-given'
import { STARTER_KIT } from '../job-plan/starter-kit'
import type { JobAsked } from './job-asked'
import { planKnow } from './know/know'
import { givenOfJob, wantsStill } from './mends/whole-of'

/**
 * A whole job as the plan takes it.
 * @throws NoAnswer where a stored job has no mend that can be planned
 */
export function jobGiven({ kit = STARTER_KIT, stored, given }: JobAsked): JobGiven {
  if (given) return { ...given, kit }
  if (!stored) throw new NoAnswer('neither a part with its mends nor a stored job was given')
  const found = givenOfJob(stored, kit, planKnow(stored).data)
  if (!found.hasMends) throw new NoAnswer(wantsStill(found.ready))
  return found.given
}

/** What a generator comes to, run without a pause. */
export function atOnce<T>(running: Generator<unknown, T>): T {
  for (;;) {
    const next = running.next()
    if (next.done) return next.value
  }
}
