/** What can be picked at the bench, with its words. Ids are kept in files; words are for the reader. */
export const CAUSES = {
  unknown: 'not known yet',
  'seized-forced': 'seized dry and was forced',
  'bolted-crooked': 'bolted down to something not flat',
  'ribs-cut': 'stiffening cut away by someone',
  thrown: 'struck by a thrown chain or tool',
  dropped: 'dropped or knocked',
  frost: 'burst by frost',
  corrosion: 'corroded by salt or wet',
  'over-tightened': 'over-tightened',
  'earlier-repair': 'an earlier repair let go',
  'loose-mount': 'loose mount, shaken',
  fatigue: 'cracked by repeated load',
} as const

/** What a customer would rather have of the ways to mend a part. */
export const PREFERS = { cheap: 'cheap', soon: 'soon', sure: 'sure' } as const
export type Prefers = keyof typeof PREFERS

/** Why a mended part came back. */
export const COMEBACKS = {
  'cracked-again': 'cracked again in the weld',
  beside: 'cracked beside the weld',
  leaks: 'leaks',
  'came-off': 'thread or face let go',
  cause: 'the cause was not cured',
  elsewhere: 'broke somewhere else',
} as const
export type Comeback = keyof typeof COMEBACKS

export const COATINGS = {
  none: 'bare',
  paint: 'painted',
  powder: 'powder-coated',
  plated: 'plated',
  anodised: 'anodised',
} as const
export type Coating = keyof typeof COATINGS

export { MUST_NOT_MOVE } from '../part/words.table'

export interface Protect {
  readonly name: string
  readonly how: string
  readonly caution?: string
  readonly limitC?: number
  /** Left on the part while it is mended, so that its limit is the part's. */
  readonly staysOn?: true
}

/** What must be kept from harm, how, and the caution it raises. Limits: common practice, no source. */
export const PROTECTS = {
  'lip-seal': { name: 'lip seal near the weld', how: 'take it out and fit a new one: a cheap part', limitC: 100 },
  'fluoro-seal': {
    name: 'fluoroelastomer seal or ring',
    how: 'take it out before any heat',
    caution: 'seal-acid',
    limitC: 200,
  },
  bush: { name: 'bush left in', how: 'bushes usually live; keep the torch off them', limitC: 150, staysOn: true },
  'finished-bore': {
    name: 'finished bore',
    how: 'line it with thin sheet, about 0.6 mm steel, so that drips do not stick',
  },
  openings: { name: 'openings', how: 'stuff with rags, taken out before any flame' },
  'finished-face': { name: 'finished face', how: 'lay it on card; earth through a bolt hole, never through paint' },
  electronics: { name: 'electronics', how: 'take them off; lift the battery lead' },
  fuel: {
    name: 'fuel or its tank',
    how: 'drain, purge, keep cool and never near flame',
    caution: 'closed-hollow',
    limitC: 60,
    staysOn: true,
  },
  'closed-hollow': { name: 'closed hollow', how: 'drill or open a vent before heat', caution: 'closed-hollow' },
  neighbours: { name: 'neighbouring work', how: 'cover it: aluminium dust travels' },
} as const satisfies Record<string, Protect>
export type ProtectId = keyof typeof PROTECTS
const PROTECT_OF: ReadonlyMap<string, Protect> = new Map(Object.entries(PROTECTS))
/** What is known of a thing that is guarded, by its id; undefined where no table knows it. */
export const protectOf = (id: string): Protect | undefined => PROTECT_OF.get(id)
export const PROTECT_NAMES = Object.fromEntries(Object.entries(PROTECTS).map(([id, { name }]) => [id, name])) as Record<
  ProtectId,
  string
>

/** What the puddle did, as logged against a pass. What to do next: core/puddle. */
export const SEEN_IN_PUDDLE = {
  'wets-clean': { name: 'wets clean' },
  'black-specks': { name: 'black specks' },
  bubbles: { name: 'bubbles keep coming' },
  reopens: { name: 'crack reopens behind the arc' },
  scum: { name: 'scum on it' },
  pinhole: { name: 'pinhole' },
  'tungsten-touched': { name: 'tungsten touched' },
  'arc-wanders': { name: 'arc wanders' },
  'burns-through': { name: 'burns through' },
  sags: { name: 'sags' },
  'too-hot': { name: 'part too hot' },
} as const
export type SeenInPuddle = keyof typeof SEEN_IN_PUDDLE
