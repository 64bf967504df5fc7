import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { computed, ref } from 'vue'
import type { StoredMend } from '#core/job/mend.schema'
import { newMend } from '#core/job/new-mend'
import { KIND_IDS, kindOf } from '#core/mend/registry'
import { drawnGroove } from '#core/groove/drawn'
import { sideOrder } from '#core/groove/sequence'
import { jobOnTheBench } from '~/at-the-bench.fixture'
import { useGrooveAcross } from '~/drawing/use-groove-across'
import { useGrooveHands } from './use-groove-hands'
import { useMendSteps } from './use-mend-steps'

vi.mock('~/composables/core-worker', () => ({ planned: () => new Promise(() => undefined) }))

let store: Awaited<ReturnType<typeof jobOnTheBench>>
const readings = () => store.job!.mends[0]!.readings
async function bench(kind: StoredMend['kind']) {
  store = await jobOnTheBench({ mends: [newMend('m', kind)] })
  return useGrooveHands(() => 'm')
}

describe("a hand on a mend's groove", () => {
  it('sets the angle as a reading that is understood, and reads it back while the plan still works', async () => {
    const hands = await bench('crack')
    expect(hands.liveDeg.value).toBeUndefined()
    hands.setAngle(75)
    expect(readings().includedDeg).toMatchObject({ value: 75, typed: expect.stringMatching(/^75/) })
    expect(hands.liveDeg.value).toBe(75)
  })
  it('keeps no locator where less is left than one needs, and a piece set back none at all where it is cut through', async () => {
    const crack = await bench('crack')
    crack.setLand(3)
    expect(readings()).toMatchObject({ landMm: { value: 3 } })
    expect(readings().keepBreak).toBeUndefined()
    crack.setLand(1)
    expect(readings()).toMatchObject({ landMm: { value: 1 }, keepBreak: false })
    const broken = await bench('break')
    broken.setLand(0)
    expect(readings()).toMatchObject({ landMm: { value: 0 }, keepBreak: false })
    broken.setLand(1.5)
    expect(readings()).toMatchObject({ landMm: { value: 1.5 }, keepBreak: true })
  })
  it('has no handle that its kind does not take', async () => {
    for (const kind of KIND_IDS) {
      const hands = await bench(kind)
      const { handles, cut, fields } = kindOf(kind)
      expect([hands.lip.value, hands.root.value], kind).toEqual([handles !== undefined, handles?.land !== undefined])
      if (!handles) continue
      expect(cut, kind).toBeDefined()
      for (const key of Object.keys({ ...handles.angle(70), ...handles.land?.(1) }))
        expect(Object.keys(fields), kind).toContain(key)
    }
  })
})

describe('steps of a mend', () => {
  it('are ticked and taken back, each once', async () => {
    await bench('crack')
    const { done, tick } = useMendSteps(() => 'm')
    tick('find-ends', true)
    tick('machine-zero', true)
    expect(done.value).toEqual(['find-ends', 'machine-zero'])
    tick('find-ends', false)
    expect(store.job!.mends[0]!.done).toEqual(['machine-zero'])
  })
})

describe('a groove on the drawing', () => {
  const set = { angle: [] as number[], land: [] as number[] }
  beforeEach(() => Object.assign(set, { angle: [], land: [] }))
  const groove = ref(
    drawnGroove(
      {
        wallMm: 8,
        sides: 1,
        includedDeg: 70,
        rootRadiusMm: 2,
        landMm: 2,
        capMm: 1.5,
        alongMm: 60,
        ends: ['tip', 'tip'],
        pastTipMm: 4.8,
        stopHoleMm: 3.2,
      },
      sideOrder(1, 5),
      { keepBreak: true },
    )!,
  )
  const live = ref<number | undefined>()
  const drawing = useGrooveAcross(
    groove,
    computed(() => live.value),
    { angle: deg => set.angle.push(deg), land: mm => set.land.push(mm) },
  )
  it('a lip dragged to where it stands means the angle that it has', () => {
    live.value = undefined
    drawing.dragLip(drawing.lip.value.x)
    expect(set.angle).toEqual([70])
  })
  it('goes by what is typed, ahead of the plan: a key goes on from there', () => {
    live.value = 90
    drawing.nudgeLip(1)
    expect(set.angle).toEqual([91])
    expect(drawing.shape.value.includedDeg).toBe(90)
    live.value = undefined
  })
  it('holds the angle and the depth within what can be cut', () => {
    drawing.dragLip(1e4)
    drawing.dragLip(0)
    expect(set.angle).toEqual([drawing.MOST_DEG, drawing.LEAST_DEG])
    drawing.dragRoot(drawing.TOP - 500)
    drawing.dragRoot(drawing.TOP + 5000)
    expect(set.land).toEqual([7.2, 0])
  })
  it('a root nudged by a tenth leaves a tenth less', () => {
    drawing.nudgeRoot(0.1)
    expect(set.land).toEqual([1.9])
  })
  it('lays every bead between the lips, the first at the root', () => {
    const [first] = drawing.beads.value
    expect(drawing.beads.value).toHaveLength(5)
    expect(first!.y).toBeGreaterThan(Math.max(...drawing.beads.value.slice(1).map(bead => bead.y)))
    for (const bead of drawing.beads.value) expect(Math.abs(bead.x - drawing.middle)).toBeLessThan(drawing.lip.value.x)
  })
})
