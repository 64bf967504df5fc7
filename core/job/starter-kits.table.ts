import type { Kit } from './job.schema'

/**
 * Kits to begin with, one for each common kind of bench. All figures: common practice, no source; each bench puts its
 * own in their place. Prices are usual ones in pounds, marked as such until the bench has put its own.
 */
export type StarterKit = Pick<Kit, 'machines' | 'torches' | 'rods' | 'spools' | 'gases'>
type Machine = Kit['machines'][number]
type Rod = Kit['rods'][number]

const tig = (machine: Partial<Machine> & Pick<Machine, 'id' | 'name' | 'highA' | 'ratedA' | 'torchA'>): Machine => ({
  process: 'ac-tig',
  lowA: 5,
  ratedPct: 30,
  supplyV: null,
  breakerA: null,
  ranges: '',
  currentDial: 'amps',
  dialReads: 'cleaning-share',
  halves: 'together',
  paid: null,
  lowHz: 50,
  highHz: 200,
  ...machine,
})
/** A rod of each, whatever its thickness: by the kilogram thin ones cost more. */
const ROD_PRICE: Readonly<Record<string, number>> = { '4043': 0.6, '4047': 0.9, '5356': 0.7, 'zinc-al': 1.5 }
const rod = (id: string, filler: string, diameterMm: number, lengthMm = 914): Rod => ({
  id,
  filler,
  diameterMm,
  lengthMm,
  price: ROD_PRICE[filler] ?? 1,
  usualPrice: true,
  count: 20,
})
const ARGON = { id: 'argon', name: 'argon', cylinderL: 2000, price: 45, usualPrice: true, leftL: null }
const PROPYLENE = { id: 'propylene', name: 'propylene torch', gas: 'propylene', powerW: 3200, efficiencyPct: 30 }
const PROPANE = { id: 'propane', name: 'propane torch', gas: 'propane', powerW: 2000, efficiencyPct: 30 }
const TIG_RODS = [rod('4043-16', '4043', 1.6), rod('4043-24', '4043', 2.4), rod('5356-24', '5356', 2.4)]

export const STARTER_KITS = {
  'small-tig': {
    name: 'AC TIG of 200 A, one hand torch',
    kit: {
      machines: [tig({ id: 'tig', name: 'AC TIG', highA: 200, ratedA: 180, torchA: 150, supplyV: 230, breakerA: 16 })],
      torches: [PROPYLENE],
      rods: TIG_RODS,
      spools: [],
      gases: [ARGON],
    },
  },
  'large-tig': {
    name: 'AC TIG of 350 A with a water-cooled torch',
    kit: {
      machines: [
        tig({
          id: 'tig',
          name: 'AC TIG, water-cooled',
          highA: 350,
          ratedA: 300,
          ratedPct: 40,
          torchA: 320,
          supplyV: 400,
          breakerA: 32,
          halves: 'apart',
          highHz: 250,
        }),
      ],
      torches: [
        PROPYLENE,
        { ...PROPANE, id: 'large', name: 'large propane burner', powerW: 12_000, efficiencyPct: 25 },
      ],
      rods: [...TIG_RODS, rod('4043-32', '4043', 3.2), rod('4047-24', '4047', 2.4)],
      spools: [],
      gases: [{ ...ARGON, cylinderL: 9000, price: 90 }],
    },
  },
  'old-tig': {
    name: 'transformer TIG with two ranges, its dial in per cent',
    kit: {
      machines: [
        tig({
          id: 'tig',
          name: 'transformer TIG',
          lowA: 10,
          highA: 160,
          ratedA: 140,
          ratedPct: 35,
          torchA: 150,
          ranges: '10-60, 40-160',
          currentDial: 'percent',
          dialReads: 'ep-minus-en',
          lowHz: 50,
          highHz: 60,
        }),
      ],
      torches: [PROPANE],
      rods: TIG_RODS,
      spools: [],
      gases: [ARGON],
    },
  },
  gun: {
    name: 'MIG with a spool gun',
    kit: {
      machines: [
        tig({
          id: 'mig',
          name: 'spool-gun MIG',
          process: 'mig-spool',
          lowA: 30,
          highA: 180,
          ratedA: 150,
          torchA: 180,
          supplyV: 230,
          breakerA: 16,
        }),
      ],
      torches: [PROPANE],
      rods: [],
      spools: [
        { id: 'w4043', filler: '4043', diameterMm: 0.9, pricePerKg: 30, usualPrice: true, leftKg: 0.5 },
        { id: 'w5356', filler: '5356', diameterMm: 0.9, pricePerKg: 30, usualPrice: true, leftKg: 0.5 },
      ],
      gases: [ARGON],
    },
  },
  torch: {
    name: 'no arc: a torch and brazing rods',
    kit: {
      machines: [],
      torches: [
        PROPYLENE,
        { ...PROPANE, id: 'hot-air', name: 'hot-air gun', gas: 'mains', powerW: 1600, efficiencyPct: 18 },
      ],
      rods: [rod('zinc', 'zinc-al', 3.2, 450), rod('alsi', '4047', 2.4)],
      spools: [],
      gases: [],
    },
  },
} as const satisfies Readonly<Record<string, { name: string; kit: StarterKit }>>
export type StarterId = keyof typeof STARTER_KITS
