import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { askedOf } from '../../heat/bench/asked'
import { partKeeper, quickRun } from '../../heat/bench/quick'
import { flameSpots, heldStill, pointedAt } from '../../heat/bench/swept'
import { toSimulate } from '../../heat/bench/to-simulate'
import { heatVerdict } from '../../heat/bench/verdict'
import { readFile } from '../../job/files'
import { mm } from '../../quantity/stored'
import { planJob } from '../plan-job'
import { readySetup } from '../take-in/part-solid'
import { firstSetup, surroundingsOf } from './heat-bench'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const kit = file.kit!
const cut = partKeeper()
const swept = file.jobs.flatMap(job => {
  const { warm, know } = planJob(job, kit)
  const [zone] = warm.data.zones
  return zone ? [{ name: job.id, job, data: warm.data, alloy: know.data.alloy.name, zone }] : []
})

describe('the heat bench begins with what Warm decided', () => {
  it('on every part of the made-up shop that is warmed on its shape', () => {
    expect(swept.length).toBeGreaterThan(2)
  })
  it.each(swept)('$name: its torch, swept where and as long as Warm says, comes to what Warm foretells', given => {
    const { job, data, alloy, zone } = given
    const begun = firstSetup(job, data)
    expect(begun.heat).toMatchObject({ kind: 'swept', torch: data.torch!.id, face: zone.face })
    const over = begun.onS.value! - zone.onS!
    expect(over).toBeGreaterThanOrEqual(0)
    expect(over).toBeLessThan(5)
    const setup = readySetup(job, begun)
    const around = surroundingsOf(job, kit, setup, alloy, data.targetC)
    const part = cut(toSimulate(setup, around))
    const run = quickRun(askedOf(setup, around, part), part)
    const { readyS, zoneC } = heatVerdict(setup, run, data.targetC, around.ambientC, begun.onS.value!)
    expect(readyS).toBeLessThanOrEqual(begun.onS.value!)
    // On cells of another size: a third either way.
    const risen = (zoneC! - around.startC) / (zone.zoneC - around.startC)
    expect(risen).toBeGreaterThan(0.7)
    expect(risen).toBeLessThan(1.35)
  })

  it('and looks for a minute where Warm lights no flame', () => {
    const { job, data } = swept[0]!
    const cold = { ...data, warmth: { ...data.warmth, need: 'none' as const }, zones: [] }
    const begun = firstSetup(job, cold)
    expect(begun.onS).toEqual({ typed: '1 min', value: 60 })
    expect(begun.heat.kind).toBe('held')
  })

  it('a swept line goes as a whole where it is pointed, bends and all, and is drawn spot by spot', () => {
    const { job, data } = swept.find(({ zone }) => zone.path.length > 2) ?? swept[0]!
    const { heat } = firstSetup(job, data)
    const moved = pointedAt(heat, [heat.at.x.value! + 10, heat.at.y.value!, heat.at.z.value!], heat.face)
    expect(moved.to.x.value).toBeCloseTo(heat.to.x.value! + 10, 6)
    expect(moved.via.map(([x]) => x)).toEqual(heat.via.map(([x]) => x + 10))
    const [spots, movedSpots] = [flameSpots(heat), flameSpots(moved)]
    expect(spots.length).toBeGreaterThan(1)
    for (const [n, [x]] of movedSpots.entries()) expect(x).toBeCloseTo(spots[n]![0] + 10, 6)
    expect(flameSpots({ ...heat, kind: 'oven' })).toEqual([])
    // Held instead, it points at the middle of its line.
    const held = heldStill(heat)
    expect([held.kind, held.at.x.value]).toEqual(['held', mm(spots[Math.floor(spots.length / 2)]![0]).value])
  })
})
