import { computed, ref, type Ref } from 'vue'
import type { ArcSet } from '#core/station/weld/arc-set'
import { acWave, wavePoints } from '#core/arc/wave'
import { pointIn } from '~/composables/use-drawing'
import { useJob } from '~/stores/job'

/** The drawing's window: always the same stretch of time, so that a higher frequency looks like one. */
const WINDOW_MS = 25
const LEFT = 46
const WIDE = 440
const MIDDLE = 110
const HIGH = 80

type Grip = 'balance' | 'frequency' | 'negative' | 'positive'

/** The AC wave as drawn, and its four handles: dragging one changes the number it stands for. */
export function useWave(weld: Ref<ArcSet>) {
  const store = useJob()
  const svg = ref<SVGSVGElement | null>(null)
  const held = ref<Grip | null>(null)
  const topA = computed(() => Math.max(weld.value.machine?.highA ?? 1, weld.value.enA, weld.value.epA))
  const periodMs = computed(() => 1000 / weld.value.frequencyHz)
  const x = (ms: number) => LEFT + (Math.min(WINDOW_MS, ms) / WINDOW_MS) * WIDE
  const y = (a: number) => MIDDLE - (a / topA.value) * HIGH
  const turns = computed(() => Math.ceil(WINDOW_MS / periodMs.value))
  const line = computed(() =>
    weld.value.wave
      ? `M${wavePoints(weld.value.enA, weld.value.epA, weld.value.enPct, weld.value.frequencyHz, turns.value)
          .map(point => `${(LEFT + (point.ms / WINDOW_MS) * WIDE).toFixed(1)} ${y(point.a).toFixed(1)}`)
          .join('L')}`
      : '',
  )
  const boxes = computed(() =>
    weld.value.wave
      ? Array.from({ length: turns.value }, (_, turn) => {
          const [from, over, to] = [
            turn * periodMs.value,
            turn * periodMs.value + weld.value.wave!.enMs,
            (turn + 1) * periodMs.value,
          ].map(x) as [number, number, number]
          return { from, over, to }
        })
      : [],
  )
  const whole = (low: number, value: number, high: number) => Math.round(Math.min(high, Math.max(low, value)))
  const puts: Record<Grip, (value: number) => void> = {
    balance: pct => {
      const value = whole(1, pct, 99)
      store.edit(['weld', 'enPct'], { typed: `${value} %`, value })
    },
    frequency: hz => {
      const value = whole(weld.value.machine!.lowHz, hz, weld.value.machine!.highHz)
      store.edit(['weld', 'frequencyHz'], { typed: `${value} Hz`, value })
    },
    negative: enA => {
      const { machine, epA, enPct, frequencyHz } = weld.value
      const apart = machine!.halves === 'apart' && store.job!.weld.epA.value !== null
      const value = whole(machine!.lowA, apart ? acWave(enA, epA, enPct, frequencyHz).averageA : enA, machine!.highA)
      store.edit(['weld', 'currentA'], { typed: `${value} A`, value })
    },
    positive: a => {
      const value = whole(weld.value.machine!.lowA, a, weld.value.machine!.highA)
      store.edit(['weld', 'epA'], { typed: `${value} A`, value })
    },
  }
  const now = computed<Record<Grip, number>>(() => ({
    balance: weld.value.enPct,
    frequency: weld.value.frequencyHz,
    negative: weld.value.enA,
    positive: weld.value.epA,
  }))

  function grab(grip: Grip, event: PointerEvent) {
    held.value = grip
    svg.value?.setPointerCapture(event.pointerId)
  }
  function move(event: PointerEvent) {
    if (!held.value || !svg.value) return
    const at = pointIn(svg.value, event)
    const ms = ((at.x - LEFT) / WIDE) * WINDOW_MS
    if (held.value === 'balance') puts.balance((ms / periodMs.value) * 100)
    else if (held.value === 'frequency') puts.frequency(1000 / Math.max(0.5, ms))
    else puts[held.value]((Math.abs(at.y - MIDDLE) / HIGH) * topA.value)
  }
  const nudge = (grip: Grip, by: number) => puts[grip](now.value[grip] + by)
  const handles = computed(() => {
    const data = weld.value
    if (!data?.wave || !data.machine) return []
    const { enMs } = data.wave
    const list: { grip: Grip; label: string; x: number; y: number; low: number; high: number }[] = [
      { grip: 'balance', label: 'Balance: share electrode negative', x: x(enMs), y: MIDDLE, low: 1, high: 99 },
      {
        grip: 'frequency',
        label: 'Frequency',
        x: x(periodMs.value),
        y: MIDDLE,
        low: data.machine.lowHz,
        high: data.machine.highHz,
      },
      {
        grip: 'negative',
        label: 'Current while electrode negative',
        x: x(enMs / 2),
        y: y(-data.enA),
        low: data.machine.lowA,
        high: data.machine.highA,
      },
    ]
    if (data.machine.halves === 'apart')
      list.push({
        grip: 'positive',
        label: 'Current while electrode positive',
        x: x(enMs + data.wave.epMs / 2),
        y: y(data.epA),
        low: data.machine.lowA,
        high: data.machine.highA,
      })
    return list
  })
  const ticks = [0, 5, 10, 15, 20, 25].map(ms => ({ ms, x: x(ms) }))
  return {
    svg,
    weld,
    line,
    boxes,
    handles,
    now,
    grab,
    move,
    nudge,
    drop: () => {
      held.value = null
    },
    ticks,
    y,
    MIDDLE,
  }
}
