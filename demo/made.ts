import { kitSchema, type Job } from '../core/job/job.schema'
import { mendSchema } from '../core/job/mend.schema'
import type { StationId } from '../core/job/stations.table'
import { kindOf, type KindId } from '../core/mend/registry'
import { planJob } from '../core/station/plan-job'
import { read } from '../core/quantity/read'
import type { UnitKey } from '../core/quantity/units.table'

/** What the made-up jobs are made with: readings as they are typed, the shop's kit, stations settled, mends. */
export const reading = (typed: string, unit: UnitKey) => {
  const understood = read(typed, unit)
  if (!understood.ok) throw new Error(understood.message)
  return { typed, value: understood.value }
}

export const KIT = kitSchema.parse({
  shop: 'Larkmoor Bench',
  currency: '£',
  ratePerHour: 42,
  pricePerKWh: 0.29,
  machines: [
    {
      id: 'tig-200',
      name: 'bench AC TIG',
      process: 'ac-tig',
      lowA: 5,
      highA: 200,
      ratedA: 200,
      ratedPct: 25,
      torchA: 180,
      dialReads: 'cleaning-share',
      halves: 'apart',
      lowHz: 40,
      highHz: 200,
    },
    {
      id: 'tig-old',
      name: 'old transformer TIG',
      process: 'ac-tig',
      lowA: 20,
      highA: 140,
      ratedA: 140,
      ratedPct: 35,
      torchA: 150,
      dialReads: 'ep-minus-en',
      lowHz: 50,
      highHz: 60,
    },
    {
      id: 'mig-180',
      name: 'spool-gun MIG',
      process: 'mig-spool',
      lowA: 30,
      highA: 180,
      ratedA: 180,
      ratedPct: 30,
      torchA: 180,
      dialReads: 'en-share',
    },
  ],
  torches: [
    { id: 'propylene', name: 'propylene torch', gas: 'propylene', powerW: 3200, efficiencyPct: 30 },
    { id: 'hot-air', name: 'hot-air gun', gas: 'mains', powerW: 1600, efficiencyPct: 18 },
  ],
  rods: [
    { id: 'r1', filler: '4043', diameterMm: 2.4, lengthMm: 914, price: 0.62, count: 34 },
    { id: 'r2', filler: '4043', diameterMm: 1.6, lengthMm: 914, price: 0.38, count: 20 },
    { id: 'r3', filler: '5356', diameterMm: 2.4, lengthMm: 914, price: 0.66, count: 26 },
    { id: 'r4', filler: '4047', diameterMm: 2.4, lengthMm: 914, price: 0.74, count: 8 },
  ],
  spools: [{ id: 'w1', filler: '4043', diameterMm: 0.9, pricePerKg: 31, leftKg: 0.42 }],
  gases: [{ id: 'argon', name: 'argon', cylinderL: 2000, leftL: 1240, price: 46 }],
  drills: '1 to 13 by 0.5 mm, 3.3, 4.2, 6.8, 10.2, 17/64 in, letter F, No. 7',
  taps: 'M5, M6, M8, M10, 1/4-20 UNC, M6 insert, M8 wire insert',
  latitudeDeg: 52.3,
  longitudeDeg: -2.6,
})

/** Settles stations in order, each on the basis it has then. */
export function settle(job: Job, at: string, ...ids: StationId[]): Job {
  const plan = planJob(job, KIT)
  return {
    ...job,
    settled: { ...job.settled, ...Object.fromEntries(ids.map(id => [id, { at, basis: { ...plan[id].basis } }])) },
  }
}

export type Typed = Record<string, string | boolean | string[]>

/** A mend with its readings as they were typed, each in the unit that its kind's field has. */
export function mend(id: string, kind: KindId, name: string, typed: Typed, more: object = {}) {
  const { fields } = kindOf(kind)
  const readings = Object.fromEntries(
    Object.entries(typed).map(([key, value]) => {
      const field = fields[key]
      if (!field) throw new Error(`a ${kind} has no ${key}`)
      return [key, field.kind === 'reading' ? reading(String(value), field.unit!) : value]
    }),
  )
  return mendSchema.parse({ id, kind, name, readings, ...more })
}
