import { describe, expect, it } from 'vitest'
import { elementOf } from '../../warp/element'
import { hold } from '../run'
import { holdFields } from '../schema'
import { cellsAt, holdSetup } from '../setup'
import { stressAt } from '../stress'
import answers from './answers.json'
import { HOLD_CASES } from './cases'

const KEPT: Record<string, { movedMm: number[][]; stressMPa: number[][] }> = answers

/** Answers by an independent program (CalculiX), its decks beside them: `tools/write-hold-decks.ts`. */
describe('hold against finite elements on the same cells', () => {
  it.each(HOLD_CASES)('$name moves and is stressed as there within 1 %', ({ name, asked }) => {
    const found = holdSetup(holdFields.parse(asked))
    if (!('setup' in found)) throw new Error('misplaced')
    const { setup } = found
    const running = hold(setup)
    let next = running.next()
    while (!next.done) next = running.next()
    const { displacementMm } = next.value
    const { lattice, watch } = setup
    const element = elementOf(lattice.stepMm, setup.youngMPa, setup.poisson)
    const cells = watch.map(at => cellsAt(lattice, at)[0]!)
    const moved = cells.map(cell =>
      [0, 1, 2].map(way => {
        const corners = [...lattice.corner.subarray(8 * cell, 8 * cell + 8)]
        return corners.reduce((sum, node) => sum + displacementMm[3 * node + way]!, 0) / 8
      }),
    )
    const stress = cells.map(cell => {
      const at = new Float64Array(6)
      stressAt(lattice, element, cell, [0, 0, 0], displacementMm, at)
      return [...at]
    })
    const near = (ours: readonly number[][], theirs: readonly number[][]) => {
      const most = Math.max(...theirs.map(one => Math.hypot(...one)))
      for (const [n, one] of ours.entries())
        expect(Math.hypot(...one.map((value, c) => value - theirs[n]![c]!)) / most, `${name} ${n}`).toBeLessThan(0.01)
    }
    near(moved, KEPT[name]!.movedMm)
    near(stress, KEPT[name]!.stressMPa)
  })
})
