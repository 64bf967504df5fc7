import { caution } from '../safety/cautions.table'
import type { JobPlanned } from './job-planned'
import type { Made, PlanStep } from './step'

/** A step as it is answered: without what only the inside of a plan asks of it. */
const shown = ({
  phase: _phase,
  bought: _bought,
  trade: _trade,
  usualMin: _usualMin,
  process: _process,
  filler: _filler,
  massG: _massG,
  easedA: _easedA,
  stage: _stage,
  ...step
}: Made): PlanStep => step

/** A plan as `job.plan` answers it. */
export function answered({ working, totals, mends, order, steps, asked: _asked, ...answer }: JobPlanned) {
  const { ofNewPct, rodsOut, ...rest } = totals
  return {
    answer: {
      ...answer,
      steps: steps.map(shown),
      // How the arc sees a joint is the set-up's affair: a code there reads like a groove where none is.
      mends: mends.map(({ joint: _joint, rodMm: _rodMm, tried: _tried, ...mend }) => mend),
      order: order.map(({ id, why }) => ({ id, why })),
      totals: { ...rest, rodsOut, ...(ofNewPct === null ? {} : { ofNewPct }) },
    },
    working,
    cautions: answer.cautions.map(caution),
  }
}
