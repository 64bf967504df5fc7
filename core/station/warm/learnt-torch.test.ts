import { expect, it } from 'vitest'
import { EMPTY_KIT } from '../../job/empty-kit'
import { kitSchema } from '../../job/job.schema'
import { withLearnt } from './learnt-torch'

const KIT = kitSchema.parse({
  ...EMPTY_KIT,
  torches: [
    { id: 'a', name: 'torch', gas: '', powerW: 3000, efficiencyPct: 30 },
    { id: 'b', name: 'other', gas: '', powerW: 500, efficiencyPct: 20 },
  ],
})
const LEARNT = { absorbedW: 450, sourceErrorW: 5, filmWm2K: 14, filmErrorWm2K: 1, residualC: 0.4 }

it('keeps a torch as learnt at half flame: 900 W of 3000 at full', () => {
  const [torch, other] = withLearnt(KIT, 'a', LEARNT, 50, '2026-11-26T10:00:00Z').torches
  expect(torch).toMatchObject({
    powerW: 3000,
    efficiencyPct: 30,
    fitted: { absorbedW: 900, absorbedErrorW: 10, filmWm2K: 14 },
  })
  expect(other).toEqual(KIT.torches[1])
})
it('gives a torch the power it proved to have where that is more, and the kit stays sound', () => {
  const kit = withLearnt(KIT, 'b', { ...LEARNT, absorbedW: 800 }, 100, '2026-11-26T10:00:00Z')
  expect(kit.torches[1]).toMatchObject({ powerW: 800, efficiencyPct: 100 })
  expect(kitSchema.safeParse(kit).success).toBe(true)
})
