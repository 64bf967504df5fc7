import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { mechanicalOf } from '../core/metal/mechanical.table'
import { cut } from '../core/solid/mask'
import { warpSetup } from '../core/warp/ask'
import { WARP_CASES, type WarpCase } from '../core/warp/finite-elements/cases'
import { latticeOf, nodeMm } from '../core/warp/lattice'
import { warpInput } from '../core/warp/schema'
import { zoneOf } from '../core/warp/zone'

/**
 * Writes each case of `core/warp/finite-elements` as an input deck of CalculiX (Debian's `calculix-ccx`) with its
 * C3D8I elements on the same cells, runs it, and keeps deck and answers beside the case. The beads' strains go in as
 * expansion of their cells by one degree. Run by hand (npm run warp:decks): the tests read what is kept.
 */
const KEPT = new URL('../core/warp/finite-elements/', import.meta.url)
/** Corners of a cell in the order a deck takes them. */
const ORDER = [0, 1, 3, 2, 4, 5, 7, 6]

function deckOf({ asked, placesMm }: WarpCase) {
  const input = warpInput.parse(asked)
  const lattice = latticeOf(cut(input.shape, input.cellMm))
  const { beads } = warpSetup(input)
  const { youngMPa, poisson } = mechanicalOf(input.alloy)
  const places = Array.from({ length: lattice.nodes }, (_, node) => nodeMm(lattice, node))
  const numberAt = (at: readonly number[]) =>
    places.findIndex(place => place.every((value, axis) => Math.abs(value - at[axis]!) < 1e-6)) + 1
  const corners = (cell: number) => ORDER.map(n => lattice.corner[8 * cell + n]! + 1)
  const inBead = new Map<number, number>()
  beads.forEach((bead, n) => zoneOf(lattice, bead).cells.forEach(cell => inBead.set(cell, n)))
  const cells = (which: number) =>
    Array.from({ length: lattice.cells }, (_, cell) => cell).filter(cell => (inBead.get(cell) ?? -1) === which)
  const sets = [-1, ...beads.keys()]
  const three = [placesMm[0]!, placesMm[1]!, placesMm[3]!].map(numberAt)
  const lines = [
    '*NODE, NSET=ALL',
    ...places.map((at, n) => [n + 1, ...at].join(',')),
    ...sets.flatMap(which => [
      `*ELEMENT, TYPE=C3D8I, ELSET=SET${which + 1}`,
      ...cells(which).map(cell => [cell + 1, ...corners(cell)].join(',')),
    ]),
    ...sets.flatMap(which => {
      const bead = beads[which]
      const alongX = bead && bead.pathMm[0]![1] === bead.pathMm[1]![1]
      const [x, y] = bead
        ? alongX
          ? [bead.strainAlong, bead.strainAcross]
          : [bead.strainAcross, bead.strainAlong]
        : [0, 0]
      return [
        `*MATERIAL, NAME=M${which + 1}`,
        '*ELASTIC',
        `${youngMPa},${poisson}`,
        '*EXPANSION, TYPE=ORTHO, ZERO=0.',
        `${x},${y},0.`,
        `*SOLID SECTION, ELSET=SET${which + 1}, MATERIAL=M${which + 1}`,
      ]
    }),
    '*INITIAL CONDITIONS, TYPE=TEMPERATURE',
    'ALL,0.',
    '*BOUNDARY',
    `${three[0]},1,3`,
    `${three[1]},2,3`,
    `${three[2]},3,3`,
    '*NSET, NSET=ASKED',
    placesMm.map(numberAt).join(','),
    '*STEP',
    '*STATIC',
    '*TEMPERATURE',
    'ALL,1.',
    '*NODE PRINT, NSET=ASKED',
    'U',
    '*END STEP',
  ]
  return { text: `${lines.join('\n')}\n`, numbers: placesMm.map(numberAt) }
}

const answers: Record<string, [number, number, number][]> = {}
for (const each of WARP_CASES) {
  const { text, numbers } = deckOf(each)
  const folder = mkdtempSync(join(tmpdir(), 'warp-'))
  writeFileSync(join(folder, 'case.inp'), text)
  execFileSync('ccx', ['-i', 'case'], { cwd: folder, stdio: 'ignore' })
  const rows = readFileSync(join(folder, 'case.dat'), 'utf8')
    .split('\n')
    .map(line => line.trim().split(/\s+/).map(Number))
    .filter(row => row.length === 4 && row.every(Number.isFinite))
  answers[each.name] = numbers.map(number => rows.find(row => row[0] === number)!.slice(1) as [number, number, number])
  writeFileSync(new URL(`${each.name}.inp.gz`, KEPT), gzipSync(text))
}
writeFileSync(new URL('answers.json', KEPT), `${JSON.stringify(answers, null, 1)}\n`)
