import { handAt, type HandEntry } from '../pool/hand'
import { Pool, type Form } from '../pool/pool'
import { OVERHEATED_C, type PuddleBench } from '../pool/run'
import { Tungsten } from '../pool/tungsten'

/** The clock of a session goes in these, s, whatever the screen does: so that the same hand gives the same run. */
export const FRAME_S = 1 / 60
/** Frames between two samples of what is to be judged and drawn. */
export const SAMPLE_FRAMES = 6

export interface Bench extends PuddleBench {
  form: Form
  tungstenMm: number
}
/** What the hand does in one frame. */
export interface HandFrame {
  xMm: number
  yMm: number
  arcMm: number
  a: number
  dip: boolean
}
export type TrainerMark =
  | 'puddle'
  | 'wetted'
  | 'no-puddle'
  | 'skin'
  | 'dirty'
  | 'touched'
  | 'through'
  | 'sags'
  | 'wanders'
  | 'fell'
  | 'overheated'
  | 'crater'
  | 'specks'
export interface MarkAt {
  code: TrainerMark
  s: number
  xMm: number
  yMm: number
}
export interface Sample extends Omit<HandFrame, 'dip'> {
  s: number
  speedMmS: number
  widthMm: number
  depthMm: number
  peakC: number
}
/** What a run has come to so far. */
export interface Outcome {
  s: number
  samples: readonly Sample[]
  marks: readonly MarkAt[]
  dips: number
  wetted: number
  addedG: number
  specks: number
  /** Largest x less least x with metal that was ever molten, mm. */
  runMm: number
  /** Share of the run's length melted through to the far side. */
  throughShare: number
  /** How far it hangs where it hangs most, mm. */
  sagMm: number
  /** Columns that fell out, mm². */
  fellMm2: number
  /** Of what stood lower than the plate at first, share that is now filled level. */
  filledShare: number
  /** Share of the run's length on which the metal was molten on both sides of its middle line. */
  bothSidesShare: number
  imbalancePct: number
  burning: boolean
}

/** An arc that goes out from over this current on a puddle deeper than that leaves a crater. Common practice. */
const CRATER = { a: 40, deepMm: 1, before: 24 }
/** Nearer than this the tungsten dips into the puddle. Common practice, no source. */
const TOUCHES_MM = 0.6
/** As many specks more as are a mark of their own. */
const SPECKS_EACH = 4
/** Hanging by more than this share of its thickness it sags; less is a good root. Common practice, no source. */
const SAGS_SHARE = 0.15
/** A filled column may stand this much under the plate, mm. */
const FLUSH_MM = 0.5
/** Above and below its usual reach the rod finds the puddle within so many arc radii. */
const DIP_REACH = 2

/**
 * One run at the torch: the plate, the hand frame by frame, and what came of it. Nothing in it depends on the clock
 * on the wall; a hand that is played again gives the same run, point for point.
 */
export class Session {
  readonly pool: Pool
  readonly hand: HandFrame[] = []
  readonly samples: Sample[] = []
  readonly marks: MarkAt[] = []
  readonly tungsten: Tungsten
  private dips = 0
  private hangsMm = 0
  private wetted = 0
  private fell = 0
  private specksTold = 0
  private readonly low: number[]
  private readonly fillerGmm3: number

  constructor(readonly bench: Bench) {
    this.pool = new Pool(bench.alloy, bench.plate, bench.cellMm, bench.startC, bench.dirt, bench.enPct, bench.form)
    this.tungsten = new Tungsten(bench.tungstenMm, bench.enPct)
    this.fillerGmm3 = bench.filler.densityGcm3 / 1000
    this.low = [...this.pool.firstMm.keys()].filter(column => this.pool.firstMm[column]! < bench.plate.zMm - FLUSH_MM)
  }

  get s(): number {
    return this.hand.length * FRAME_S
  }

  private mark(code: TrainerMark, { xMm, yMm }: HandFrame) {
    this.marks.push({ code, s: this.s, xMm, yMm })
  }
  private once(code: TrainerMark, frame: HandFrame) {
    if (!this.marks.some(each => each.code === code)) this.mark(code, frame)
  }

