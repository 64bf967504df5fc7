import { describe, expect, it } from 'vitest'
import { warpSetup } from '../ask'
import { rigidFit, withMotion, type Place } from '../rigid'
import { warped } from '../run'
import { warpInput } from '../schema'
import answers from './answers.json'
import { WARP_CASES } from './cases'

/** Answers by an independent program (CalculiX), its decks beside them: `tools/write-warp-decks.ts`. */
describe('pull and warp against finite elements', () => {
  it.each(WARP_CASES)(
    '$name moves as there within 3 % of the most that any place moves',
    ({ name, asked, placesMm }) => {
      const input = warpInput.parse({ ...asked, watch: placesMm.map(atMm => ({ kind: 'point', atMm: [...atMm] })) })
      const { watched } = warped({ ...warpSetup(input), tolerance: 1e-8 })
      const ours = watched.map(each => (each.kind === 'point' ? each.movedMm : [0, 0, 0]) as Place)
      const theirs = (answers as Record<string, number[][]>)[name]! as unknown as Place[]
      // Neither has a frame of its own: the whole motion between the two is taken off first.
      const between = rigidFit(
        placesMm.length,
        n => placesMm[n]!,
        n => [0, 1, 2].map(axis => theirs[n]![axis]! - ours[n]![axis]!) as unknown as Place,
      )
      const most = Math.max(...ours.map(moved => Math.hypot(...moved)))
      placesMm.forEach((at, n) => {
        const whole = withMotion(between, at)
        const miss = Math.hypot(...[0, 1, 2].map(axis => ours[n]![axis]! + whole[axis]! - theirs[n]![axis]!))
        expect(miss / most, `${name} ${at.join()}`).toBeLessThan(0.03)
      })
    },
  )
})
