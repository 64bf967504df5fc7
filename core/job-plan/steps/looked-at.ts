import type { Settled } from '../settled'
import { heatAlong } from '../timeline/heat'
import { startOf } from '../readied'
import { maker } from './maker'
import { LOOK_MIN } from './minutes.table'

/** What a part that is not mended takes: the looking, and nothing else. */
export function lookedAt({ job, mass, bodies, hazards }: Pick<Settled, 'job' | 'mass' | 'bodies' | 'hazards'>) {
  const [main] = bodies
  if (!main) throw new Error('a part without a body')
  const heat = heatAlong({ alloy: main.alloy, ...mass, warmG: mass.massG, startC: startOf(job) })
  const { steps, add } = maker(job.kit, heat, hazards, new Map())
  const { safetyCritical } = job.part
  add({
    code: 'take-in',
    kind: 'hand',
    trade: 'check',
    phase: 'open',
    minutes: LOOK_MIN,
    cautions: [...hazards, ...(safetyCritical === 'none' ? [] : [`safety-${safetyCritical}`])],
  })
  return steps
}
