import type { SEEN } from '../../metal/identify/tests.table'
import { maybePick, reading, words } from './declared'

/** What a test can show, in words. */
type Seen<Test extends keyof typeof SEEN> = Readonly<Record<(typeof SEEN)[Test][number], string>>
const FORM: Seen<'form'> = {
  casting: 'casting',
  sheet: 'sheet or plate',
  extrusion: 'bar, tube or section',
  forging: 'forging',
  'machined-all-over': 'machined all over',
}
const SURFACE: Seen<'surface'> = {
  'sand-grain': 'sand grain',
  'smooth-mould': 'smooth mould skin',
  'ejector-marks': 'ejector marks',
  rolled: 'rolled',
  'extrusion-lines': 'extrusion lines',
}
const FRACTURE: Seen<'fracture'> = { granular: 'granular', stretched: 'stretched' }
const CAUSTIC_SPOT: Seen<'causticSpot'> = { black: 'black', 'grey-brown': 'grey-brown', clear: 'clear' }
const VINEGAR: Seen<'vinegar'> = { fizz: 'fizzes', still: 'lies still' }
const ARC_TEST: Seen<'arcTest'> = {
  'wets-clean': 'wets clean',
  'black-pepper': 'black pepper',
  'white-powder': 'white powder',
  'bright-flare': 'bright flare',
  'cracks-behind': 'cracks behind',
}

/** What tests have shown of the metal. */
export const know = {
  markText: words('What it says', 120),
  usePart: words('It was a', 120),
  form: maybePick('Made from', FORM),
  surface: maybePick('Skin', SURFACE),
  fracture: maybePick('Break', FRACTURE),
  causticSpot: maybePick('Spot', CAUSTIC_SPOT),
  vinegar: maybePick('Vinegar', VINEGAR),
  arcTest: maybePick('Puddle', ARC_TEST),
  dryG: reading('g', 'Dry', { above: 0, max: 1e8 }),
  submergedG: reading('g', 'Under water', { max: 1e8 }),
  hangerG: reading('g', 'Empty hanger', { usual: 0, max: 1e8 }),
  scaleG: reading('g', 'Scale step', { usual: 1, min: 0, max: 1e6 }),
  iacsPct: reading('pct', '% IACS', { above: 0, max: 110 }),
  hb: reading('number', 'HB', { above: 0, max: 1000 }),
  composition: words('Si 7.1, Mg 0.3, Cu 0.1', 600, { long: true }),
  alloy: words('Alloy, if you know it for sure', 40),
}
