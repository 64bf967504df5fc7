import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cardOf, findCards, foldWords, likeCards } from './card'
import { readFile } from './files'
import type { Job } from './job.schema'
import { newJob } from './new-job'
import { jobsCsv, logCsv } from './tables'

const file = readFile(readFileSync(new URL('../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo does not read')
const { jobs } = file

describe('tables for a spreadsheet', () => {
  it('come back with a row for each job and each thing seen', () => {
    const { data } = Papa.parse<Record<string, string>>(jobsCsv(jobs), { header: true, skipEmptyLines: true })
    expect(data.map(row => row.title)).toEqual(jobs.map(job => job.title))
    expect(Papa.parse(logCsv(jobs), { header: true, skipEmptyLines: true }).data).toHaveLength(
      jobs.reduce((sum, job) => sum + job.weld.log.length, 0),
    )
  })
  it('hold no cell that a spreadsheet would run, whatever was written', () => {
    fc.assert(
      fc.property(fc.constantFrom('=', '+', '-', '@', '\t=', '\r='), fc.string({ maxLength: 40 }), (start, rest) => {
        const evil: Job = {
          ...newJob('a', 'x', '', '2026-11-12T09:00:00Z'),
          title: `${start}${rest}`.slice(0, 120) || 'x',
          customer: `${start}cmd|' /C calc'!A0`,
        }
        const { data } = Papa.parse<string[]>(jobsCsv([evil]), { skipEmptyLines: true })
        return data
          .slice(1)
          .flat()
          .every(cell => !/^[=+\-@\t\r]/.test(cell))
      }),
      { seed: 131 },
    )
    const broken = { ...newJob('a', 'x', '', '2026-11-12T09:00:00Z'), title: '=1+1\nx', customer: '@SUM(A1)\n' }
    expect(Papa.parse<string[]>(jobsCsv([broken]), { skipEmptyLines: true }).data[1]!.slice(1, 3)).toEqual([
      "'=1+1\nx",
      "'@SUM(A1)\n",
    ])
  })
})

describe('the cards of a shelf', () => {
  it('say where work stands and what it is found by', () => {
    const card = cardOf(jobs.find(job => job.id === 'signal-bracket')!)
    expect(card).toMatchObject({ next: 'weld', handedAt: null })
    expect(card.settled).toEqual(['take-in', 'know', 'call', 'open', 'warm'])
    expect(findCards(jobs.map(cardOf), 'RAILWAY lug').map(found => found.id)).toEqual(['signal-bracket'])
    expect(findCards([{ ...card, words: foldWords('Pièce fêlée') }], 'felee')).toHaveLength(1)
    expect(findCards(jobs.map(cardOf), '  ')).toHaveLength(jobs.length)
    expect(findCards(jobs.map(cardOf), 'no such thing')).toEqual([])
  })
  it.each([
    ['gearbx cover', 'gearbox-cover'],
    ['signla post', 'signal-bracket'],
    ['dome shuter', 'dome-shutter'],
    ['split cornar', 'press-tray'],
  ])('finds “%s” with its slip', (typed, id) => {
    expect(findCards(jobs.map(cardOf), typed)).toEqual([])
    expect(likeCards(jobs.map(cardOf), typed)[0]?.id).toBe(id)
  })
  it('finds nothing like what is like nothing, or too short to tell', () => {
    expect(likeCards(jobs.map(cardOf), 'zzyzx')).toEqual([])
    expect(likeCards(jobs.map(cardOf), 'xq')).toEqual([])
  })
})
