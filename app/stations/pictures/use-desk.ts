import { computed, ref, shallowRef, watch } from 'vue'
import { emptyTrace, type Pixel, type Trace, type TraceKind } from '#core/job/picture.schema'
import { nearestOn } from '#core/photo/point'
import type { Line } from '#core/photo/ridge'
import type { OpenPicture } from './use-picture'

/** What a tap puts down. */
export type Tool = 'scale' | 'trace' | 'pin'
/** One point on the picture. */
export interface Handle {
  list: Tool
  of: string
  n: number
  px: Pixel
}

const NUDGES: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
const CLOSEST_ZOOM = 40
const TAP_PX = 5

const round = (value: number) => Math.round(value * 100) / 100

/** The desk a picture lies on: zoom and pan, tools, points picked, dragged and nudged by keys. */
export function useDesk(open: OpenPicture) {
  const svg = ref<SVGSVGElement | null>(null)
  const tool = ref<Tool>('scale')
  const traceId = ref<string | null>(null)
  const selected = ref<{ list: Tool; of: string; n: number } | null>(null)
  const zoom = ref(1)
  const middle = ref<Pixel>([0, 0])
  const picture = open.picture
  /** Whether a tap along a crack draws the way of the line to it, and what the line looks like. */
  const follows = ref(true)
  const line = ref<Line>('dark')
  const follower = shallowRef<((trace: Trace, to: Pixel) => void) | null>(null)

  watch(
    () => picture.value?.id,
    () => {
      if (!picture.value) return
      zoom.value = 1
      middle.value = [picture.value.widthPx / 2, picture.value.heightPx / 2]
      selected.value = null
      traceId.value = picture.value.traces[0]?.id ?? null
      tool.value = 'wants' in open.scale.value ? 'scale' : 'trace'
    },
    { immediate: true },
  )

  const box = computed(() => {
    const [wide, high] = [(picture.value?.widthPx ?? 1) / zoom.value, (picture.value?.heightPx ?? 1) / zoom.value]
    return [middle.value[0] - wide / 2, middle.value[1] - high / 2, wide, high] as const
  })
  const handles = computed<Handle[]>(() =>
    picture.value
      ? [
          ...picture.value.scale.px.map((px, n) => ({ list: 'scale' as const, of: 'scale', n, px })),
          ...picture.value.traces.flatMap(trace =>
            trace.px.map((px, n) => ({ list: 'trace' as const, of: trace.id, n, px })),
          ),
          ...picture.value.pins.map((pin, n) => ({ list: 'pin' as const, of: 'pin', n, px: pin.px })),
        ]
      : [],
  )

  function at(event: { clientX: number; clientY: number }): Pixel {
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.value!.getScreenCTM()!.inverse())
    return [round(point.x), round(point.y)]
  }
  function zoomBy(factor: number, about: Pixel = middle.value) {
    const next = Math.min(CLOSEST_ZOOM, Math.max(1, zoom.value * factor))
    const share = zoom.value / next
    middle.value = [about[0] + (middle.value[0] - about[0]) * share, about[1] + (middle.value[1] - about[1]) * share]
    zoom.value = next
  }

  const pathOf = ({ list, of, n }: { list: Tool; of: string; n: number }): (string | number)[] =>
    list === 'scale'
      ? ['scale', 'px', n]
      : list === 'pin'
        ? ['pins', n, 'px']
        : ['traces', picture.value!.traces.findIndex(trace => trace.id === of), 'px', n]
  const move = (handle: { list: Tool; of: string; n: number }, px: Pixel) => open.edit(pathOf(handle), px.map(round))

  function put(px: Pixel) {
    const now = picture.value
    if (!now) return
    if (tool.value === 'scale') {
      const most = now.scale.kind === 'two' ? 2 : 4
      const kept = now.scale.px.length >= most ? [] : now.scale.px
      if (open.edit(['scale', 'px'], [...kept, px]) !== null) return
      selected.value = { list: 'scale', of: 'scale', n: kept.length }
    } else if (tool.value === 'pin') {
      if (open.edit(['pins'], [...now.pins, { id: crypto.randomUUID(), px, words: '' }]) !== null) return
      selected.value = { list: 'pin', of: 'pin', n: now.pins.length }
    } else {
      let trace = now.traces.find(entry => entry.id === traceId.value)
      if (!trace) trace = startTrace('crack')
      if (follows.value && follower.value && trace.kind === 'crack' && trace.px.length > 0) {
        follower.value(trace, px)
        return
      }
      const trunk = trace.px.length === 0 && now.traces.find(({ id }) => id === trace.of)
      const at = trunk ? (nearestOn(trunk.px, px).map(round) as Pixel) : px
      const id = picture.value!.traces.findIndex(entry => entry.id === trace.id)
      if (open.edit(['traces', id, 'px'], [...trace.px, at]) !== null) return
      selected.value = { list: 'trace', of: trace.id, n: trace.px.length }
    }
  }
  /** @param of the crack that it branches off: its first point is put on that one's line */
  function startTrace(kind: TraceKind, of: string | null = null) {
    const trace = { ...emptyTrace(crypto.randomUUID(), kind), of }
    open.edit(['traces'], [...picture.value!.traces, trace])
    traceId.value = trace.id
    tool.value = 'trace'
    return trace
  }
  function remove() {
    const chosen = selected.value
    if (!chosen || !picture.value) return
    if (chosen.list === 'pin')
      open.edit(
        ['pins'],
        picture.value.pins.filter((_, n) => n !== chosen.n),
      )
    else {
      const path = pathOf(chosen).slice(0, -1)
      const list =
        chosen.list === 'scale'
          ? picture.value.scale.px
          : picture.value.traces.find(trace => trace.id === chosen.of)!.px
      open.edit(
        path,
        list.filter((_, n) => n !== chosen.n),
      )
    }
    selected.value = null
  }

  const held = new Map<number, { from: [number, number]; handle: Handle | null; middle: Pixel }>()
  let apart = 0
  function down(event: PointerEvent, handle: Handle | null) {
    event.stopPropagation()
    svg.value!.setPointerCapture(event.pointerId)
    held.set(event.pointerId, { from: [event.clientX, event.clientY], handle, middle: middle.value })
    if (handle) selected.value = { list: handle.list, of: handle.of, n: handle.n }
    apart = 0
  }
  function drag(event: PointerEvent) {
    const now = held.get(event.pointerId)
    if (!now) return
    if (held.size === 2) {
      const others = [...held.entries()].find(([id]) => id !== event.pointerId)![1]
      const next = Math.hypot(event.clientX - others.from[0], event.clientY - others.from[1])
      if (apart) zoomBy(next / apart)
      apart = next
      now.from = [event.clientX, event.clientY]
      now.handle = null
      return
    }
    if (now.handle) move(now.handle, at(event))
    else if (Math.hypot(event.clientX - now.from[0], event.clientY - now.from[1]) > TAP_PX) {
      const scale = svg.value!.getScreenCTM()!.a
      middle.value = [
        now.middle[0] - (event.clientX - now.from[0]) / scale,
        now.middle[1] - (event.clientY - now.from[1]) / scale,
      ]
    }
  }
  function up(event: PointerEvent) {
    const now = held.get(event.pointerId)
    held.delete(event.pointerId)
    if (now && !now.handle && !apart && Math.hypot(event.clientX - now.from[0], event.clientY - now.from[1]) <= TAP_PX)
      put(at(event))
    if (!held.size) apart = 0
  }
  function key(event: KeyboardEvent) {
    const nudge = NUDGES[event.key]
    const chosen = selected.value
    const handle =
      chosen &&
      handles.value.find(entry => entry.list === chosen.list && entry.of === chosen.of && entry.n === chosen.n)
    if (nudge && handle) {
      const by = event.shiftKey ? 10 : event.altKey ? 0.1 : 1
      move(handle, [handle.px[0] + nudge[0] * by, handle.px[1] + nudge[1] * by])
    } else if (nudge)
      middle.value = [middle.value[0] + (nudge[0] * 40) / zoom.value, middle.value[1] + (nudge[1] * 40) / zoom.value]
    else if (event.key === 'Delete' || event.key === 'Backspace') remove()
    else if (event.key === '+' || event.key === '=') zoomBy(1.5, handle?.px)
    else if (event.key === '-') zoomBy(1 / 1.5, handle?.px)
    else if (event.key === 'Escape') selected.value = null
    else return
    event.preventDefault()
    event.stopPropagation()
  }
  const wheel = (event: WheelEvent) => zoomBy(event.deltaY < 0 ? 1.25 : 0.8, at(event))

  const chooseTrace = (id: string) => {
    traceId.value = id
    tool.value = 'trace'
  }

  return {
    svg,
    follows,
    line,
    follower,
    chooseTrace,
    tool,
    traceId,
    selected,
    zoom,
    box,
    handles,
    zoomBy,
    down,
    drag,
    up,
    key,
    wheel,
    startTrace,
    remove,
  }
}
export type Desk = ReturnType<typeof useDesk>
