import { z } from 'zod'
import { of, plain } from '../ask/output'

/** What `amps.need` answers. */
export const ampsNeed = z.strictObject({ a: of.a, lowA: of.a, highA: of.a, coldA: of.a })

/** What `machine.ac` answers. */
export const machineAc = z.strictObject({ averageA: of.a, rmsA: of.a, enMs: of.ms, epMs: of.ms })

/** What `machine.balance` answers. */
export const machineBalance = z.strictObject({ enPct: of.pct, epPct: of.pct })

/** What `machine.duty` answers. */
export const machineDuty = z.strictObject({ dutyPct: of.pct, weldMin: of.min, restMin: of.min })

/** What `machine.dial` answers. */
export const machineDial = z.strictObject({ a: of.a })

/** What `gas.use` answers. */
export const gasUse = z.strictObject({ litres: of.l, cylinderShare: plain.optional() })

/** What `machine.setup` answers. */
export const machineSetup = z.strictObject({
  a: of.a,
  tungstenMm: of.mm,
  tungstens: z.array(z.strictObject({ mm: of.mm, lowA: of.a, highA: of.a })),
  tip: z.string(),
  cup: plain,
  cupMm: of.mm,
  gasLMin: of.lMin,
  postflowS: of.s,
  fillerMm: of.mm,
  enPct: of.pct,
  frequencyHz: of.hz,
  schools: z.strictObject({
    frequency: z.record(z.string(), z.strictObject({ lowHz: of.hz, highHz: of.hz, buys: z.string() })),
    balance: z.record(z.string(), z.strictObject({ lowPct: of.pct, highPct: of.pct, buys: z.string() })),
  }),
})

/** What `mig.setup` answers. */
export const migSetup = z.strictObject({
  a: of.a,
  wireMMin: of.mMin,
  v: of.v,
  depositGMin: of.gMin,
  sprayFromA: of.a,
  sprays: z.boolean(),
  heldByWire: z.boolean(),
})
