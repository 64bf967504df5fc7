import { describe, expect, it } from 'vitest'
import { questions } from '../../questions'
import type { Found } from './find'
import { SENTENCES } from './sentences.fixture'

function ask(words: string, language: 'en' | 'de'): Found[] {
  const asked = questions.ask('ask.find', { words, language })
  if (!asked.ok) throw new Error(JSON.stringify(asked.error))
  return (asked.answer as { found: Found[] }).found
}
type Row = [words: string, question: string, input: Record<string, unknown>]

const ENGLISH: Row[] = [
  ['what drill for an M8 tap', 'thread.dims', { designation: 'M8' }],
  ['3/8-16 UNC tap drill', 'thread.dims', { designation: '3/8-16 UNC' }],
  ['M10x1.25', 'thread.dims', { designation: 'M10x1.25' }],
  ['G1/4', 'thread.dims', { designation: 'G1/4' }],
  ['how hot may 6061 get', 'alloy.list', { name: '6061' }],
  ['melting point of A356', 'alloy.list', { name: 'A356' }],
  ['density of 380', 'alloy.list', { name: '380' }],
  ['6061-T6', 'alloy.list', { name: '6061-T6' }],
  ['13.1 mm 19 tpi', 'thread.identify', { diameterMm: '13.1 mm', tpi: '19 tpi' }],
  ['1/4 in', 'thread.identify', { diameterMm: '1/4 in' }],
  ['which filler for 6061 to 356', 'filler.choose', { baseA: '6061', baseB: '356' }],
  ['is 5083 weldable and with which rod', 'filler.choose', { baseA: '5083' }],
  ['how many amps for a 6 mm wall', 'amps.need', { wallMm: '6 mm' }],
  ['what current does a 1/4 in wall need', 'amps.need', { wallMm: '1/4 in' }],
  ['preheat a 1.2 kg part of 356 to 150 C', 'heat.preheat', { massKg: '1.2 kg', targetC: '150 C', alloy: '356' }],
  [
    'how long to warm 2 kg to 120 C with 2500 W',
    'heat.preheat',
    { massKg: '2 kg', targetC: '120 C', sourceW: '2500 W' },
  ],
  ['wire insert for M6', 'thread.insert', { designation: 'M6', kind: 'wire' }],
  [
    'will M10 strip 20 mm deep in 180 MPa',
    'thread.strength',
    { designation: 'M10', engagementMm: '20 mm', bodyUtsMPa: '180 MPa' },
  ],
  ['duty 200 A 35 % at 150 A', 'machine.duty', { ratedA: '200 A', ratedPct: '35 %', a: '150 A' }],
  ['dial at 40 % from 5 to 200 A', 'machine.dial', { dialPct: '40 %', lowA: '5 A', highA: '200 A' }],
  ['tungsten for 150 A', 'machine.setup', { a: '150 A' }],
  ['mig settings for 4 mm wall with 1.0 mm wire', 'mig.setup', { wallMm: '4 mm', wireMm: '1.0 mm' }],
  [
    'argon 8 L/min for 12 min from a 2000 L cylinder',
    'gas.use',
    { flowLMin: '8 L/min', arcMin: '12 min', cylinderL: '2000 L' },
  ],
  ['crack 60 mm long in a 6 mm wall', 'groove.plan', { crackMm: '60 mm', wallMm: '6 mm' }],
  ['grind out a 2 in crack in a wall of 8 mm', 'groove.plan', { crackMm: '2 in', wallMm: '8 mm' }],
  [
    'press fit 20 mm slug 0.03 mm interference in a 40 mm hub',
    'fit.press',
    { diameterMm: '20 mm', interferenceMm: '0.03 mm', hubMm: '40 mm' },
  ],
  ['shrink fit', 'fit.shrink', {}],
  ['rpm for a 6 mm drill in 6061', 'cut.speed', { tool: 'drill', diameterMm: '6 mm', alloy: '6061' }],
  ['what does anodising do to 4043', 'finish.after', { after: 'anodised', filler: '4043' }],
  ['dry 100 g under water 63 g', 'alloy.density', { dryG: '100 g', submergedG: '63 g' }],
  [
    'leak 5 L tank from 50 kPa to 45 kPa in 300 s',
    'leak.decay',
    { volumeL: '5 L', startKPa: '50 kPa', endKPa: '45 kPa' },
  ],
  [
    'flange bent 3 mm over 120 mm, 8 mm thick, 356',
    'bend.straighten',
    { outMm: '3 mm', overMm: '120 mm', thickMm: '8 mm' },
  ],
  ['what is this alloy', 'alloy.identify', {}],
  ['150 A', 'machine.setup', { a: '150 A' }],
]
const GERMAN: Row[] = [
  ['Kernlochbohrer für M8', 'thread.dims', { designation: 'M8' }],
  ['bei welcher Temperatur schmilzt 356', 'alloy.list', { name: '356' }],
  ['wie viel Ampere für 6 mm Wand', 'amps.need', { wallMm: '6 mm' }],
  ['welcher Zusatz für 6061', 'filler.choose', { baseA: '6061' }],
  ['13,1 mm 19 Gang', 'thread.identify', { diameterMm: '13.1 mm', tpi: '19 tpi' }],
  ['Drehzahl für 8 mm Bohrer in 6082', 'cut.speed', { tool: 'drill', diameterMm: '8 mm', alloy: '6082' }],
  ['Riss 80 mm lang, Wand 5 mm', 'groove.plan', { crackMm: '80 mm', wallMm: '5 mm' }],
  ['Vorwärmen 1,5 kg auf 120 Grad', 'heat.preheat', { massKg: '1.5 kg', targetC: '120 C' }],
  ['Drahteinsatz M10', 'thread.insert', { designation: 'M10', kind: 'wire' }],
  ['Einschaltdauer 200 A 35 % bei 150 A', 'machine.duty', { ratedPct: '35 %' }],
  ['Argon 8 L/min 12 Minuten', 'gas.use', { flowLMin: '8 L/min', arcMin: '12 min' }],
  ['trocken 100 g unter Wasser 63 g', 'alloy.density', { dryG: '100 g', submergedG: '63 g' }],
]

