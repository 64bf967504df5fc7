import { describe, expect, it } from 'vitest'
import { questions } from '../questions'
import { grooveSection } from '../groove/section'
import type { JobPlanned } from './job-planned'

const { part, mends } = questions.get('job.plan')!.example as { part: Record<string, unknown>; mends: object[] }
const body = (part.bodies as { id: string; alloy: string; wallMm: unknown }[])[0]!
function planned(hole: object, does = 'static', wallMm = 4) {
  const asked = questions.ask('job.plan', {
    part: { ...part, does, bodies: [{ ...body, wallMm }] },
    mends: [{ id: 'hole', kind: 'hole', bodies: [body.id], ...hole }],
  })
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return (asked.answer as JobPlanned).mends[0]!
}
const codes = (mend: ReturnType<typeof planned>) => mend.opening.map(work => work.code)

describe('a hole', () => {
  it('that is small for its wall is filled solid; a wide one that carries nothing takes a patch (common practice)', () => {
    expect(mends.length).toBeGreaterThan(0)
    expect(planned({ diameterMm: 8 }).way).toBeNull()
    const wide = planned({ diameterMm: 40 })
    expect(wide.way).toBe('patched')
    expect(codes(wide)).toEqual(expect.arrayContaining(['cut-disc', 'bevel-disc', 'tack-disc']))
    expect(wide.run).toEqual({ goes: 'round', longMm: expect.closeTo(Math.PI * 40, 6) as number })
    expect(wide.depositG).toBeLessThan(planned({ diameterMm: 40, way: 'filled' }).depositG / 2)
  })
  it('in a wall that carries load is filled unless a patch is asked for, and a blind one cannot take one', () => {
    expect(planned({ diameterMm: 40 }, 'cyclic').way).toBeNull()
    expect(planned({ diameterMm: 40 }, 'seal').way).toBe('patched')
    expect(planned({ diameterMm: 40, way: 'patched' }, 'cyclic')).toMatchObject({
      way: 'patched',
      checks: ['look', 'dye'],
    })
    expect(planned({ diameterMm: 40, through: false, way: 'patched' }).way).toBeNull()
  })
  it("has a patch's metal by the closed form of its bevel all round: section × π d, its rim's cap beside it", () => {
    const { areaMm2, topWidthMm } = grooveSection({ depthMm: 4, includedDeg: 70, rootRadiusMm: 1 })
    const { depositG } = planned({ diameterMm: 40 })
    // A parabolic cap of 1 mm is two thirds of its width high; 2.66 to 2.7 g/cm³.
    const volumeMm3 = (areaMm2 + (2 / 3) * topWidthMm) * Math.PI * 40
    expect(depositG / (volumeMm3 * 0.00268)).toBeGreaterThan(0.97)
    expect(depositG / (volumeMm3 * 0.00268)).toBeLessThan(1.03)
  })
  it('that is a pocket wants corners that enclose one: too few, flat, crossing or far off is said at it, never thrown', () => {
    for (const pocket of [
      [],
      [
        [0, 0],
        [10, 0],
      ],
      [
        [0, 0],
        [10, 0],
        [20, 0],
      ],
      [
        [0, 0],
        [10, 10],
        [12, 0],
        [0, 8],
      ],
      [
        [0, 0],
        [1e5, 0],
        [0, 1e5],
      ],
      '0 0, 40 0',
    ]) {
      const asked = questions.ask('job.plan', { part, mends: [{ id: 'p', kind: 'hole', pocket, deepMm: 3 }] })
      expect(asked).toMatchObject({ ok: false, error: { kind: 'invalid-input' } })
      if (!asked.ok && asked.error.kind === 'invalid-input')
        expect(asked.error.issues.map(({ path }) => path).join()).toMatch(/^mends\[0\]\.pocket/)
    }
    // A right-angled triangle of 40 by 30 mm, 3 mm deep: half of the box.
    expect(planned({ pocket: '0 0, 40 0, 0 30', deepMm: 3 }).volumeMm3 / 1800).toBeGreaterThan(1)
  })
})
