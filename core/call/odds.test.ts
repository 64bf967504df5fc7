import { PROCESS_IDS } from '../process/registry'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { judge, type JudgeInput } from './judge'

const clean: JudgeInput = {
  families: [{ id: 'cast-al-si-mg', probability: 1 }],
  soak: 'dry',
  earlierRepair: 'none',
  load: 'static',
  safetyCritical: 'none',
  wallMm: 6,
}
const chance = (more: Partial<JudgeInput>) => judge({ ...clean, ...more }).chancePct

/** All of these: common practice, no source. */
describe('odds by how it is mended', () => {
  it('a clean casting that never held oil lasts in well over nine of ten, welded', () =>
    expect(chance({ process: 'ac-tig' })).toBeGreaterThan(92))
  it('zinc rod under repeated load does not last like a weld', () => {
    expect(
      chance({ process: 'ac-tig', load: 'cyclic' }) - chance({ process: 'zinc-rod-braze', load: 'cyclic' }),
    ).toBeGreaterThan(40)
    expect(judge({ ...clean, process: 'zinc-rod-braze', load: 'cyclic' }).verdict).toBe('decline')
  })
  it('a gun loses more on oil than an arc with a rod', () => {
    const lost = (process: 'ac-tig' | 'mig-pulse') => chance({ process }) - chance({ process, soak: 'oil-soaked' })
    expect(lost('mig-pulse')).toBeGreaterThan(lost('ac-tig'))
  })
  it('the worst state of a hole counts once', () => {
    const cracked = chance({ state: ['cracked'] })
    expect(chance({ state: ['stripped', 'cracked', 'failed-insert'] })).toBe(cracked)
    expect(cracked).toBeLessThan(chance({ state: ['stripped'] }))
  })
  it('a heavy wall welded cold, and a filler that its ranking warns of, each take something', () => {
    expect(chance({ process: 'ac-tig', wallMm: 12, warmed: 'none' })).toBeLessThan(
      chance({ process: 'ac-tig', wallMm: 12, warmed: 'preheat' }),
    )
    expect(chance({ fillerVerdict: 'avoid' })).toBeLessThan(chance({ fillerVerdict: 'works' }))
  })
  it('this shop’s own record moves it by what it says', () =>
    expect(chance({ soak: 'oily', record: { points: -6, jobs: 20 } })).toBeCloseTo(chance({ soak: 'oily' }) - 6, 9))
  it('whatever is said, the parts add up to the chance', () => {
    fc.assert(
      fc.property(
        fc.record({
          process: fc.constantFrom(...PROCESS_IDS),
          load: fc.constantFrom('seal' as const, 'static' as const, 'cyclic' as const),
          soak: fc.constantFrom('dry' as const, 'handled' as const, 'oily' as const, 'oil-soaked' as const),
          warmed: fc.constantFrom('none' as const, 'chill' as const, 'preheat' as const),
          fillerVerdict: fc.constantFrom('first' as const, 'works' as const, 'avoid' as const, 'never' as const),
          kind: fc.constantFrom('crack', 'bent', 'bore'),
          wallMm: fc.double({ min: 1, max: 30, noNaN: true }),
          record: fc.record({ points: fc.integer({ min: -30, max: 30 }), jobs: fc.integer({ min: 1, max: 50 }) }),
        }),
        more => {
          const { chancePct, parts } = judge({ ...clean, ...more })
          return Math.abs(parts.reduce((sum, part) => sum + part.effect, 0) - chancePct) < 0.4
        },
      ),
      { seed: 5, numRuns: 200 },
    )
  })
})