  /** One frame of the hand: straight from where it was to where it is now. */
  advance(frame: HandFrame): void {
    const { pool, bench } = this
    const before = this.hand.at(-1) ?? frame
    this.hand.push(frame)
    const steps = Math.ceil(FRAME_S / pool.stepS)
    const entry = ({ xMm, yMm, arcMm, a }: HandFrame, s: number): HandEntry => ({ s, xMm, yMm, arcMm, a, dip: false })
    const way = [entry(before, 0), entry(frame, FRAME_S)]
    let last = handAt(way, FRAME_S, bench.enPct)
    for (let n = 0; n < steps; n++) {
      last = handAt(way, ((n + 1) * FRAME_S) / steps, bench.enPct)
      this.tungsten.burn(FRAME_S / steps, last.arc ? last.a : 0)
      const stray = this.tungsten.stray()
      pool.step(FRAME_S / steps, last.arc, { xMm: last.xMm + stray.xMm, yMm: last.yMm + stray.yMm })
    }
    if (frame.dip) this.dip(frame, last.arc?.radiusMm ?? 0)
    this.watch(frame, before)
  }

  private dip(frame: HandFrame, radiusMm: number) {
    this.dips++
    const told = this.pool.dip(frame, this.bench.rodMm, this.fillerGmm3, DIP_REACH * (radiusMm || 4))
    if (told === 'wetted') this.wetted++
    this.mark(told, frame)
  }

  private watch(frame: HandFrame, before: HandFrame) {
    const { pool } = this
    if (pool.began) this.once('puddle', frame)
    const fallen = pool.hang(frame.a)
    if (this.tungsten.wanders) this.once('wanders', frame)
    if (fallen) {
      if (this.fell === 0) this.mark('fell', frame)
      this.fell += fallen
    }
    if (pool.specks - this.specksTold >= SPECKS_EACH) {
      this.specksTold = pool.specks
      this.mark('specks', frame)
    }
    const goesOut = before.a > 0 && frame.a <= 0
    if (this.hand.length % SAMPLE_FRAMES !== 0 && !goesOut) return
    const seen = pool.seen()
    const earlier = this.hand[Math.max(0, this.hand.length - 1 - SAMPLE_FRAMES)]!
    const { xMm, yMm, arcMm, a } = frame
    this.samples.push({
      s: this.s,
      xMm,
      yMm,
      arcMm,
      a,
      speedMmS: Math.hypot(xMm - earlier.xMm, yMm - earlier.yMm) / (SAMPLE_FRAMES * FRAME_S),
      widthMm: seen.widthMm,
      depthMm: seen.depthMm,
      peakC: seen.peakC,
    })
    if (seen.through) {
      this.once('through', frame)
      this.hangsMm = pool.sag.reduce((most, value) => Math.max(most, value), 0)
      if (this.hangsMm > SAGS_SHARE * this.bench.plate.zMm) this.once('sags', frame)
    }
    if (seen.peakC > OVERHEATED_C) this.once('overheated', frame)
    if (frame.a > 0 && arcMm < TOUCHES_MM && seen.widthMm > 0) {
      this.once('touched', frame)
      this.tungsten.dipped()
    }
    const current = this.hand[Math.max(0, this.hand.length - CRATER.before)]!.a
    if (goesOut && current > CRATER.a && seen.depthMm > CRATER.deepMm) this.mark('crater', frame)
  }

  outcome(): Outcome {
    const { pool } = this
    const { nx, ny, dx, dy, ever, everSkin, top } = pool
    let [first, last, through, both, molten] = [nx, -1, 0, 0, 0]
    for (let i = 0; i < nx; i++) {
      let [any, far, left, right] = [false, false, false, false]
      for (let j = 0; j < ny; j++) {
        const column = i + nx * j
        if (!everSkin[column]) continue
        any = true
        far ||= ever[column] === 1
        if (j < ny / 2) left = true
        else right = true
      }
      if (!any) continue
      first = Math.min(first, i)
      last = i
      molten++
      if (far) through++
      if (left && right) both++
    }
    const filled = this.low.filter(
      column => top[column]! >= 0 && pool.surfaceMm(column) >= this.bench.plate.zMm - FLUSH_MM,
    ).length
    return {
      s: this.s,
      samples: this.samples,
      marks: this.marks,
      dips: this.dips,
      wetted: this.wetted,
      addedG: pool.addedG,
      specks: Math.round(pool.specks),
      runMm: last >= first ? (last - first + 1) * dx : 0,
      throughShare: molten ? through / molten : 0,
      sagMm: this.hangsMm,
      fellMm2: this.fell * dx * dy,
      filledShare: this.low.length ? filled / this.low.length : 1,
      bothSidesShare: molten ? both / molten : 0,
      imbalancePct: pool.imbalancePct,
      burning: (this.hand.at(-1)?.a ?? 0) > 0,
    }
  }
}

/** A hand played again from the start. */
export function replay(bench: Bench, hand: readonly HandFrame[]): Session {
  const session = new Session(bench)
  for (const frame of hand) session.advance(frame)
  return session
}
