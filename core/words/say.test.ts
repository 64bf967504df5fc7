import { describe, expect, it } from 'vitest'
import { ENGLISH, sayer } from './say'

const say = sayer('de', {
  'Warm it to {0}: {1} with the {2}.': 'Auf {0} wärmen: {1} mit {2}.',
  'propylene torch': 'Propylenbrenner',
  pass: 'Lage',
  passes: 'Lagen',
  and: 'und',
  'a crack': 'ein Riss',
  'stop-hole': 'Stoppbohrung',
  'Held {0} of {1}': 'Von {1} hielten {0}',
  '{0}{1} deep': '{0}{1} tief',
  'Dry.': 'Trocken.',
  'the zone': 'die Zone',
})

describe('sayer', () => {
  it('says a whole text, and one that begins a sentence', () => {
    expect(say('a crack')).toBe('ein Riss')
    expect(say('A crack')).toBe('Ein Riss')
  })
  it('finds the template that fits, and says what stands at its places', () => {
    expect(say('Warm it to 120 °C: 4.5 min with the propylene torch.')).toBe(
      'Auf 120 °C wärmen: 4,5 min mit Propylenbrenner.',
    )
  })
  it('keeps the order of the language, not of English', () => {
    expect(say('Held {0} of {1}', [3, 5])).toBe('Von 5 hielten 3')
    expect(say('Held 3 of 5')).toBe('Von 5 hielten 3')
  })
  it('counts', () => {
    expect(say('seven passes')).toBe('7 Lagen')
    expect(say('Held one pass of two passes')).toBe('Von 2 Lagen hielten 1 Lage')
  })
  it('says piece by piece what no template holds', () => {
    expect(say('a crack, the zone and 3 passes')).toBe('ein Riss, die Zone und 3 Lagen')
  })
  it('leaves what a person wrote, and what is no text', () => {
    expect(say('Yoke of the bell')).toBe('Yoke of the bell')
    expect(say(null)).toBe(null)
    expect(say(1.5)).toBe('1,5')
  })
  it('takes a name that the language of the program or its marks also use', () => {
    for (const name of ['constructor', 'toString of 3', '\ue105 of 3', 'a $& b'])
      expect(say(name).length).toBe(name.length)
    expect(say.parts(['\ue003 stays', { figure: 1 }])).toEqual(['\ue003', ' stays', { figure: 1 }])
  })
  it('says a sentence in parts, each part keeping its place', () => {
    const figure = { figure: 120 }
    expect(say.parts(['Warm it to ', figure, ': ', 'x', ' with the propylene torch. Dry.'])).toEqual([
      'Auf ',
      figure,
      ' wärmen: x mit Propylenbrenner. Trocken.',
    ])
  })
  it('tells what would stay English', () => {
    expect(say.left('the zone, 3.2 mm of 6061-T6, AC')).toBe(2)
    expect(say.left('a heap')).toBe(4)
  })
})

describe('ENGLISH', () => {
  it('fills places and changes nothing else', () => {
    expect(ENGLISH('{1} of {0}, {2}', ['a', 1.5, null])).toBe('1.5 of a, ')
    expect(ENGLISH('as it is')).toBe('as it is')
    expect(ENGLISH.parts(['a', 1])).toEqual(['a', 1])
  })
})
