import { NoAnswer } from '#core/ask/question'
import { hold } from '#core/hold/run'
import { holdFields } from '#core/hold/schema'
import { holdSetup } from '#core/hold/setup'
import type { HoldCase } from '#core/station/hold/hold-bench'
import type { HeldState } from '#core/station/hold/hold-says'
import type { HeatMap } from '#core/warm/heat-map'

/** A state worked out: what it bears, where it is weakest, and how near each cell is to its yield, in colours. */
export interface HeldRun extends HeldState {
  atMm: readonly [number, number, number]
  map: HeatMap
}
export type ToldHold = { ok: true; value: HeldRun } | { ok: false; reason: string } | { ok: 'stopped' }

const TELL_EVERY_MS = 60
/** Colours go from nothing to this share of yield, percent. */
const MOST_PCT = 100
let wanted = 0
const breathe = () =>
  new Promise<void>(resolve => {
    setTimeout(resolve, 0)
  })

export const bench = {
  stop: (): void => {
    wanted += 1
  },
  run: async ({ id, asked }: HoldCase, tell: (share: number) => void): Promise<ToldHold> => {
    const ticket = ++wanted
    try {
      const found = holdSetup(holdFields.parse(asked))
      if (!('setup' in found)) return { ok: false, reason: found.misplaced[0]!.message }
      const { setup } = found
      const running = hold(setup)
      let last = Date.now()
      let next = running.next()
      while (!next.done) {
        if (Date.now() - last >= TELL_EVERY_MS) {
          tell(next.value.share)
          await breathe()
          if (ticket !== wanted) return { ok: 'stopped' }
          last = Date.now()
        }
        next = running.next()
      }
      const { by, weakest, life, cells, imbalancePct, displacementMm, misesMPa } = next.value
      let givesMm = 0
      for (let n = 0; n < displacementMm.length; n += 3)
        givesMm = Math.max(givesMm, Math.hypot(displacementMm[n]!, displacementMm[n + 1]!, displacementMm[n + 2]!))
      const tenths = new Int16Array(setup.lattice.cells)
      for (const zone of setup.zones)
        for (const cell of zone.cells)
          tenths[cell] = Math.round(10 * Math.min(MOST_PCT, (100 * misesMPa[cell]!) / zone.yieldMPa))
      const [x, y, z] = setup.lattice.originMm
      const [dx, dy, dz] = setup.lattice.stepMm
      return {
        ok: true,
        value: {
          id,
          by,
          weakest,
          cells,
          imbalancePct,
          givesMm,
          atMm: by.find(({ zone }) => zone === weakest)!.atMm,
          life: life.toSorted((a, b) => a.cycles - b.cycles)[0] ?? null,
          map: {
            originMm: [x, y, z],
            stepMm: [dx, dy, dz],
            cells: Uint16Array.from(setup.lattice.cellAt),
            moments: [{ s: 0, flame: 'on', tenths }],
          },
        },
      }
    } catch (error) {
      if (error instanceof NoAnswer) return { ok: false, reason: error.message }
      return { ok: false, reason: 'the run broke off: change the part or its load, or reload' }
    }
  },
}
