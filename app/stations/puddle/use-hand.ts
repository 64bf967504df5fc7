import { ref, type Ref } from 'vue'
import { useEventListener } from '@vueuse/core'
import { onSteps } from '#core/puddle/trainer/kept-hand'
import type { HandFrame } from '#core/puddle/trainer/session'
import { typingNow } from '~/composables/typing'

/** How the hand moves by keys, mm/s, and how fast current follows the foot, A/s; a taper takes two seconds. */
const KEY_MM_S = 6
const SLOW_MM_S = 2
const FOLLOWS_A_S = 1500
const TAPER_S = 2
const ARC = { least: 0.5, most: 18, step: 0.5 }
const CURRENT = { least: 10, step: 5 }
const MOVES: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
/** A trigger pressed less than this is at rest. */
const TRIGGER_REST = 0.05

/** The torch in the hand: pointer, touch, pen, keys and a game controller's trigger, as one frame after another. */
export function useHand(stage: Ref<HTMLElement | null>, size: () => { wideMm: number; deepMm: number }) {
  const at = ref({ xMm: 10, yMm: 20 })
  const arcMm = ref(3)
  /** What the foot is set to give, A, and what it gives now. */
  const setA = ref(150)
  const mostA = ref(300)
  const nowA = ref(0)
  const on = ref(false)
  const taper = ref(false)
  const dipping = ref(0)
  let press: { pressure: number } | null = null
  let dipWanted = false
  const held = new Set<string>()

  const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
  function place(event: PointerEvent) {
    const box = stage.value!.getBoundingClientRect()
    const { wideMm, deepMm } = size()
    at.value = {
      xMm: within(((event.clientX - box.left) / box.width) * wideMm, wideMm),
      yMm: within(((event.clientY - box.top) / box.height) * deepMm, deepMm),
    }
  }
  const pressureOf = (event: PointerEvent) => (event.pointerType === 'pen' ? Math.max(0.05, event.pressure) : 1)
  function down(event: PointerEvent) {
    stage.value!.focus({ preventScroll: true })
    if (event.button === 2 || event.isPrimary === false) {
      dip()
      return
    }
    stage.value!.setPointerCapture(event.pointerId)
    place(event)
    taper.value = false
    press = { pressure: pressureOf(event) }
  }
  function move(event: PointerEvent) {
    if (event.isPrimary === false) return
    place(event)
    if (press) press = { pressure: pressureOf(event) }
  }
  function up(event: PointerEvent) {
    if (event.isPrimary !== false) press = null
  }
  const setCurrent = (a: number) => {
    setA.value = Math.min(mostA.value, Math.max(CURRENT.least, a))
  }
  const setArc = (mm: number) => {
    arcMm.value = Math.min(ARC.most, Math.max(ARC.least, mm))
  }
  function wheel(event: WheelEvent) {
    if (event.shiftKey) setArc(arcMm.value + (event.deltaY < 0 ? -ARC.step : ARC.step))
    else setCurrent(setA.value + (event.deltaY < 0 ? CURRENT.step : -CURRENT.step))
  }
  function dip() {
    dipWanted = true
    dipping.value = 10
  }
  function toggle() {
    on.value = !on.value
    taper.value = false
  }
  function letUp() {
    taper.value = true
  }
  const KEYS: Record<string, () => void> = {
    Enter: toggle,
    ' ': dip,
    s: letUp,
    '+': () => setCurrent(setA.value + CURRENT.step),
    '=': () => setCurrent(setA.value + CURRENT.step),
    '-': () => setCurrent(setA.value - CURRENT.step),
    _: () => setCurrent(setA.value - CURRENT.step),
    q: () => setArc(arcMm.value - ARC.step),
    e: () => setArc(arcMm.value + ARC.step),
  }
  useEventListener(stage, 'keydown', (event: KeyboardEvent) => {
    if (typingNow(event)) return
    // Shift, held to go slowly, makes other letters of the same keys.
    const act = KEYS[event.key] ?? KEYS[event.key.toLowerCase()]
    if (event.key in MOVES || event.key === 'Shift') held.add(event.key)
    else if (!event.repeat && act) act()
    else return
    event.preventDefault()
    event.stopPropagation()
  })
  useEventListener(stage, 'keyup', (event: KeyboardEvent) => held.delete(event.key))
  useEventListener(stage, 'blur', () => held.clear())

  const trigger = (): number => {
    const pads = typeof navigator.getGamepads === 'function' ? navigator.getGamepads() : []
    return Math.max(0, ...pads.map(pad => pad?.buttons[7]?.value ?? 0))
  }
  /** The hand a moment later. */
  function frame(seconds: number): HandFrame {
    const speed = held.has('Shift') ? SLOW_MM_S : KEY_MM_S
    const { wideMm, deepMm } = size()
    for (const key of held) {
      const way = MOVES[key]
      if (way)
        at.value = {
          xMm: within(at.value.xMm + way[0] * speed * seconds, wideMm),
          yMm: within(at.value.yMm + way[1] * speed * seconds, deepMm),
        }
    }
    const pulled = trigger()
    const share = pulled > TRIGGER_REST ? pulled : press ? press.pressure : on.value ? 1 : 0
    const wanted = taper.value ? 0 : share * setA.value
    const most = (taper.value ? setA.value / TAPER_S : FOLLOWS_A_S) * seconds
    nowA.value += Math.min(most, Math.max(-most, wanted - nowA.value))
    if (nowA.value < 1 && wanted === 0) {
      nowA.value = 0
      if (taper.value) on.value = taper.value = false
      if (!press) taper.value = false
    }
    const dipped = dipWanted
    dipWanted = false
    dipping.value = Math.max(0, dipping.value - 1)
    return onSteps({ ...at.value, arcMm: arcMm.value, a: nowA.value, dip: dipped })
  }
  function rest(to: { xMm: number; yMm: number }) {
    at.value = to
    on.value = taper.value = false
    press = null
    nowA.value = 0
    dipWanted = false
    held.clear()
  }
  return {
    at,
    arcMm,
    setA,
    mostA,
    nowA,
    on,
    taper,
    dipping,
    down,
    move,
    up,
    wheel,
    dip,
    toggle,
    letUp,
    setCurrent,
    setArc,
    frame,
    rest,
  }
}
export type Hand = ReturnType<typeof useHand>
