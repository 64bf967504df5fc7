import { describe, expect, it } from 'vitest'
import { tooMuchJson } from './depth'

describe('JSON that is too much', () => {
  it('is told by its depth and its values, without building it', () => {
    expect(tooMuchJson('[['.repeat(40) + ']]'.repeat(40), 1000)).toMatch(/deep/)
    expect(tooMuchJson('['.repeat(4e7), 1e9)).toMatch(/deep/)
    expect(tooMuchJson(`[${'1,'.repeat(2000)}1]`, 1000)).toMatch(/values/)
  })
  it('is not told by what stands in quotes', () => {
    expect(tooMuchJson(JSON.stringify({ a: '['.repeat(500), b: '\\"[['.repeat(50) }), 1000)).toBeNull()
    expect(tooMuchJson('{"a":[1,2,{"b":"x"}]}', 1000)).toBeNull()
  })
})
