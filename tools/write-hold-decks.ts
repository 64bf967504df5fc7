import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { HOLD_CASES, type HoldCase } from '../core/hold/finite-elements/cases'
import { holdFields } from '../core/hold/schema'
import { cellsAt, holdSetup } from '../core/hold/setup'
import { nodeMm } from '../core/warp/lattice'

/**
 * Writes each case of `core/hold/finite-elements` as an input deck of CalculiX (Debian's `calculix-ccx`) with its
 * C3D8I elements on the same cells, runs it, and keeps deck and answers beside the case: how every watched place moves,
 * and the stress of its cell, the mean of its eight points. Run by hand (npm run hold:decks): the tests read what is
 * kept.
 */
const KEPT = new URL('../core/hold/finite-elements/', import.meta.url)
/** Corners of a cell in the order a deck takes them. */
const ORDER = [0, 1, 3, 2, 4, 5, 7, 6]

function deckOf({ asked }: HoldCase) {
  const found = holdSetup(holdFields.parse(asked))
  if (!('setup' in found)) throw new Error(JSON.stringify(found.misplaced))
  const { lattice, fixed, force, youngMPa, poisson, watch } = found.setup
  const nodes = Array.from({ length: lattice.nodes }, (_, node) => node)
  // A watched place is a corner of cells, or lies in the middle of them: read off the corners of the first.
  const cells = watch.map(at => cellsAt(lattice, at)[0]!)
  const lines = [
    '*NODE, NSET=ALL',
    ...nodes.map(node => [node + 1, ...nodeMm(lattice, node)].join(',')),
    '*ELEMENT, TYPE=C3D8I, ELSET=PART',
    ...Array.from({ length: lattice.cells }, (_, cell) =>
      [cell + 1, ...ORDER.map(n => lattice.corner[8 * cell + n]! + 1)].join(','),
    ),
    '*MATERIAL, NAME=METAL',
    '*ELASTIC',
    `${youngMPa},${poisson}`,
    '*SOLID SECTION, ELSET=PART, MATERIAL=METAL',
    '*BOUNDARY',
    ...nodes.filter(node => fixed[3 * node]).map(node => `${node + 1},1,3`),
    '*ELSET, ELSET=ASKED',
    ...cells.map(cell => String(cell + 1)),
    '*STEP',
    '*STATIC',
    '*CLOAD',
    ...nodes.flatMap(node =>
      [0, 1, 2].flatMap(way =>
        force[3 * node + way] && !fixed[3 * node] ? [`${node + 1},${way + 1},${force[3 * node + way]!}`] : [],
      ),
    ),
    '*NODE PRINT, NSET=ALL',
    'U',
    '*EL PRINT, ELSET=ASKED',
    'S',
    '*END STEP',
  ]
  return { text: `${lines.join('\n')}\n`, lattice, cells }
}

const answers: Record<string, { movedMm: number[][]; stressMPa: number[][] }> = {}
for (const each of HOLD_CASES) {
  const { text, lattice, cells } = deckOf(each)
  const folder = mkdtempSync(join(tmpdir(), 'hold-'))
  writeFileSync(join(folder, 'case.inp'), text)
  execFileSync('ccx', ['-i', 'case'], { cwd: folder, stdio: 'ignore' })
  const rows = readFileSync(join(folder, 'case.dat'), 'utf8')
    .split('\n')
    .map(line => line.trim().split(/\s+/).map(Number))
    .filter(row => row.every(Number.isFinite))
  const moved = new Map(rows.filter(row => row.length === 4).map(([node, ...u]) => [node!, u]))
  const stress = new Map<number, number[][]>()
  for (const [cell, , ...s] of rows.filter(row => row.length === 8))
    stress.set(cell!, [...(stress.get(cell!) ?? []), s])
  const mean = (list: readonly (readonly number[])[]) =>
    list[0]!.map((_, c) => list.reduce((sum, one) => sum + one[c]!, 0) / list.length)
  answers[each.name] = {
    movedMm: cells.map(cell =>
      mean([...lattice.corner.subarray(8 * cell, 8 * cell + 8)].map(node => moved.get(node + 1)!)),
    ),
    // Printed xx yy zz xy xz yz; kept xx yy zz xy yz zx.
    stressMPa: cells.map(cell => {
      const [xx, yy, zz, xy, xz, yz] = mean(stress.get(cell + 1)!) as [number, number, number, number, number, number]
      return [xx, yy, zz, xy, yz, xz]
    }),
  }
  writeFileSync(new URL(`${each.name}.inp.gz`, KEPT), gzipSync(text))
}
writeFileSync(new URL('answers.json', KEPT), `${JSON.stringify(answers, null, 1)}\n`)
