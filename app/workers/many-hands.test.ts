import { describe, expect, it } from 'vitest'
import { inPieces, manyHands } from './many-hands'

const double = (n: number) => 2 * n
const numbers = Array.from({ length: 40 }, (_, n) => n)

describe('many hands', () => {
  it('does every piece once, in order, with none to help and with some', async () => {
    const seen: number[] = []
    const other = async (n: number) => {
      seen.push(n)
      return double(n)
    }
    expect(await manyHands(numbers, double, [])).toEqual(numbers.map(double))
    expect(await manyHands(numbers, double, [other, other])).toEqual(numbers.map(double))
    expect(seen.length).toBeGreaterThan(0)
    expect(new Set(seen).size).toBe(seen.length)
    expect(await manyHands([], double, [other])).toEqual([])
  })
  it('does itself what another lets fall, and gives no more to that one', async () => {
    let asked = 0
    const lame = async (): Promise<number> => {
      asked += 1
      throw new Error('gone')
    }
    expect(await manyHands(numbers, double, [lame])).toEqual(numbers.map(double))
    expect(asked).toBeLessThan(4)
  })
  it('tells of a fault in its own work', async () => {
    await expect(
      manyHands(numbers, () => {
        throw new Error('broken')
      }, []),
    ).rejects.toThrow('broken')
  })
  it('parts a list', () => {
    expect(inPieces([1, 2, 3, 4, 5], 2)).toEqual([[1, 2], [3, 4], [5]])
    expect(inPieces([], 2)).toEqual([])
  })
})
