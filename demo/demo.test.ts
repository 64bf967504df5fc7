import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { makeShop } from './make-shop'

describe('the made-up shop', () => {
  it('stands in its file as it is made', () => expect(readFileSync(new URL('./larkmoor-bench.json', import.meta.url), 'utf8')).toBe(makeShop()))
  it('keeps away from what the demo may not show', () => expect(makeShop()).not.toMatch(/\b(car|boat|engine|chain ?saw|wheel|motor|tractor|tool ?box)\b/i))
})
