import { describe, expect, it } from 'vitest'
import { schedule } from './schedules.fixture'

describe('changes waiting to be stored', () => {
  it('nothing that was said to be stored is missing, nothing older wins: 300 drawn schedules of two tabs', async () => {
    const wrong: string[] = []
    for (let seed = 1; seed <= 300; seed++) wrong.push(...(await schedule(seed)))
    expect(wrong).toEqual([])
  })
})
