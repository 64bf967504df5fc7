import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { CASES, type FiniteElementCase } from '../core/heat/finite-elements/cases'
import { findAlloy } from '../core/metal/find-alloy'
import { conductivityWmK } from '../core/metal/conductivity'

/**
 * Writes each case of `core/heat/finite-elements` as an input deck of CalculiX (Debian's `calculix-ccx`), runs it, and
 * keeps deck and answers beside the case. Run by hand (npm run heat:decks): the tests read what is kept.
 */
const KEPT = new URL('../core/heat/finite-elements/', import.meta.url)
const STEP_S = 0.5
const FACES = [
  { face: 1, of: [0, 0, -1] },
  { face: 2, of: [0, 0, 1] },
  { face: 3, of: [0, -1, 0] },
  { face: 4, of: [1, 0, 0] },
  { face: 5, of: [0, 1, 0] },
  { face: 6, of: [-1, 0, 0] },
] as const

/** The error function, by its series and continued fraction to 1e-7 (Abramowitz and Stegun 7.1.26 is coarser). */
function erf(x: number): number {
  const a = Math.abs(x)
  if (a > 5) return Math.sign(x)
  let sum = a
  for (let n = 1, term = a; n < 200 && Math.abs(term) > 1e-17; n++) {
    term *= (-a * a) / n
    sum += term / (2 * n + 1)
  }
  return (Math.sign(x) * 2 * sum) / Math.sqrt(Math.PI)
}
const between = (from: number, to: number, at: number, sigma: number) =>
  (erf((to - at) / (sigma * Math.SQRT2)) - erf((from - at) / (sigma * Math.SQRT2))) / 2

