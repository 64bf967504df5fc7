import { computed, onBeforeUnmount, ref, shallowRef, toRaw, type Ref } from 'vue'
import type { TrainedJob, TrainedRun } from '#core/job/trained.schema'
import { unpackHand } from '#core/puddle/trainer/kept-hand'
import { runToKeep, withRun } from '#core/puddle/trainer/kept-run'
import { FRAME_S, type HandFrame, type MarkAt } from '#core/puddle/trainer/session'
import { useShop } from '~/stores/shop'
import type { Judged, LessonCard, Shown } from '~/workers/puddle'
import { startWorker } from '~/workers/start'
import { brokeOff } from '~/workers/worker-gone'
import { useHand } from './use-hand'

/** Frames sent at once where the screen fell behind; past it the trainer's time goes slower than the wall's. */
const MOST_FRAMES = 4
const TRACE_EVERY = 6
const MOST_TRACE = 600
const MOST_SHOWN = 5

/** A lesson at the torch: begun, run live, judged, played again and kept. */
export function useTrainer(stage: Ref<HTMLElement | null>, canvas: Ref<HTMLCanvasElement | null>) {
  const shop = useShop()
  const { bench: puddle, end } = startWorker('puddle')
  const lesson = shallowRef<LessonCard | null>(null)
  const cutCanvas = ref<HTMLCanvasElement | null>(null)
  const showCut = ref(false)
  const state = ref<'ready' | 'running' | 'replaying' | 'judged'>('ready')
  const shown = shallowRef<Omit<Shown, 'plate' | 'cut'> | null>(null)
  const marks = shallowRef<MarkAt[]>([])
  const trace = shallowRef<[number, number][]>([])
  const judged = shallowRef<Judged | null>(null)
  /** Why the run just judged is not kept. */
  const notKept = ref<string | null>(null)
  /** Why the lesson broke off. */
  const trouble = ref<string | null>(null)
  const hand = useHand(stage, () => lesson.value ?? { wideMm: 60, deepMm: 40 })
  /** Where the torch of a replay is. */
  const replayed = shallowRef<HandFrame | null>(null)
  const earlier = computed(() =>
    shop.kit.trained
      .filter(run => run.lesson === lesson.value?.id && (!run.on || run.on.title === lesson.value?.title))
      .slice(-MOST_SHOWN),
  )
  /** What is worked at, and what lies there: a run of before may be of another day's figures of the job. */
  let which: string | TrainedJob = 'puddle'
  let lying: string | TrainedJob = which
  let [waiting, last, frames, loop, begun] = [false, 0, 0, 0, 0]

  function draw(picture: Shown) {
    for (const [target, painted] of [
      [canvas.value, picture.plate],
      [cutCanvas.value, picture.cut],
    ] as const) {
      if (!target || !painted) continue
      if (target.width !== painted.wide || target.height !== painted.high) {
        target.width = painted.wide
        target.height = painted.high
      }
      target.getContext('2d')!.putImageData(new ImageData(painted.rgba, painted.wide, painted.high), 0, 0)
    }
    const { plate: _p, cut: _c, ...rest } = picture
    shown.value = rest
    if (rest.newMarks.length) marks.value = [...marks.value, ...rest.newMarks]
  }

  /** What is at the torch went with the worker: it is begun anew. */
  function broke(error: unknown): null {
    trouble.value = brokeOff(error).reason
    state.value = 'ready'
    return null
  }

  /**
   * Lays a plate out anew.
   * @returns whether it lies there; false where another was laid meanwhile, as by a second press
   */
  async function lay(next: string | TrainedJob): Promise<boolean> {
    const mine = ++begun
    cancelAnimationFrame(loop)
    lying = next
    trouble.value = null
    notKept.value = null
    const card = await puddle.begin(toRaw(next)).catch(broke)
    if (!card || mine !== begun) return false
    lesson.value = card
    const [x, y] = card.way[0]!
    hand.rest({ xMm: x, yMm: y })
    marks.value = []
    trace.value = []
    judged.value = null
    replayed.value = null
    frames = 0
    state.value = 'ready'
    const picture = await puddle.look(showCut.value).catch(broke)
    if (picture) draw(picture)
    return picture !== null && mine === begun
  }
  /** A lesson of one's own to work at: tried once more, it keeps the foot as it was set. */
  async function begin(next: string | TrainedJob): Promise<boolean> {
    const fresh = lesson.value === null || next !== which
    which = next
    const lies = await lay(next)
    if (lies && fresh) hand.setCurrent(lesson.value!.pedalA)
    return lies
  }

  /** Sends what the hand did since the last picture, and shows what came of it. */
  async function tick(now: number, next: (count: number) => HandFrame[]) {
    const behind = Math.floor((now - last) / (1000 * FRAME_S))
    if (behind < 1 || waiting) return
    last = behind > MOST_FRAMES ? now : last + behind * 1000 * FRAME_S
    const hands = next(Math.min(MOST_FRAMES, behind))
    if (!hands.length) {
      await finish()
      return
    }
    waiting = true
    const picture = await puddle.frames(hands, showCut.value).catch(broke)
    waiting = false
    if (!picture) return
    draw(picture)
    frames += hands.length
    const torch = hands.at(-1)!
    replayed.value = state.value === 'replaying' ? torch : null
    if (frames % TRACE_EVERY < hands.length && torch.a > 0 && trace.value.length < MOST_TRACE)
      trace.value = [...trace.value, [torch.xMm, torch.yMm]]
    if (shown.value && lesson.value && shown.value.s >= lesson.value.longestS) await finish()
  }
  function run(next: (count: number) => HandFrame[]) {
    last = performance.now()
    const mine = begun
    const step = (now: number) => {
      if (mine !== begun || (state.value !== 'running' && state.value !== 'replaying')) return
      void tick(now, next)
      loop = requestAnimationFrame(step)
    }
    loop = requestAnimationFrame(step)
  }

  async function start() {
    if ((state.value !== 'ready' || lying !== which) && !(await begin(which))) return
    state.value = 'running'
    stage.value?.focus({ preventScroll: true })
    run(count => Array.from({ length: count }, () => hand.frame(FRAME_S)))
  }
  async function finish() {
    if (state.value !== 'running' && state.value !== 'replaying') return
    const fresh = state.value === 'running'
    state.value = 'judged'
    judged.value = await puddle.end().catch(broke)
    if (judged.value && fresh) keep(judged.value)
  }
  function keep({ outcome, goals, hand: made }: Judged) {
    if (!lesson.value) return
    const known = { id: crypto.randomUUID(), at: new Date().toISOString(), lesson: lesson.value.id }
    const run = runToKeep({ ...known, on: typeof which === 'string' ? null : toRaw(which) }, outcome, goals, made)
    if (!run) return
    void shop
      .changeKit(kit => ({ ...kit, trained: withRun(kit.trained, run) }))
      .then(refused => {
        if (refused !== null) notKept.value = refused
      })
  }
  /** A hand, frame by frame as it was, on the plate it was made on. */
  async function play(hands: readonly HandFrame[], on: string | TrainedJob) {
    if (!(await lay(on))) return
    state.value = 'replaying'
    let at = 0
    run(count => {
      const next = hands.slice(at, at + count)
      at += count
      return next
    })
  }
  /** The run just judged. */
  async function playAgain() {
    if (judged.value) await play(judged.value.hand, lying)
  }
  /** A run of before, by the hand that was kept with it. */
  async function playEarlier(run: TrainedRun) {
    const hands = run.hand === undefined ? null : unpackHand(run.hand)
    if (hands) await play(hands, run.on ?? run.lesson)
    else trouble.value = 'what was kept of this run’s hand cannot be read'
  }

  onBeforeUnmount(() => {
    cancelAnimationFrame(loop)
    end()
  })
  return {
    lesson,
    state,
    trouble,
    notKept,
    shown,
    marks,
    trace,
    judged,
    hand,
    replayed,
    earlier,
    showCut,
    cutCanvas,
    begin,
    start,
    finish,
    playAgain,
    playEarlier,
  }
}
