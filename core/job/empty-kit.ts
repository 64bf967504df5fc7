import type { Kit } from './job.schema'

/** A kit with nothing in it, at the rates a new shop starts from. Apart from the schema, so that the page need not load that to open. */
export const EMPTY_KIT: Kit = { shop: '', currency: '£', ratePerHour: 45, pricePerKWh: 0.3, machines: [], torches: [], rods: [], gases: [] }
