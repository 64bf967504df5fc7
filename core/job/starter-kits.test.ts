import { describe, expect, it } from 'vitest'
import { EMPTY_KIT } from './empty-kit'
import { kitSchema } from './job.schema'
import { STARTER_KITS } from './starter-kits.table'

describe('kits to begin with', () => {
  it.each(Object.entries(STARTER_KITS))('%s is a sound kit in which every thing has its own name', (_, { kit }) => {
    const whole = kitSchema.parse({ ...EMPTY_KIT, ...kit })
    for (const list of [whole.machines, whole.torches, whole.rods, whole.gases])
      expect(new Set(list.map(thing => thing.id)).size).toBe(list.length)
  })
  it('no machine gives more than its torch or its rating allows by name', () => {
    for (const { kit } of Object.values(STARTER_KITS))
      for (const machine of kit.machines) {
        expect(machine.lowA).toBeLessThan(machine.highA)
        expect(machine.ratedA).toBeLessThanOrEqual(machine.highA)
      }
  })
})
