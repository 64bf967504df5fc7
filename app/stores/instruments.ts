import { defineStore } from 'pinia'
import { computed, ref, shallowRef, triggerRef } from 'vue'
import { INSTRUMENTS, MOST_READINGS, type InstrumentId, type ReadingUnit } from '#core/instrument/kinds.table'
import type { ReadingLine } from '#core/instrument/reading.schema'
import { thinned } from '#core/instrument/thin'
import type { KeptReading } from '#core/job/job.schema'
import { KEY_UNITS, type UnitKey } from '#core/quantity/units.table'
import type { Device } from '#core/instrument/device/device.schema'
import type { InstrumentStream } from '~/composables/instrument-stream'
import type { Way } from '~/composables/wires'
import { useJob } from './job'

export interface Running {
  id: string
  name: string
  instrument: InstrumentId
  stream: InstrumentStream
}
/** A field that a reading may land in. */
export interface Target {
  label: string
  unit: UnitKey
  /** @returns why it is not taken, or null */
  take: (text: string) => string | null
}

/** A run put into a job is thinned to so many. */
const RUN_POINTS = 600
/** How often the figures on the page are brought up to date, ms; every reading is kept whatever the page shows. */
const SHOW_MS = 200

const dimension = (unit: UnitKey) => KEY_UNITS[unit].dimension
/** A figure as it is typed into a field. */
const asText = (value: number, unit: ReadingUnit) => `${Number(value.toFixed(3))} ${KEY_UNITS[unit].symbol}`

/**
 * Instruments on the wire: what they read now, and where a reading goes — into the field last touched, or into the job.
 */
export const useInstruments = defineStore('instruments', () => {
  const job = useJob()
  const running = shallowRef<Running[]>([])
  const target = shallowRef<Target | null>(null)
  const last = ref<string | null>(null)
  let due = false

  function show() {
    if (due) return
    due = true
    setTimeout(() => {
      due = false
      triggerRef(running)
    }, SHOW_MS)
  }

  async function start(instrument: InstrumentId, setup: unknown, options: { perSecond: number; dropsAfterS?: number }) {
    const { ReadingStream } = await import('~/composables/reading-stream')
    const id = crypto.randomUUID()
    const seed = crypto.getRandomValues(new Uint32Array(1))[0]! >>> 1
    const stream = new ReadingStream({ instrument, setup, seed, startedAt: new Date().toISOString(), ...options }, show)
    running.value = [...running.value, { id, name: INSTRUMENTS[instrument].name, instrument, stream }]
  }

  /** Reaches a device by a wire or radio of its own. @returns why it was not reached, or null */
  async function startDevice(device: Device, way: Way): Promise<string | null> {
    const [{ reach }, { DeviceStream }] = await Promise.all([
      import('~/composables/wires'),
      import('~/composables/device-stream'),
    ])
    try {
      const stream = new DeviceStream(device, await reach(device, way), show)
      const name = way === 'simulated' ? `${device.name}, simulated` : device.name
      running.value = [...running.value, { id: crypto.randomUUID(), name, instrument: device.instrument, stream }]
      return null
    } catch (error) {
      return error instanceof Error ? error.message : 'the browser will not open it'
    }
  }

  function stop(id: string) {
    running.value.find(entry => entry.id === id)?.stream.end()
    running.value = running.value.filter(entry => entry.id !== id)
  }

  function keep(readings: readonly Omit<KeptReading, 'id' | 'note'>[]): string | null {
    if (!job.job) return 'open a job first: readings are kept with one'
    if (job.job.readings.length + readings.length > MOST_READINGS)
      return `a job keeps ${MOST_READINGS} readings: there is room for ${MOST_READINGS - job.job.readings.length} more`
    const refused = job.edit(
      ['readings'],
      [...job.job.readings, ...readings.map(reading => ({ id: crypto.randomUUID(), note: '', ...reading }))],
    )
    return refused === null ? null : `not kept: ${refused}`
  }

  /** The newest reading of a channel, to the field last touched where it is of that kind, else to the job. */
  function take(entry: Running, channel = 0) {
    const { unit, ring, name } = entry.stream.channels[channel]!
    const now = ring.back(0)
    if (!now) return
    const { value, atMs } = now
    if (target.value && dimension(target.value.unit) === dimension(unit)) {
      const refused = target.value.take(asText(value, unit))
      last.value =
        refused === null
          ? `${asText(value, unit)} → ${target.value.label}`
          : `${asText(value, unit)}: not taken, ${refused}`
    } else
      last.value =
        keep([{ at: new Date(atMs).toISOString(), instrument: entry.name, channel: name, value, unit }]) ??
        `${asText(value, unit)} → kept with the job`
  }

  /** The run so far, thinned, into the job. */
  function keepRun(entry: Running) {
    const found = entry.stream.channels.flatMap(({ name, unit, ring }) =>
      ring
        .series(Math.floor(RUN_POINTS / entry.stream.channels.length))
        .map(({ atMs, value }) => ({
          at: new Date(atMs).toISOString(),
          instrument: entry.name,
          channel: name,
          value,
          unit,
        })),
    )
    last.value = keep(found) ?? `${found.length} readings kept with the job`
  }

  function keepLines(readings: readonly ReadingLine[]) {
    const few = thinned(readings, RUN_POINTS)
    return (
      keep(
        few.map(({ at, instrument, channel, value, unit }) => ({
          at: new Date(at).toISOString(),
          instrument,
          channel,
          value,
          unit,
        })),
      ) ??
      `${few.length} readings kept with the job${few.length < readings.length ? `, evenly out of ${readings.length}` : ''}`
    )
  }

  /** The instrument whose reading fits the field last touched, else the first. */
  function takeFitting() {
    const fits = running.value
      .flatMap(entry => entry.stream.channels.map((channel, n) => ({ entry, n, channel })))
      .filter(({ channel }) => channel.ring.size > 0)
    const chosen =
      fits.find(({ channel }) => target.value && dimension(target.value.unit) === dimension(channel.unit)) ?? fits[0]
    if (chosen) take(chosen.entry, chosen.n)
    return chosen !== undefined
  }

  /**
   * What a contact thermometer on the wire reads now, °C; null where none is live. Infrared is not believed on bright
   * metal.
   */
  const contactC = computed(() => {
    const probe = running.value.find(entry => entry.instrument === 'thermocouple' && entry.stream.state === 'live')
    return probe?.stream.channels[0]!.ring.back(0)?.value ?? null
  })

  return { running, target, last, contactC, start, startDevice, stop, take, takeFitting, keepRun, keepLines }
})
