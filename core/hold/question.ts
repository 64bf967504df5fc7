import { NoAnswer, question } from '../ask/question'
import { stopwatch } from '../ask/stopwatch'
import { proofOf } from '../metal/temper'
import * as answers from './answers'
import { hold } from './run'
import { holdFields, type HoldInput } from './schema'
import { holdSetup, type HoldSetup } from './setup'
import type { z } from 'zod'
import { roughCells } from '../solid/rough-cells'

/** An input with its part cut into cells; or why it can't be, where the input itself is well formed. */
type Prepared = HoldInput & ({ setup: HoldSetup } | { refused: string })

export const holdSimulate = question({
  name: 'hold.simulate',
  purpose: 'Whether a part bears its load: how it moves, where it is pulled hardest, by how much, and how often',
  input: holdFields.transform((input, context): Prepared => {
    try {
      const found = holdSetup(input)
      if ('setup' in found) return { ...input, setup: found.setup }
      for (const issue of found.misplaced) context.addIssue({ code: 'custom', ...issue })
      return { ...input, refused: 'a place lies on no metal' }
    } catch (error) {
      if (error instanceof NoAnswer) return { ...input, refused: error.message }
      throw error
    }
  }) as unknown as z.ZodType<Prepared, z.input<typeof holdFields>>,
  output: answers.holdSimulate,
  costMs: ({ shape, cellMm, loads }) => 60 + roughCells(shape, cellMm) * loads.length * 0.07,
  example: {
    shape: { kind: 'plate', lengthMm: 120, widthMm: 40, thickMm: 8 },
    cellMm: 4,
    alloy: '6061-T6',
    fixed: [{ face: 'left' }],
    loads: [{ id: 'hung', on: { face: 'right' }, forceN: [0, 0, -400] }],
    zones: [{ id: 'seam', kind: 'weld', boxMm: [40, 0, 0, 12, 40, 8], yieldMPa: 110 }],
    watch: [[120, 20, 8]],
    times: 100_000,
  },
  solve: input => {
    if (!('setup' in input)) throw new NoAnswer(input.refused)
    const clock = stopwatch()
    const running = hold(input.setup)
    let next = running.next()
    while (!next.done) next = running.next()
    const { by, life, iterations, displacementMm: _moved, misesMPa: _mises, ...found } = next.value
    const { ofTemper } = proofOf(input.alloy)
    const worst = by.find(({ zone }) => zone === found.weakest)!
    return {
      answer: {
        ...found,
        by,
        ...(input.times === undefined ? {} : { life: life.map(({ slope: _slope, source: _source, ...row }) => row) }),
        wallMs: clock(),
      },
      working: [
        {
          label: 'Cells',
          formula: 'eight-node boxes with incompatible modes',
          value: found.cells,
          unit: '',
          source: 'Wilson and others 1973',
        },
        {
          label: 'Solved',
          formula: 'conjugate gradients over bodies of cells that move rigidly',
          value: iterations,
          unit: '',
          source: 'Hestenes and Stiefel 1952; Vaněk, Mandel and Brezina 1996',
        },
        {
          label: 'Yield of the base',
          formula: ofTemper ?? 'of the temper that a part usually has',
          value: by.find(({ zone }) => zone === 'base')?.yieldMPa ?? worst.yieldMPa,
          unit: 'MPa',
          source: input.yieldMPa ? 'as it was said' : 'Aluminum Standards and Data; ASM Handbook vol. 2, from memory',
        },
        {
          label: 'Factor at the weakest place',
          formula: 'yield / von Mises; a third either way',
          value: worst.factor,
          unit: '',
          source: 'von Mises 1913; an estimate, not a proof',
        },
        ...life.map(row => ({
          label: `Loads that ${row.zone} bears`,
          formula: `3 × 2·10⁶ × (${row.category} / ${Number(row.rangeMPa.toPrecision(3))})^${row.slope}`,
          value: row.cycles,
          unit: '',
          source: row.source,
        })),
      ],
      cautions: [
        {
          code: 'estimate-not-proof',
          level: 'caution' as const,
          title: 'An estimate, not a proof',
          text: 'An estimate, not a proof: a third either way on every factor, a factor of ten on every life. Where somebody could be hurt, ask somebody licensed, whatever stands here.',
        },
      ],
    }
  },
})
