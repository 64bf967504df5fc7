import { describe, expect, it } from 'vitest'
import { linkTo, shared } from './share'

describe('a question as a link', () => {
  it('carries what was typed there and back, and leaves what is empty', () => {
    const form = { wallMm: '3/32 in', school: 'slow & hot', closed: true, note: '', none: null }
    const link = linkTo('http://bench', 'machine.setup', form)
    expect(link).toContain('/ask?q=machine.setup#')
    expect(shared(new URL(link).hash)).toEqual({ wallMm: '3/32 in', school: 'slow & hot', closed: true })
    expect(linkTo('http://bench', 'alloy.list', {})).toBe('http://bench/ask?q=alloy.list')
  })
  it('makes no link of a picture, and takes nothing in that is not a form', () => {
    expect(linkTo('http://bench', 'photo.card', { png: 'A'.repeat(20_000) })).toBe('')
    for (const hash of ['', '#', '#%7B', '#[1]', '#null', '#"x"']) expect(shared(hash)).toBeNull()
    expect(shared(`#${encodeURIComponent('{"a":{"b":1},"c":3}')}`)).toEqual({ c: 3 })
  })
})
