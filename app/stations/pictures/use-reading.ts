import { computed, ref, shallowRef, watch } from 'vue'
import { CARDS, cardLeaf } from '#core/photo/card/layout'
import { thinned } from '#core/photo/outline'
import type { ThreadSeen } from '#core/photo/thread/measure'
import { FAINT_SHARE } from '#core/photo/trace'
import { mmPerPxAlong } from '#core/station/take-in/pictures'
import { emptyTrace, MOST_TRACES, type Pixel, type Trace } from '#core/job/picture.schema'
import { photoWorker } from '~/composables/photo-worker'
import { heldFile } from '~/db/files'
import { useJob } from '~/stores/job'
import type { Desk } from './use-desk'
import type { OpenPicture } from './use-picture'

/** A path that follows the line is kept to this, px: what its points are found to. */
const KEEP_WITHIN_PX = 0.6
const MOST_POINTS = 1990
/** With a line in sight on less of the way than this, the tap is joined straight. */
const LEAST_SEEN_SHARE = 0.35
const tidy = ([x, y]: readonly [number, number]): Pixel => [Math.round(x * 100) / 100, Math.round(y * 100) / 100]
const millimetres = (value: number) => ({ typed: `${value} mm`, value })

/** What the program reads off the open picture by itself: the card, a line, an outline, the blue, a thread. */
export function useReading(open: OpenPicture, desk: Desk) {
  const store = useJob()
  const busy = ref<string | null>(null)
  /** What was read, or why nothing was, in a sentence. */
  const told = ref<string | null>(null)
  const thread = shallowRef<{ trace: string; seen: ThreadSeen } | null>(null)
  watch(
    () => open.picture.value?.id,
    () => {
      told.value = null
      thread.value = null
    },
  )

  const notKept = (why: string) => `Not kept: ${why}.`

  /** Asks the worker about the open picture; what it answers is dropped where another was opened meanwhile. */
  async function ask<Value>(
    what: string,
    read: (id: string, file: Blob) => Promise<{ ok: true; value: Value } | { ok: false; reason: string }>,
  ): Promise<Value | null> {
    const picture = open.picture.value
    if (!picture || busy.value) return null
    busy.value = what
    told.value = null
    try {
      const file = await heldFile(store.job!.id, picture.id)
      if (!file) {
        told.value = 'The picture itself is not on this bench.'
        return null
      }
      const asked = await read(picture.id, new Blob([file.bytes], { type: file.type }))
      if (open.picture.value?.id !== picture.id) return null
      if (asked.ok) return asked.value
      told.value = `${asked.reason}.`
      return null
    } catch {
      told.value = 'That could not be read.'
      return null
    } finally {
      busy.value = null
    }
  }

  /** @param unasked a picture just added: one without a card is nothing to speak of */
  async function card(unasked = false) {
    const look = await ask('the card', (id, file) => photoWorker().card(id, file))
    if (!look) return
    if ('why' in look) {
      told.value = unasked ? null : `No card: ${look.why}.`
      return
    }
    const [found] = look.found
    const leaf = cardLeaf(found!.card, found!.leaf)
    const refused = open.edit(['scale'], {
      kind: 'four',
      px: found!.cornersPx.map(tidy),
      apartMm: open.picture.value!.scale.apartMm,
      wideMm: millimetres(leaf.wideMm),
      highMm: millimetres(leaf.highMm),
      card: { name: found!.card, tiltDeg: found!.tiltDeg, lengthPct: found!.lengthPct },
    })
    if (!unasked) desk.tool.value = 'trace'
    told.value =
      refused !== null
        ? notKept(refused)
        : `Scaled by the card (${CARDS[found!.card].name}), seen ${Math.round(found!.tiltDeg)}° off square.`
  }

  /** From the last point of a trace to a new one along the line between; straight where none is found. */
  async function followed(trace: Trace, to: Pixel) {
    const name = trace.id
    const from = open.picture.value?.traces.find(entry => entry.id === name)?.px.at(-1)
    const traced =
      from && (await ask('the line', (id, file) => photoWorker().trace(id, file, [from, to], desk.line.value)))
    const found = traced && traced.seenShare >= LEAST_SEEN_SHARE
    const added = found ? thinned(traced.path, KEEP_WITHIN_PX).map(tidy) : [to]
    const now = open.picture.value?.traces.findIndex(entry => entry.id === name) ?? -1
    const kept = open.picture.value?.traces[now]
    if (!kept) return
    // The line's own start replaces the click it was followed from.
    const px = [...(found ? kept.px.slice(0, -1) : kept.px), ...added]
    if (px.length > MOST_POINTS) {
      told.value = 'The trace holds as many points as it can: begin another.'
      return
    }
    const refused = open.edit(['traces', now, 'px'], px)
    if (refused !== null) {
      told.value = notKept(refused)
      return
    }
    desk.selected.value = { list: 'trace', of: name, n: px.length - 1 }
    if (traced && traced.seenShare < FAINT_SHARE)
      told.value = 'Part of the way shows no line: look it over, drag its points, or click closer together.'
  }

  // Taps come faster than lines are found: each waits for the one before it.
  let before: Promise<unknown> = Promise.resolve()
  const follow = (trace: Trace, to: Pixel) => {
    before = before.then(() => followed(trace, to)).catch(() => null)
  }
  desk.follower.value = follow

  /** What runs into a crack and leads away from it, each a trace of its own that hangs on it. */
  async function branches(trace: Trace) {
    const found = await ask('branches', (id, file) =>
      photoWorker().branches(
        id,
        file,
        trace.px.map(([x, y]) => [x, y]),
        desk.line.value,
      ),
    )
    const now = open.picture.value?.traces
    if (!found || !now?.some(({ id }) => id === trace.id)) return
    const seen = found
      .filter(({ from }) => from === 'side')
      .map((branch): Trace => ({
        ...emptyTrace(crypto.randomUUID(), 'crack'),
        of: trace.id,
        px: thinned(branch.path, KEEP_WITHIN_PX).map(tidy),
      }))
    const kept = now.filter(({ of }) => of !== trace.id)
    const refused = seen.length > 0 ? open.edit(['traces'], [...kept, ...seen].slice(0, MOST_TRACES)) : null
    if (refused !== null) {
      told.value = notKept(refused)
      return
    }
    told.value = [
      seen.length === 0
        ? 'No branch seen.'
        : seen.length === 1
          ? 'One branch found: drag its points or take it off.'
          : `${seen.length} branches found: drag their points or take them off.`,
      ...(found.some(({ from }) => from === 'end')
        ? ['The line seems to go on past an end of the trace: look there.']
        : []),
    ].join(' ')
  }

  async function outline() {
    const found = await ask('the outline', (id, file) => photoWorker().outline(id, file))
    if (!found) return
    const ring = (px: readonly (readonly [number, number])[], kind: Trace['kind']): Trace => ({
      ...emptyTrace(crypto.randomUUID(), kind),
      px: px.slice(0, MOST_POINTS).map(tidy),
    })
    const traces = [ring(found.outer, 'outline'), ...found.holes.map(px => ring(px, 'hole'))]
    const refused = open.edit(['traces'], [...open.picture.value!.traces, ...traces].slice(0, MOST_TRACES))
    told.value =
      refused !== null
        ? notKept(refused)
        : `An outline and ${found.holes.length === 1 ? 'one hole' : `${found.holes.length} holes`} found: drag their points where they are wrong.`
  }

  async function blue(trace: Trace | null) {
    const seen = await ask('the blue', (id, file) => photoWorker().blue(id, file, trace ? [...trace.px] : undefined))
    if (!seen) return
    const { sharePct, uncertaintyPct, even, patches } = seen
    const refused = open.edit(['blue'], {
      sharePct,
      uncertaintyPct,
      even,
      patches: patches.map(({ edgePx, ...patch }) => ({ ...patch, edgePx: edgePx.map(tidy) })),
      turned: open.picture.value?.blue?.turned ?? 0,
    })
    if (refused !== null) told.value = notKept(refused)
    else
      told.value =
        seen.outline === 'whole'
          ? 'The whole picture was taken for the face: trace its outline for a truer share.'
          : null
  }

  /** Along a trace of two points; its scale is what a pixel is long there. */
  async function readThread(trace: Trace, lengthMm: number) {
    const [from, to] = [trace.px[0]!, trace.px.at(-1)!]
    const mmPerPx = mmPerPxAlong(from, to, lengthMm)
    const seen = await ask('the thread', (id, file) => photoWorker().thread(id, file, [from, to], mmPerPx))
    thread.value = seen && { trace: trace.id, seen }
  }

  /** The thread's readings as the thread bench takes them. */
  const threadLink = computed(() => {
    const seen = thread.value?.seen
    return seen
      ? {
          path: '/threads',
          query: {
            pitch: `${seen.pitchMm.toFixed(3)} mm`,
            ...(seen.majorMm === null ? {} : { diameter: `${seen.majorMm.toFixed(2)} mm` }),
            ...(seen.flankDeg === null ? {} : { flank: `${seen.flankDeg.toFixed(1)}` }),
            error: `${Math.max(0.05, seen.majorUncertaintyMm ?? 0.1).toFixed(2)} mm`,
          },
        }
      : null
  })

  return { busy, told, thread, threadLink, card, branches, outline, blue, readThread }
}
export type PictureReading = ReturnType<typeof useReading>
