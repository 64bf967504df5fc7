import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { INSTRUMENTS, MOST_READINGS, type InstrumentId } from '#core/instrument/kinds.table'
import { ReadingRing } from '#core/instrument/ring'
import type { ReadingStream } from '~/composables/reading-stream'
import { jobOnTheBench } from '~/at-the-bench.fixture'
import { useInstruments, type Running } from './instruments'

vi.mock('~/composables/core-worker', () => ({ planned: () => new Promise(() => undefined) }))

const START_MS = Date.parse('2026-11-12T09:00:00.000Z')
/** An instrument on the wire that has given these values, one a second. */
function running(instrument: InstrumentId, ...values: number[][]): Running {
  const channels = INSTRUMENTS[instrument].channels.map(({ name, unit }, c) => {
    const ring = new ReadingRing(12_000)
    values[c]?.forEach((value, n) => ring.push(n, START_MS + n * 1000, value))
    return { name, unit, ring }
  })
  return {
    id: instrument,
    name: INSTRUMENTS[instrument].name,
    instrument,
    stream: { state: 'live', channels, end: vi.fn() } as unknown as ReadingStream,
  }
}

let job: Awaited<ReturnType<typeof jobOnTheBench>>
let instruments: ReturnType<typeof useInstruments>
beforeEach(async () => {
  job = await jobOnTheBench()
  instruments = useInstruments()
})
afterEach(() => job.close())

describe('where a reading goes', () => {
  it('into the field last touched, where it is of that kind', () => {
    const take = vi.fn(() => null)
    instruments.target = { label: 'Wall', unit: 'mm', take }
    instruments.take(running('caliper', [6.1, 6.0234]))
    expect(take).toHaveBeenCalledWith('6.023 mm')
    expect(instruments.last).toBe('6.023 mm → Wall')
    expect(job.job!.readings).toEqual([])
  })
  it('of another kind, into the job with its time', () => {
    const take = vi.fn(() => null)
    instruments.target = { label: 'Wall', unit: 'mm', take }
    instruments.take(running('thermocouple', [20, 41.5]))
    expect(take).not.toHaveBeenCalled()
    expect(job.job!.readings).toMatchObject([
      { instrument: 'thermocouple', channel: 'T1', value: 41.5, unit: 'c', at: '2026-11-12T09:00:01.000Z', note: '' },
    ])
    expect(instruments.last).toContain('kept with the job')
  })
  it('a field of the same kind in another unit takes it all the same', () => {
    const take = vi.fn(() => null)
    instruments.target = { label: 'Mass', unit: 'kg', take }
    instruments.take(running('scale', [453.6]))
    expect(take).toHaveBeenCalledWith('453.6 g')
  })
  it('the one that fits the field is chosen among several, and the first where none does', () => {
    const take = vi.fn(() => null)
    instruments.running = [running('scale', [500]), running('caliper', [12.7])]
    instruments.target = { label: 'Boss', unit: 'mm', take }
    expect(instruments.takeFitting()).toBe(true)
    expect(take).toHaveBeenCalledWith('12.7 mm')
    instruments.target = { label: 'Hot', unit: 'c', take }
    instruments.takeFitting()
    expect(job.job!.readings).toMatchObject([{ instrument: 'scale', value: 500 }])
  })
  it('that a field, or the job, does not take is not said to be taken', () => {
    instruments.target = { label: 'Wall', unit: 'mm', take: () => 'no room' }
    instruments.take(running('caliper', [6.1]))
    expect(instruments.last).toBe('6.1 mm: not taken, no room')
    instruments.target = null
    vi.spyOn(job, 'edit').mockReturnValueOnce('no room')
    instruments.take(running('caliper', [6.1]))
    expect(instruments.last).toBe('not kept: no room')
  })
  it('nothing is taken from an instrument that has given nothing', () => {
    instruments.running = [running('scale', [])]
    expect(instruments.takeFitting()).toBe(false)
    instruments.take(instruments.running[0]!)
    expect(instruments.last).toBeNull()
  })
})

describe('keeping a run', () => {
  it('keeps each channel, thinned and in its own order, its newest among them', () => {
    const amps = Array.from({ length: 5000 }, (_, n) => 100 + n / 100)
    const volts = Array.from({ length: 5000 }, () => 15)
    instruments.keepRun(running('arc', amps, volts))
    const kept = job.job!.readings
    const current = kept.filter(reading => reading.channel === 'I')
    expect(kept.length).toBeLessThanOrEqual(600)
    expect(current.length).toBe(kept.filter(reading => reading.channel === 'U').length)
    expect(current.at(-1)!.value).toBeCloseTo(amps.at(-1)!, 9)
    expect(current.map(reading => reading.at)).toEqual(current.map(reading => reading.at).toSorted())
    expect(new Set(kept.map(reading => reading.id)).size).toBe(kept.length)
  })
  it('is one step of undo', () => {
    instruments.keepRun(running('scale', [1, 2, 3]))
    expect(job.job!.readings).toHaveLength(3)
    job.undo()
    expect(job.job!.readings).toEqual([])
  })
  it('past what a job holds, keeps none of it and says how many would go', () => {
    const full = Array.from({ length: MOST_READINGS - 2 }, (_, n) => ({
      id: `r${n}`,
      at: '2026-11-12T09:00:00.000Z',
      instrument: 'scale',
      channel: 'pan',
      value: n,
      unit: 'g' as const,
      note: '',
    }))
    job.edit(['readings'], full)
    instruments.keepRun(running('scale', [1, 2, 3]))
    expect(job.job!.readings).toHaveLength(MOST_READINGS - 2)
    expect(instruments.last).toBe(`a job keeps ${MOST_READINGS} readings: there is room for 2 more`)
  })
  it('without a job says to open one', () => {
    job.close()
    instruments.keepRun(running('scale', [1]))
    expect(instruments.last).toBe('open a job first: readings are kept with one')
  })
  it('lines of a file are kept evenly where there are too many, and the words say so', () => {
    const lines = Array.from({ length: 3000 }, (_, n) => ({
      at: new Date(START_MS + n * 1000).toISOString(),
      instrument: 'probe',
      channel: 'T',
      value: n,
      unit: 'c' as const,
    }))
    expect(instruments.keepLines(lines as never)).toMatch(/^600 readings kept with the job, evenly out of 3000$/)
    expect(job.job!.readings[0]!.value).toBe(0)
    expect(job.job!.readings.at(-1)!.value).toBe(2999)
  })
})

describe('the heat of the part', () => {
  it('is what a live contact thermometer reads, never infrared, and nothing once the line is lost', () => {
    instruments.running = [running('infrared', [80])]
    expect(instruments.contactC).toBeNull()
    const probe = running('thermocouple', [80, 95])
    instruments.running = [...instruments.running, probe]
    expect(instruments.contactC).toBe(95)
    ;(probe.stream as { state: string }).state = 'lost'
    instruments.running = [...instruments.running]
    expect(instruments.contactC).toBeNull()
  })
  it('goes with its instrument, whose line is ended', () => {
    const probe = running('thermocouple', [80])
    instruments.running = [probe]
    instruments.stop('thermocouple')
    expect(probe.stream.end).toHaveBeenCalledOnce()
    expect(instruments.running).toEqual([])
  })
})
