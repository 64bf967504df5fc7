import type { Job } from '../job/job.schema'
import { protectOf } from '../job/words.table'
import { kindOf } from '../mend/registry'
import { SHARED_WORDS } from '../mend/words'
import type { Made } from '../job-plan/step'
import { capital } from './parts'
import { CHECKS, CHECK_OF } from './prove/checks.table'

/** What a step is called that no kind of mend has words of its own for, by code. */
const STEPS: Readonly<Record<string, string>> = {
  'take-in': 'Take it in, look at it, write it down',
  'measure-before': 'Measure what may not move, and write it down',
  look: 'Look at it: it is not mended',
  degrease: 'Degrease it all over',
  'earlier-repair': 'Take the earlier repair right out',
  bake: 'Bake it',
  'torch-out': 'Torch the damp front out',
  'wipe-again': 'Wipe it again',
  'weld-set-up': 'Set the machine up',
  'braze-set-up': 'Set torch and rod out',
  'mill-set-up': 'Set mill or lathe up',
  earth: 'Earth the part, try the arc on scrap',
  clean: 'See that it is clean',
  flux: 'Flux joint and rod',
  warm: 'Warm it',
  soak: 'Keep it warm until nothing more leaves it',
  'boil-out': 'Boil it out with a gentle arc, no rod',
  'grind-out': 'Grind out what came up',
  root: 'Root pass',
  fill: 'Fill pass',
  cap: 'Cap pass',
  'run-over': 'Run over it once more without rod',
  insulate: 'Lay it on two strips that hold no heat',
  'lay-again': 'Lay again what was ground out',
  'brush-pass': 'Brush it, look at it',
  'flame-heat': 'Bring the place to the heat at which the rod flows',
  rest: 'Wait',
  cool: 'Let it cool to the hand',
  'find-on-mill': 'Set it up true at the machine',
}
/** Why a step waits or is held, by code. */
const BECAUSE: Readonly<Record<string, string>> = {
  interpass: 'until the metal may take the next pass',
  duty: 'for the duty of the machine',
  'worked-cold': 'it is measured and machined cold',
  'fit-heat': 'down to the heat of the fit',
  'until-dry': 'judged by what comes out of it',
  'cool-to-hand': 'before it is measured',
  'drives-oil-out': 'drives the oil out',
}

/** The least and the most of several figures. */
export type Span = readonly [from: number, to: number]

/** A step, or one that comes again between a mend's passes, as a list of all that is done shows it. */
export interface ShownStep {
  id: string
  kind: Made['kind']
  /** What is done, by the name of its mend where it is of one. */
  says: string
  mend: string | null
  /** Whether the shop gave its mend that name, which is never translated. */
  isNamed: boolean
  times: number
  /** Of all its times together. */
  minutes: number
  foundC: Span | null
  a: Span | null
  because: string | null
}

function saying({ code, mend }: Made, job: Job): string {
  if (code.startsWith('check-')) {
    const check = CHECKS.find(({ id }) => id === CHECK_OF[code.slice('check-'.length)])
    return check?.name ?? code
  }
  if (code.startsWith('protect-')) {
    const row = protectOf(code.slice('protect-'.length))
    return row ? `${capital(row.name)}: ${row.how}.` : code
  }
  if (code.startsWith('extra-'))
    return job.handOver.other.find(({ id }) => id === code.slice('extra-'.length))?.name ?? code
  const kind = mend === undefined ? undefined : job.mends.find(({ id }) => id === mend)?.kind
  return (kind && kindOf(kind).words[code]) ?? STEPS[code] ?? SHARED_WORDS[code] ?? code
}

const reason = (because: string | undefined): string | null =>
  because === undefined
    ? null
    : (BECAUSE[because] ?? (because.startsWith('kept-') ? 'for what stays on the part' : null))

function shown(step: Made, job: Job): ShownStep {
  const mend = step.mend === undefined ? undefined : job.mends.find(({ id }) => id === step.mend)
  return {
    id: step.id,
    kind: step.kind,
    says: saying(step, job),
    mend: mend ? mend.name || kindOf(mend.kind).name : null,
    isNamed: !!mend?.name,
    times: 1,
    minutes: step.minutes,
    foundC: step.foundC === undefined ? null : [step.foundC, step.foundC],
    a: step.set ? [step.set.a, step.set.a] : null,
    because: reason(step.because),
  }
}

const both = (a: Span | null, b: Span | null): Span | null =>
  a && b ? [Math.min(a[0], b[0]), Math.max(a[1], b[1])] : (a ?? b)

/** All that is done, in order, in words; what comes again between the passes of one laying stands there once. */
export function shownSteps(job: Job, steps: readonly Made[]): ShownStep[] {
  const rows: ShownStep[] = []
  let laying = ''
  let again = new Map<string, number>()
  for (const step of steps) {
    const now = step.stage === 'laying' ? `${step.mend} ${step.side ?? ''} ${step.lay ?? ''}` : ''
    const isOfIt = now !== '' && (step.lay === undefined ? laying.startsWith(`${step.mend} `) : now === laying)
    if (!isOfIt) {
      laying = now
      again = new Map()
    }
    const row = shown(step, job)
    const at = again.get(`${step.code} ${step.because}`)
    const before = at === undefined ? undefined : rows[at]
    if (at === undefined || !before) {
      if (now) again.set(`${step.code} ${step.because}`, rows.length)
      rows.push(row)
    } else
      rows[at] = {
        ...before,
        times: before.times + 1,
        minutes: before.minutes + row.minutes,
        foundC: both(before.foundC, row.foundC),
        a: both(before.a, row.a),
      }
  }
  return rows
}