function deckOf({ boxes, asked }: FiniteElementCase) {
  const cell = asked.cellMm as number
  const key = (i: number, j: number, k: number) => `${i},${j},${k}`
  const cells = new Map<string, { number: number; at: [number, number, number] }>()
  for (const [x, y, z, dx, dy, dz] of boxes)
    for (let k = z / cell; k < (z + dz) / cell; k++)
      for (let j = y / cell; j < (y + dy) / cell; j++)
        for (let i = x / cell; i < (x + dx) / cell; i++)
          if (!cells.has(key(i, j, k))) cells.set(key(i, j, k), { number: cells.size + 1, at: [i, j, k] })
  const nodes = new Map<string, number>()
  const node = (i: number, j: number, k: number) => {
    const id = nodes.get(key(i, j, k)) ?? nodes.size + 1
    nodes.set(key(i, j, k), id)
    return id
  }
  const corners = (at: readonly number[]) => {
    const [i, j, k] = at as [number, number, number]
    return [
      [i, j, k],
      [i + 1, j, k],
      [i + 1, j + 1, k],
      [i, j + 1, k],
      [i, j, k + 1],
      [i + 1, j, k + 1],
      [i + 1, j + 1, k + 1],
      [i, j + 1, k + 1],
    ].map(([a, b, c]) => node(a!, b!, c!))
  }
  const elements = [...cells.values()].map(({ number, at }) => [number, ...corners(at)].join(','))
  const alloy = findAlloy(asked.alloy as string)!
  const losses = asked.losses as { filmWm2K: number; emissivity: number; benchWm2K?: number; stripMm?: number }
  const longMm = Math.max(...boxes.map(([x, , , dx]) => x + dx))
  const onStrip = (i: number) =>
    [1 / 6, 5 / 6].some(share => Math.abs((i + 0.5) * cell - share * longMm) <= losses.stripMm! / 2)
  const [film, radiate]: [string[], string[]] = [[], []]
  for (const { number, at } of cells.values())
    for (const { face, of } of FACES) {
      if (cells.has(key(at[0] + of[0], at[1] + of[1], at[2] + of[2]))) continue
      const rests = face === 1 && at[2] === 0 && losses.benchWm2K && (!losses.stripMm || onStrip(at[0]))
      film.push(`${number},F${face},20.,${rests ? losses.benchWm2K : losses.filmWm2K}`)
      if (!rests) radiate.push(`${number},R${face},20.,${losses.emissivity}`)
    }
  const source = (asked.sources as unknown[])[0] as {
    powerW: number
    efficiencyPct: number
    radiusMm: number
    atMm?: number[]
    pathMm?: number[][]
    speedMmS?: number
    endS?: number
  }
  const sigma = source.radiusMm / 2
  const watts = (source.powerW * source.efficiencyPct) / 100
  const placeAt = (s: number): [number, number] => {
    if (source.atMm) return [source.atMm[0]!, source.atMm[1]!]
    const [from, to] = source.pathMm as [number[], number[]]
    const share = Math.min(1, (s * source.speedMmS!) / Math.hypot(to[0]! - from[0]!, to[1]! - from[1]!))
    return [from[0]! + share * (to[0]! - from[0]!), from[1]! + share * (to[1]! - from[1]!)]
  }
  const tops = [...cells.values()].filter(
    ({ at: [i, j, k] }) => ![...Array(20).keys()].some(up => cells.has(key(i, j, k + 1 + up))),
  )
  const fluxAt = ([i, j]: readonly number[], s: number) => {
    const [x, y] = placeAt(s)
    return (
      (watts * between(i! * cell, (i! + 1) * cell, x, sigma) * between(j! * cell, (j! + 1) * cell, y, sigma)) /
      (cell * 1e-3) ** 2
    )
  }
  const amplitudes: string[] = []
  const flux: string[] = []
  for (const { number, at } of tops)
    if (source.atMm) flux.push('*DFLUX', `${number},S2,${fluxAt(at, 0).toExponential(8)}`)
    else {
      const times = Array.from({ length: Math.round(source.endS!) + 1 }, (_, s) => s)
      const values = times.map(s => fluxAt(at, s))
      if (Math.max(...values) < 1e-3) continue
      amplitudes.push(`*AMPLITUDE,NAME=A${number}`)
      const points = [...times.map((s, n) => [s, values[n]!]), [source.endS! + 1e-3, 0], [1e4, 0]]
      for (let n = 0; n < points.length; n += 4)
        amplitudes.push(
          points
            .slice(n, n + 4)
            .map(([s, q]) => `${s},${q!.toExponential(6)}`)
            .join(','),
        )
      flux.push(`*DFLUX,AMPLITUDE=A${number}`, `${number},S2,1.`)
    }
  const probes = (asked.probes as { xMm: number; yMm: number; zMm: number }[]).map(({ xMm, yMm, zMm }) =>
    corners([xMm, yMm, zMm].map(mm => Math.floor(mm / cell))),
  )
  const written = [...nodes].map(([at, id]) => {
    const [x, y, z] = at.split(',').map(index => (Number(index) * cell * 1e-3).toFixed(6))
    return `${id},${x},${y},${z}`
  })
  const deck = [
    '*NODE,NSET=ALL',
    ...written,
    '*ELEMENT,TYPE=C3D8,ELSET=PART',
    ...elements,
    '*NSET,NSET=PROBES',
    ...[...new Set(probes.flat())].map(String),
    '*MATERIAL,NAME=METAL',
    '*CONDUCTIVITY',
    `${conductivityWmK(alloy).toFixed(4)}`,
    '*DENSITY',
    `${alloy.densityGcm3 * 1000}`,
    '*SPECIFIC HEAT',
    `${alloy.specificHeatJkgK}`,
    '*SOLID SECTION,ELSET=PART,MATERIAL=METAL',
    '*PHYSICAL CONSTANTS,ABSOLUTE ZERO=-273.15,STEFAN BOLTZMANN=5.670374E-8',
    ...amplitudes,
    '*INITIAL CONDITIONS,TYPE=TEMPERATURE',
    'ALL,20.',
    '*STEP,INC=100000',
    '*HEAT TRANSFER,DIRECT',
    `${STEP_S},${asked.durationS}.`,
    '*FILM',
    ...film,
    '*RADIATE',
    ...radiate,
    ...flux,
    '*NODE PRINT,NSET=PROBES,FREQUENCY=100000',
    'NT',
    '*END STEP',
    '',
  ].join('\n')
  return { deck, probes }
}

/** Temperatures printed last, by node. */
function printed(dat: string): Map<number, number> {
  const last = dat.slice(dat.lastIndexOf('temperatures'))
  return new Map(
    last.split('\n').flatMap(line => {
      const found = /^\s*(\d+)\s+(-?\d\.\d+E[+-]\d+)\s*$/.exec(line)
      return found ? [[Number(found[1]), Number(found[2])] as const] : []
    }),
  )
}

const answers: Record<string, number[]> = {}
for (const each of CASES) {
  const { deck, probes } = deckOf(each)
  const folder = mkdtempSync(join(tmpdir(), 'deck-'))
  writeFileSync(join(folder, 'case.inp'), deck)
  execFileSync('ccx', ['case'], { cwd: folder, stdio: 'ignore' })
  const found = printed(readFileSync(join(folder, 'case.dat'), 'utf8'))
  // The middle of an eight-node cell is the mean of its corners.
  answers[each.name] = probes.map(corners =>
    Number((corners.reduce((sum, id) => sum + found.get(id)!, 0) / corners.length).toFixed(3)),
  )
  writeFileSync(new URL(`${each.name}.inp.gz`, KEPT), gzipSync(deck, { level: 9 }))
  console.log(each.name, answers[each.name])
}
writeFileSync(new URL('answers.json', KEPT), `${JSON.stringify(answers, null, 2)}\n`)
