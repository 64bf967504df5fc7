import { question } from '../ask/question'
import { stopwatch } from '../ask/stopwatch'
import { warpSetup } from './ask'
import { beadShrinks } from './bead'
import { warped } from './run'
import { beadInput, warpInput } from './schema'
import * as answers from './answers'
import { roughCells } from '../solid/rough-cells'

export const warpBead = question({
  name: 'warp.bead',
  purpose: 'How a bead shrinks: the force it pulls with along itself, across, its angle, and the zone that carries it',
  input: beadInput,
  output: answers.warpBead,
  example: { a: '150 A', v: 15, speedMmS: '2.5 mm/s', alloy: '356', wallMm: '8 mm', preheatC: '110 C' },
  solve: ({ heatJMm, a, v, efficiencyPct, speedMmS, ...given }) => {
    const { working, ...answer } = beadShrinks({
      ...given,
      heatJMm: heatJMm ?? (a! * v! * efficiencyPct) / 100 / speedMmS!,
      powerW: heatJMm === undefined ? (a! * v! * efficiencyPct) / 100 : undefined,
    })
    return { answer, working, cautions: [] }
  },
})

export const warpSimulate = question({
  name: 'warp.simulate',
  purpose:
    'How a part moves as its beads are laid in order, free or held down: faces, bores, hole patterns, stress left',
  input: warpInput,
  output: answers.warpSimulate,
  costMs: ({ shape, cellMm, plastic }) => 100 + roughCells(shape, cellMm) * (plastic ? 0.5 : 0.1),
  example: {
    shape: { kind: 'plate', lengthMm: 120, widthMm: 80, thickMm: 8 },
    cellMm: 4,
    alloy: '356',
    beads: [
      {
        id: 'one',
        pathMm: [
          [10, 40, 8],
          [110, 40, 8],
        ],
        face: 'top',
        widthMm: 16,
        depthMm: 4,
        heatJMm: 300,
      },
    ],
    watch: [{ kind: 'face', face: 'bottom' }],
  },
  solve: input => {
    const clock = stopwatch()
    const found = warped(warpSetup(input))
    const { byBead, watched, peakMPa, overYieldPct, cells, solves } = found
    return {
      answer: { watched, byBead, peakMPa, overYieldPct, cells, solves, wallMs: clock() },
      working: [
        {
          label: 'Cells',
          formula: 'eight-node boxes with incompatible modes',
          value: cells,
          unit: '',
          source: 'Wilson and others 1973',
        },
        {
          label: 'Solved',
          formula: 'conjugate gradients over bodies of cells that move rigidly',
          value: `${solves} times, ${found.iterations} steps`,
          unit: '',
          source: 'Hestenes and Stiefel 1952; Vaněk, Mandel and Brezina 1996',
        },
        {
          label: 'Greatest stress left',
          formula: 'von Mises, at the middle of a cell',
          value: peakMPa,
          unit: 'MPa',
          source: input.plastic ? 'flows at its yield' : 'elastic: it may stand past yield',
        },
      ],
      cautions: [],
    }
  },
})
