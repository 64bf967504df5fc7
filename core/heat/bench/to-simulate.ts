import { NoAnswer } from '../../ask/question'
import { orbit, pathLengthMm } from '../field/path'
import { simulateInput, type Simulate, type SimulateInput } from '../simulate.schema'
import { PLACE_KINDS } from './places.table'
import type { HeatSetup } from './setup.schema'
import { SOLIDS } from './solids.table'
import { LID_SHARE, STANDS } from './stands.table'

/** What a set-up takes from the job and the kit. */
export interface Surroundings {
  alloy: string
  startC: number
  ambientC: number
  targetC: number
  torch: { powerW: number; efficiencyPct: number; filmWm2K?: number | undefined } | null
  /** Triangles of the mesh the set-up names, where it names one. */
  trianglesMm?: number[] | undefined
}

/** Share of an AC TIG arc's power that enters aluminium: judgement, middle of the published 0.4–0.8 spread. */
const ARC_EFFICIENCY_PCT = 60
/** Radius at which an AC TIG arc's heat has fallen to 1/e²: judgement. */
const ARC_RADIUS_MM = 4
/** Film under a hot-air gun at its middle, W/m²K: impinging jets of this size run 60–150; judgement. */
const HOT_AIR_FILM_WM2K = 100
/** Film of still air. */
const STILL_AIR_WM2K = 10

interface Stored {
  typed: string
  value: number | null
}
function need({ typed, value }: Stored, what: string): number {
  if (value === null) throw new NoAnswer(typed.trim() ? `${what} is not understood: ${typed}` : `${what} is missing`)
  return value
}
const placeOf = (at: { x: Stored; y: Stored; z: Stored }, what: string): [number, number, number] => [
  need(at.x, `${what}, x`),
  need(at.y, `${what}, y`),
  need(at.z, `${what}, z`),
]

function shapeOf(setup: HeatSetup, trianglesMm: number[] | undefined): SimulateInput['shape'] {
  if (setup.mesh !== null) {
    if (!trianglesMm) throw new NoAnswer("the file with the part's shape is not on this bench: put it in again")
    return { kind: 'mesh', trianglesMm }
  }
  const parts = setup.parts.map(({ kind, size, at }) => ({
    shape: {
      kind,
      ...Object.fromEntries(
        Object.entries(SOLIDS[kind].sizes).map(([key, [label]]) => [
          key,
          need(size[key] ?? { typed: '', value: null }, `${SOLIDS[kind].name}: ${label}`),
        ]),
      ),
    } as never,
    atMm: placeOf(at, `${SOLIDS[kind].name}: where it stands`),
  }))
  return { kind: 'union', parts }
}

function sourceOf({ heat, onS }: HeatSetup, { torch }: Surroundings): SimulateInput['sources'][number] {
  const window = { startS: 0, endS: need(onS, 'how long the heat is on') }
  if (window.endS <= 0) throw new NoAnswer('how long the heat is on must be more than nothing')
  if (heat.kind === 'oven') return { ...window, kind: 'oven', airC: need(heat.ovenC, 'the oven') }
  const atMm = placeOf(heat.at, 'where it points')
  if (heat.kind === 'air')
    return {
      ...window,
      kind: 'hot-air',
      airC: need(heat.airC, 'the hot air'),
      filmWm2K: HOT_AIR_FILM_WM2K,
      face: heat.face,
      atMm,
      radiusMm: need(heat.radiusMm, 'how wide it spreads'),
    }
  if (heat.kind === 'arc') {
    return {
      ...window,
      kind: 'arc',
      powerW: need(heat.arcW, 'the arc'),
      efficiencyPct: ARC_EFFICIENCY_PCT,
      face: heat.face,
      atMm,
      pathMm: [atMm, placeOf(heat.to, 'where the arc goes')],
      speedMmS: need(heat.speedMmS, 'how fast the arc goes'),
      radiusMm: ARC_RADIUS_MM,
    }
  }
  if (!torch) throw new NoAnswer('there is no torch in the kit: put one in, or take the oven')
  const power = {
    powerW: (torch.powerW * need(heat.sharePct, 'turned down to')) / 100,
    efficiencyPct: torch.efficiencyPct,
    face: heat.face,
    atMm,
    radiusMm: need(heat.radiusMm, 'how wide it spreads'),
  }
  if (heat.kind === 'held') return { ...window, kind: 'torch', ...power }
  const ringMm = need(heat.ringMm, 'the ring it is walked on')
  const pathMm = orbit([0, 0, 0], ringMm, ringMm).map(([a, b]): [number, number, number] => {
    const [x, y, z] = atMm
    return heat.face === 'top' || heat.face === 'bottom'
      ? [x + a, y + b, z]
      : heat.face === 'front' || heat.face === 'back'
        ? [x + a, y, z + b]
        : [x, y + a, z + b]
  })
  return {
    ...window,
    kind: 'torch',
    ...power,
    pathMm,
    speedMmS: pathLengthMm(pathMm) / Math.max(1, need(heat.turnS, 'once round takes')),
  }
}

/**
 * What `heat.simulate` is asked for a set-up of the heat bench.
 * @throws NoAnswer with the first thing that is missing or cannot be, in the bench's words
 */
export function toSimulate(setup: HeatSetup, around: Surroundings, readings = 241): Simulate {
  const air = around.torch?.filmWm2K ?? STILL_AIR_WM2K
  const cover = setup.lid ? LID_SHARE : 1
  const input: SimulateInput = {
    shape: shapeOf(setup, around.trianglesMm),
    cellMm: need(setup.cellMm, 'the cells'),
    alloy: around.alloy,
    startC: around.startC,
    targetC: around.targetC,
    sources: [sourceOf(setup, around)],
    losses: {
      filmWm2K: air * cover,
      emissivity: 0.2 * cover,
      ambientC: around.ambientC,
      ...STANDS[setup.stand].losses,
    },
    durationS: Math.max(1, need(setup.onS, 'how long the heat is on') + (setup.afterS.value ?? 0)),
    readings,
    probes: setup.places.map(place => {
      const name = place.name || PLACE_KINDS[place.kind].name
      const [xMm, yMm, zMm] = placeOf(place.at, name)
      return { name, xMm, yMm, zMm }
    }),
  }
  const parsed = simulateInput.safeParse(input)
  if (parsed.success) return parsed.data
  const { path, message } = parsed.error.issues[0]!
  throw new NoAnswer(
    `${path.filter(key => typeof key === 'string' && !['shape', 'parts'].includes(key)).join(' ')}: ${message}`,
  )
}
