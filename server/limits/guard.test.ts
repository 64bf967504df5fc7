import { describe, expect, it } from 'vitest'
import { refusedRequest } from './guard'

const ask = (headers: Record<string, string>, listens = '127.0.0.1') =>
  refusedRequest('POST', '/api/ask/machine.dial', headers, listens)

describe('who may ask', () => {
  it("this machine's own pages and programs", () => {
    expect(
      ask({
        host: '127.0.0.1:3000',
        origin: 'http://127.0.0.1:3000',
        'sec-fetch-site': 'same-origin',
        'content-type': 'application/json',
      }),
    ).toBeNull()
    expect(ask({ host: 'localhost:3000' })).toBeNull()
    expect(ask({ host: '[::1]:3000', 'content-type': 'application/x-www-form-urlencoded' })).toBeNull()
  })
  it('no page of another origin, whichever way it shows', () => {
    expect(
      ask({ host: '127.0.0.1:3000', origin: 'http://elsewhere.test', 'content-type': 'application/json' }),
    ).toMatch(/another origin/)
    expect(
      ask({ host: '127.0.0.1:3000', origin: 'http://127.0.0.1:4000', 'content-type': 'application/json' }),
    ).toMatch(/another origin/)
    expect(ask({ host: '127.0.0.1:3000', 'sec-fetch-site': 'cross-site', 'content-type': 'application/json' })).toMatch(
      /another origin/,
    )
    expect(ask({ host: '127.0.0.1:3000', origin: 'null', 'content-type': 'application/json' })).toMatch(
      /another origin/,
    )
    expect(ask({ host: '127.0.0.1:3000', 'sec-fetch-site': 'same-origin', 'content-type': 'text/plain' })).toMatch(
      /application\/json/,
    )
  })
  it('no name that is led to this machine, unless HOST was set', () => {
    expect(ask({ host: 'rebound.test:3000' })).toMatch(/another name/)
    expect(refusedRequest('GET', '/', { host: 'rebound.test' }, undefined)).toMatch(/another name/)
    expect(ask({ host: 'bench.test:3000' }, '0.0.0.0')).toBeNull()
  })
})
