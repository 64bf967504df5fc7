import type { Caution, CautionLevel } from '../ask/question'

/**
 * Every caution the application raises, by code: the words live here and nowhere else.
 * Source: common practice and the usual shop rules for arc welding (ANSI Z49.1), recalled from memory. They are
 * reminders, not instructions: local codes, the maker of the part and of the equipment, and licensed practice come
 * first.
 * A `stop` holds the call until it is acknowledged by name.
 */
type Row = readonly [level: CautionLevel, title: string, text: string]

const CAUTIONS = {
  'earth-before-arc': [
    'caution',
    'Earth first',
    'Earth clamped on the part itself, on bare metal, and proved on scrap before the first arc. An unearthed part on AC can kill. Local electrical rules come first.',
  ],
  'chlorinated-solvent': [
    'stop',
    'No chlorinated solvent',
    'No chlorinated solvent (brake or contact cleaner of that kind) on or near the part: under an arc it makes phosgene. Acetone or isopropyl only, and let it dry right out.',
  ],
  'solvent-fire': [
    'caution',
    'Solvent burns',
    'Acetone and isopropyl burn: wipe away from flame and arc, let the part dry, shut the tin, rags in a lidded metal bin.',
  ],
  'caustic-spot': [
    'caution',
    'Caustic',
    'Caustic blinds: goggles, gloves, one drop, water and vinegar at hand. Rinse and neutralise before anything else touches the spot.',
  ],
  'chips-burn': [
    'caution',
    'Filings and chips',
    'Until magnesium is ruled out, file only a pinch, away from sparks and flame: its chips burn, and water makes them worse. Dry sand at hand.',
  ],
  'arc-test': [
    'caution',
    'First arc',
    'First arc only with earth proved, bare clean metal, extraction on and magnesium ruled out.',
  ],
  magnesium: [
    'stop',
    'Magnesium',
    'This reads as magnesium. Grinding dust and chips burn and water makes it worse. No grinding, no arc, no flame: send it to someone equipped for magnesium.',
  ],
  'magnesium-possible': [
    'caution',
    'Magnesium not ruled out',
    'Magnesium is not ruled out. A drop of vinegar on a filed spot fizzes on magnesium: do that before any grinding or arc.',
  ],
  'zinc-fume': [
    'stop',
    'Zinc',
    'This may be a zinc casting. Zinc boils under an arc and its fume makes you ill; it is not fusion welded. Do not strike an arc on it.',
  ],
  'strong-alloy': [
    'caution',
    'A strong alloy',
    'A strong Al-Cu or Al-Zn-Mg-Cu alloy cracks as it freezes and loses most of its strength beside the weld. Do not weld anything that carries load; ask the maker.',
  ],
  'seal-acid': [
    'stop',
    'Seals that give off acid',
    'Fluoroelastomer seals give off hydrogen fluoride when overheated, and char left behind burns skin. Take them out before any heat, and never touch blackened remains with bare hands.',
  ],
  'closed-hollow': [
    'stop',
    'Closed hollows and fuel',
    'A closed hollow, or one that held fuel, can burst or explode when heated. Vent it, drain and purge it, and leave the vent open. Where it held fuel, follow local rules or send it on.',
  ],
  'old-epoxy': [
    'caution',
    'Old epoxy in the crack',
    'Epoxy and filler burnt with a torch give off harmful fume: blast or burr it out with extraction and a mask; do not burn it out indoors.',
  ],
  'coating-fume': [
    'caution',
    'What is on it',
    'Paint, powder, plating and anodising come off for about 12 mm each side before any arc. Chromium, cadmium, zinc and lead in coatings make poisonous fume: extraction and the right mask.',
  ],
  'aluminium-dust': [
    'caution',
    'Aluminium dust',
    'Aluminium dust explodes, worse with steel sparks: keep grinders and dust collectors for aluminium only, damp the dust down, no sparks near it.',
  ],
  'rotating-tools': [
    'note',
    'Turning tools',
    'Burrs and discs grab in soft metal: eye shield, two hands, no gloves near a spindle, part clamped.',
  ],
  'ozone-uv': [
    'caution',
    'Ultraviolet and ozone',
    'Argon arcs on bright aluminium throw strong ultraviolet and make ozone: cover all skin, screen the neighbours, extraction drawing from the part.',
  ],
  'hot-no-glow': [
    'caution',
    'Hot aluminium does not glow',
    'Nothing shows that it is hot. Chalk HOT on it, and test with a temperature stick before a hand goes near.',
  ],
  'torch-fire': [
    'caution',
    'Open flame',
    'Open flame: nothing that burns within reach, extinguisher by, cylinders upright and away from the flame, room aired.',
  ],
  'oxygen-fuel': [
    'caution',
    'Oxygen',
    'Oxygen makes oil and grease burn by themselves: none on fittings, hoses or gloves. Flashback arrestors and regulators by their maker, cylinders upright, leak test with soap; local rules come first.',
  ],
  'welding-flux': [
    'caution',
    'Flux',
    'Aluminium flux is corrosive and its fume is harmful: extraction, gloves and goggles, and every trace washed off with hot water.',
  ],
  'flame-glare': [
    'note',
    'Glare',
    'Flux glows yellow and hides the puddle: gas-welding goggles of the shade your rules ask for.',
  ],
  'pulsed-noise': ['note', 'Noise', 'Pulsed and AC arcs howl: ear defenders.'],
  'pressure-test': [
    'caution',
    'Pressure',
    'Compressed air stores energy. Test with water, or with a few kPa of air and soap, from behind a screen; never to working pressure with air.',
  ],
  'not-above-65': [
    'note',
    'Service heat',
    'Magnesium fillers over 3 % are not for long service above about 65 °C (stress-corrosion).',
  ],
  'safety-wheel': [
    'stop',
    'A wheel',
    "A wheel carries lives. It needs the maker's approval and licensed practice; local rules may forbid any weld on it.",
  ],
  'safety-steering-brake': [
    'stop',
    'Steering and brakes',
    "Steering and brake parts carry lives. They need the maker's approval and licensed practice, not a bench repair.",
  ],
  'safety-lifting': [
    'stop',
    'Lifting gear',
    "Lifting gear carries lives. It needs the maker's approval, a licensed welder and a proof test on record.",
  ],
  'safety-pressure': [
    'stop',
    'A pressure vessel',
    "A pressure vessel needs the maker's approval, a code procedure and a licensed welder.",
  ],
  'safety-aircraft': [
    'stop',
    'Aircraft',
    'Aircraft parts are mended only under the approval of the maker and the authority, by licensed people.',
  ],
} as const satisfies Record<string, Row>

export type CautionCode = keyof typeof CAUTIONS

export const CAUTION_CODES = Object.keys(CAUTIONS) as CautionCode[]

/** The caution with a code. @throws Error on a code with no words: a mistake in the program */
export function caution(code: string): Caution {
  const row: Row | undefined = (CAUTIONS as Record<string, Row>)[code]
  if (!row) throw new Error(`no words for caution ${code}`)
  return { code, level: row[0], title: row[1], text: row[2] }
}
