import type { Kit } from './job.schema'

/** A bench with nothing on it yet; written out, so that the first screen need not load the schemas. */
export const EMPTY_KIT: Kit = {
  shop: '',
  currency: '£',
  ratePerHour: 45,
  rateAssumed: true,
  pricePerKWh: 0.3,
  machines: [],
  torches: [],
  devices: [],
  lenses: [],
  trained: [],
  rods: [],
  spools: [],
  gases: [],
  drills: '',
  taps: '',
  learnt: null,
  latitudeDeg: null,
  longitudeDeg: null,
}
