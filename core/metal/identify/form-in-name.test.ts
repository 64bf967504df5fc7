import { describe, expect, test } from 'vitest'
import { formInName } from './form-in-name'

describe('what a name says a part was made from', () => {
  test.each([
    ['Cast pump foot', 'casting'],
    ['cast cover plate', 'casting'],
    ['Bracket, die-cast', 'casting'],
    ['Gussgehäuse', 'casting'],
    ['Aluguss-Deckel', 'casting'],
    ['Sheet tray', 'sheet'],
    ['Tränenblech am Tritt', 'sheet'],
    ['Frame tube', 'extrusion'],
    ['Rohrbogen', 'extrusion'],
    ['Forged lever', 'forging'],
    ['Billet hub', 'machined-all-over'],
  ])('%s: %s', (name, form) => expect(formInName(name)).toBe(form))
  test.each(['Pump foot', 'Castle lamp', 'Gearbox cover, cracked flange', 'Barrel hoop', 'Plated hook', ''])(
    '%s says nothing of it',
    name => expect(formInName(name)).toBeNull(),
  )
})
