import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { readFile } from '../core/job/files'
import { findAlloy } from '../core/metal/find-alloy'
import { Pool } from '../core/puddle/pool/pool'
import { assemble } from '../core/solid/assembly'
import { cut } from '../core/solid/mask'
import { measured } from '../core/solid/measure'
import { shapeSchema } from '../core/solid/shape.schema'
import { skinOf } from '../core/solid/skin'
import { shapeOfPieces } from '../core/solid/stored/to-shape'
import { sectionView, viewOf } from '../core/solid/views'
import { elementOf } from '../core/warp/element'
import { addStress, latticeOf, pull } from '../core/warp/lattice'
import { solve, solvePlain, solverOf } from '../core/warp/solve'
import { timed } from './timing'
import { line } from './rows'

const DEMO = fileURLToPath(new URL('../demo/larkmoor-bench.json', import.meta.url))
const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`

/** The part as a solid: measured, drawn, cut into cells. */
function shapes(): void {
  const read = readFile(readFileSync(DEMO, 'utf8'))
  if (!read.ok) throw new Error('the demo does not read')
  const shape = shapeOfPieces(read.jobs.find(job => job.id === 'gearbox-cover')!.shape.pieces)
  line('gearbox cover: volume and skin by rays', ms(timed(10, () => measured(shape))))
  line('its section anew (limit 50 ms)', ms(timed(20, () => sectionView(shape, 'front', 60))))
  line('its view from above, hidden lines taken off', ms(timed(20, () => viewOf(shape, 'plan'))))
  line('its skin, to be turned', ms(timed(5, () => skinOf(assemble(shape)))))
  const box = shapeSchema.parse({ kind: 'hollow-box', xMm: 300, yMm: 200, zMm: 90, wallMm: 6 })
  line('a 300 mm housing in cells of 3 mm (limit 300 ms)', ms(timed(5, () => cut(box, 3))))
}

/** The pull of a bead: one load, against conjugate gradients scaled by the diagonal. */
function warps(cellMm: number, plain: boolean): void {
  const mask = cut(shapeSchema.parse({ kind: 'hollow-box', xMm: 180, yMm: 120, zMm: 80, wallMm: 6 }), cellMm)
  const lattice = latticeOf(mask)
  const element = elementOf(lattice.stepMm, 70_000, 0.33)
  const force = new Float64Array(3 * lattice.nodes)
  for (let cell = 0; cell < lattice.cells; cell++)
    if (lattice.cellAt[3 * cell + 2]! === mask.nz - 1 && Math.abs(lattice.cellAt[3 * cell + 1]! - mask.ny / 2) < 3)
      addStress(lattice, cell, [-100, 0, 0, 0, 0, 0], force)
  const begun = performance.now()
  const solver = solverOf(lattice, element)
  const u = new Float64Array(force.length)
  const running = solve(solver, force, u)
  let next = running.next()
  while (!next.done) next = running.next()
  const took = performance.now() - begun
  const slowBegun = performance.now()
  const slow = plain ? solvePlain(solver, force, new Float64Array(force.length)) : null
  const slowTook = performance.now() - slowBegun
  const out = new Float64Array(force.length)
  line(
    `pull of ${lattice.cells} cells: set up and solved`,
    `${ms(took)}, ${next.value.iterations} steps${slow ? `; plain ${ms(slowTook)}, ${slow.iterations} steps: ${(slowTook / took).toFixed(1)} times` : ''}; one product ${ms(timed(5, () => pull(lattice, element, null, null, u, out)))}; ${((solver.fine.bytes + solver.apart.byteLength) / lattice.cells).toFixed(0)} bytes kept for each cell (limit 400)`,
  )
}

/** A second of the puddle on a plate of 60 × 40 × 8 mm at 1 mm. */
function puddle(): void {
  const frameOf = (isPlain: boolean) => {
    const pool = new Pool(findAlloy('6061')!, { xMm: 60, yMm: 40, zMm: 8 }, 1, 20, 'oily', 68, { isPlain })
    const steps = Math.ceil(1 / 60 / pool.stepS)
    const took = timed(20, () => {
      for (let n = 0; n < steps; n++) pool.step(1 / 60 / steps, { powerW: 1600, radiusMm: 4 }, { xMm: 30, yMm: 20 })
    })
    return { took, cellsPerS: (1000 * steps * pool.enthalpy.length) / took }
  }
  const [fast, plain] = [frameOf(false), frameOf(true)]
  line(
    'puddle, a sixtieth of a second (limit 8 ms)',
    `${ms(fast.took)}, ${(fast.cellsPerS / 1e6).toFixed(0)} million cells a second, ${(plain.took / fast.took).toFixed(1)} times plain JavaScript`,
  )
}

export function solids(short: boolean): void {
  console.log('\nThe part as a solid, its pull, the puddle')
  shapes()
  warps(4, true)
  warps(3, true)
  if (!short) warps(2, true)
  if (!short) warps(1.3, false)
  puddle()
}
