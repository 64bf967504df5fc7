import { NoAnswer } from '../../ask/question'
import { needed, placeOf, shapeOfSolid } from '../../solid/stored/to-shape'
import { orbit, pathLengthMm } from '../field/path'
import { simulateInput, type Simulate, type SimulateInput } from '../simulate.schema'
import { PLACE_KINDS } from './places.table'
import type { HeatSetup } from './setup.schema'
import { spotsAlong } from './swept'
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

function shapeOf({ parts: pieces, mesh }: HeatSetup, trianglesMm: number[] | undefined): SimulateInput['shape'] {
  const file =
    mesh === null ? null : { file: mesh, name: '', volumeMm3: null, skinMm2: null, sizeMm: null, cells: null }
  const shape = shapeOfSolid({ pieces, mesh: file }, trianglesMm)
  if (!shape) throw new NoAnswer('the part has no shape yet: put it together, or give its length and width')
  return shape as SimulateInput['shape']
}

function sourcesOf({ heat, onS }: HeatSetup, { torch }: Surroundings): SimulateInput['sources'] {
  const window = { startS: 0, endS: needed(onS, 'how long the heat is on') }
  if (window.endS <= 0) throw new NoAnswer('how long the heat is on must be more than nothing')
  if (heat.kind === 'oven') return [{ ...window, kind: 'oven', airC: needed(heat.ovenC, 'the oven') }]
  const atMm = placeOf(heat.at, 'where it points')
  if (heat.kind === 'air')
    return [
      {
        ...window,
        kind: 'hot-air',
        airC: needed(heat.airC, 'the hot air'),
        filmWm2K: HOT_AIR_FILM_WM2K,
        face: heat.face,
        atMm,
        radiusMm: needed(heat.radiusMm, 'how wide it spreads'),
      },
    ]
  if (heat.kind === 'arc') {
    return [
      {
        ...window,
        kind: 'arc',
        powerW: needed(heat.arcW, 'the arc'),
        efficiencyPct: ARC_EFFICIENCY_PCT,
        face: heat.face,
        atMm,
        pathMm: [atMm, placeOf(heat.to, 'where the arc goes')],
        speedMmS: needed(heat.speedMmS, 'how fast the arc goes'),
        radiusMm: ARC_RADIUS_MM,
      },
    ]
  }
  if (!torch) throw new NoAnswer('there is no torch in the kit: put one in, or take the oven')
  const power = {
    powerW: (torch.powerW * needed(heat.sharePct, 'turned down to')) / 100,
    efficiencyPct: torch.efficiencyPct,
    face: heat.face,
    atMm,
    radiusMm: needed(heat.radiusMm, 'how wide it spreads'),
  }
  if (heat.kind === 'held') return [{ ...window, kind: 'torch', ...power }]
  if (heat.kind === 'swept') {
    const spots = spotsAlong([atMm, ...heat.via, placeOf(heat.to, 'where it is swept to')])
    return spots.map(spot => ({ ...window, kind: 'torch', ...power, powerW: power.powerW / spots.length, atMm: spot }))
  }
  const ringMm = needed(heat.ringMm, 'the ring it is walked on')
  const pathMm = orbit([0, 0, 0], ringMm, ringMm).map(([a, b]): [number, number, number] => {
    const [x, y, z] = atMm
    return heat.face === 'top' || heat.face === 'bottom'
      ? [x + a, y + b, z]
      : heat.face === 'front' || heat.face === 'back'
        ? [x + a, y, z + b]
        : [x, y + a, z + b]
  })
  return [
    {
      ...window,
      kind: 'torch',
      ...power,
      pathMm,
      speedMmS: pathLengthMm(pathMm) / Math.max(1, needed(heat.turnS, 'once round takes')),
    },
  ]
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
    cellMm: needed(setup.cellMm, 'the cells'),
    alloy: around.alloy,
    startC: around.startC,
    targetC: around.targetC,
    sources: sourcesOf(setup, around),
    losses: {
      filmWm2K: air * cover,
      emissivity: 0.2 * cover,
      ambientC: around.ambientC,
      ...STANDS[setup.stand].losses,
    },
    durationS: Math.max(1, needed(setup.onS, 'how long the heat is on') + (setup.afterS.value ?? 0)),
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
