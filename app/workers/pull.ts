import { NoAnswer } from '#core/ask/question'
import type { Way } from '#core/station/pull/ways.table'
import { warpSetup } from '#core/warp/ask'
import { movedPlaces, movedSkin } from '#core/warp/drawn'
import { warp, type Warped } from '#core/warp/run'
import type { Place } from '#core/warp/rigid'
import type { WarpInput } from '#core/warp/schema'
import type { Watched } from '#core/warp/watch'

/** One way of laying, worked out: what is watched after each bead, and the part as it then lies. */
export interface PulledWay {
  id: Way['id']
  /** `placesMm`: where what was marked lies then, as it is drawn. */
  stages: { id: string; watched: Watched[]; skin: Float32Array | null; placesMm: Place[][] }[]
  /** Mean stress at the end, MPa, and before it was let go where it was held. */
  meanMPa: number
  heldMeanMPa: number | null
  /** How many times as far as they moved the corners are drawn. */
  times: number
  peakMPa: number
  tension: Warped['tension']
  /** Where a crack would run at the end, as it is drawn, and how long. */
  crack: { pathMm: Place[]; lengthMm: number } | null
  overYieldPct: number
  cells: number
}
export type ToldPull = { ok: true; value: PulledWay } | { ok: false; reason: string } | { ok: 'stopped' }

/** The farthest corner is drawn this share of the part's length off its place. */
const DRAWN_SHARE = 0.06
const TELL_EVERY_MS = 60
/** Beads' forces left over at the end of each round of flow: coarse, since the next round goes on from it. */
const TOLERANCE = 1e-3
let wanted = 0

const breathe = () =>
  new Promise<void>(resolve => {
    setTimeout(resolve, 0)
  })

export const bench = {
  stop: (): void => {
    wanted += 1
  },
  /** One way from the first bead to the last; with its skins, and where marks come to lie, where it is to be drawn. */
  run: async (
    id: Way['id'],
    asked: WarpInput,
    marked: Place[][] | null,
    tell: (share: number) => void,
  ): Promise<ToldPull> => {
    const ticket = ++wanted
    try {
      const setup = { ...warpSetup(asked), tolerance: TOLERANCE, keep: marked !== null }
      const running = warp(setup)
      let last = Date.now()
      for (;;) {
        const next = running.next()
        if (next.done) {
          const { byBead, lattice, peakMPa, tension, crack, overYieldPct, cells, displacementMm } = next.value
          const atEnd = byBead.at(-1)!
          const heldMeanMPa = byBead.findLast(stage => stage.heldMeanMPa !== undefined)?.heldMeanMPa ?? null
          const long = Math.max(
            ...lattice.stepMm.map((step, axis) => step * [setup.mask.nx, setup.mask.ny, setup.mask.nz][axis]!),
          )
          let most = 1e-9
          for (const value of displacementMm) most = Math.max(most, Math.abs(value))
          const times = Math.max(1, Math.round((DRAWN_SHARE * long) / most))
          return {
            ok: true,
            value: {
              id,
              times,
              peakMPa,
              tension,
              crack: crack && {
                lengthMm: crack.lengthMm,
                pathMm: movedPlaces(lattice, displacementMm, times, crack.pathMm),
              },
              meanMPa: atEnd.meanMPa,
              heldMeanMPa,
              overYieldPct,
              cells,
              stages: byBead.map(stage => ({
                id: stage.id,
                watched: stage.watched,
                skin: stage.movedMm ? movedSkin(setup.mask, lattice, stage.movedMm, times) : null,
                placesMm:
                  (stage.movedMm && marked?.map(path => movedPlaces(lattice, stage.movedMm!, times, path))) || [],
              })),
            },
          }
        }
        if (Date.now() - last < TELL_EVERY_MS) continue
        tell(next.value.share)
        await breathe()
        if (ticket !== wanted) return { ok: 'stopped' }
        last = Date.now()
      }
    } catch (error) {
      if (error instanceof NoAnswer) return { ok: false, reason: error.message }
      return { ok: false, reason: 'the run broke off: change the part or the weld, or reload' }
    }
  },
}