describe('ask.find', () => {
  it.each(ENGLISH)('%s', (words, question, input) => {
    const [first] = ask(words, 'en')
    expect(first?.question).toBe(question)
    expect(first!.input).toMatchObject(input)
  })
  it.each(GERMAN)('%s (German)', (words, question, input) => {
    const [first] = ask(words, 'de')
    expect(first?.question).toBe(question)
    expect(first!.input).toMatchObject(input)
  })
  it.each(SENTENCES)('$language: $words', ({ language, words, question, input }) => {
    const [first] = ask(words, language)
    expect(first?.question).toBe(question)
    expect(first!.input).toMatchObject(input)
  })
  it('takes the less for the lowest, in whatever order they were said', () => {
    for (const words of ['dial 40 % from 5 to 200 A', 'dial 40 %, up to 200 A from 5 A'])
      expect(ask(words, 'en')[0]!.input).toMatchObject({ lowA: '5 A', highA: '200 A' })
    for (const words of ['density 100 g dry 63 g under water', 'density 63 g under water 100 g dry'])
      expect(ask(words, 'en')[0]!.input).toMatchObject({ dryG: '100 g', submergedG: '63 g' })
  })
  it('keeps a sign, an alloy before "in", and a whole row of sizes', () => {
    expect(ask('dial balance -40', 'en')[0]!.input).toMatchObject({ value: -40 })
    expect(ask('filler for 5083 and 6082 in salt water', 'en')[0]!.input).toEqual({
      baseA: '5083',
      baseB: '6082',
      service: { saltWater: true },
    })
    expect(ask('build up a lost corner 30 x 12 x 10 mm', 'en')[0]!.input).toEqual({
      longMm: '30 mm',
      wideMm: '12 mm',
      highMm: '10 mm',
    })
  })
  it('where nothing is missing it can be asked as it is, and what is missing is wanted', () => {
    for (const [words] of ENGLISH)
      for (const { question, input, missing } of ask(words, 'en')) {
        const asked = questions.ask(question, input)
        const bad = !asked.ok && asked.error.kind === 'invalid-input' ? asked.error.issues.map(({ path }) => path) : []
        expect(bad.length > 0, `${words}: ${question}`).toBe(missing.length > 0)
        for (const key of missing) expect(bad.some(path => path.startsWith(key))).toBe(true)
      }
  })
  it('likeliest first, no more than was asked, and nothing where nothing fits', () => {
    for (const [words] of ENGLISH) {
      const sure = ask(words, 'en').map(found => found.sure)
      expect(sure).toEqual(sure.toSorted((a, b) => b - a))
      for (const one of sure) expect(one > 0 && one < 1).toBe(true)
      expect(sure.length).toBeLessThanOrEqual(3)
    }
    for (const words of ['', '   ', 'hello there', '???', 'zzzz qqqq']) expect(ask(words, 'en')).toEqual([])
  })
  it('bears whatever is typed', () => {
    for (const words of ['M', '1/0 in', '99999999999999 mm', '-5 C', '1e400 kg', 'M8 M8 M8 M8', '<b>', '9'.repeat(400)])
      expect(Array.isArray(ask(words, 'en'))).toBe(true)
  })
})
