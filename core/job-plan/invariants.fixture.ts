import { kindOf } from '../mend/registry'
import { questions } from '../questions'
import type { Decision } from './decision'
import type { JobPlanned } from './job-planned'
import type { DrawnJob } from './drawn.fixture'

type Answer = Omit<JobPlanned, 'working' | 'asked'>

/** The plan of a drawn job; null where there is no answer. @throws where the job is no job: a mistake in the test */
function planOf(job: object): Answer | null {
  const asked = questions.ask('job.plan', job)
  if (asked.ok) return asked.answer as Answer
  if (asked.error.kind === 'no-answer') return null
  throw new Error(JSON.stringify(asked.error))
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)
const activeMin = ({ totals }: Answer) => totals.arcMin + totals.handMin + totals.machineMin
const near = (a: number, b: number, within = 1e-6) => Math.abs(a - b) <= within * Math.max(1, Math.abs(a), Math.abs(b))
const keyOf = ({ about, of }: Decision) => `${about} ${of ?? ''}`
/** What every decision took. */
const tookOf = ({ decisions }: Answer) => new Map(decisions.map(one => [keyOf(one), one.took]))
/** What two plans decide otherwise; `but` what is meant to differ. */
function differ(a: Answer, b: Answer, but: readonly string[] = []): string[] {
  const [one, other] = [tookOf(a), tookOf(b)]
  return [...new Set([...one.keys(), ...other.keys()])].filter(
    key => one.get(key) !== other.get(key) && !but.includes(key.split(' ')[0] ?? ''),
  )
}

/** Sums over the steps are the totals, and those of each mend. */
function oneSum({ steps, totals, mends, checks }: Answer): string[] {
  const of = (kinds: string[], mend?: string) =>
    sum(steps.filter(step => kinds.includes(step.kind) && (!mend || step.mend === mend)).map(step => step.minutes))
  const wrong: string[] = []
  const same = (what: string, a: number, b: number) => void (near(a, b) || wrong.push(`${what}: ${a} and ${b}`))
  same('arc', totals.arcMin, of(['arc']))
  same('hand', totals.handMin, of(['hand', 'flame']))
  same('machine', totals.machineMin, of(['machine']))
  same('price', totals.price, sum(steps.map(step => step.price)))
  for (const mend of mends) {
    const own = steps.filter(step => step.mend === mend.id)
    same(`${mend.id} price`, mend.price, sum(own.map(step => step.price)))
    same(`${mend.id} arc`, mend.arcMin, of(['arc'], mend.id))
    const passes = own.filter(step => step.pass !== undefined)
    if (passes.length !== mend.passes) wrong.push(`${mend.id}: ${passes.length} steps for ${mend.passes} passes`)
    if (passes.some(step => step.lay === undefined || !mend.lays[step.lay])) wrong.push(`${mend.id}: a pass of no lay`)
  }
  if (checks.join() !== steps.flatMap(({ code }) => (code.startsWith('check-') ? [code.slice(6)] : [])).join())
    wrong.push('checks that are no steps')
  return wrong
}

const MEASURED_C = 50

/** Nothing in a plan that its own limits, machine, order or another question speak against. */
function contradictions(job: DrawnJob, plan: Answer): string[] {
  const { steps, decision, mends, totals } = plan
  const wrong: string[] = []
  const at = new Map(steps.map((step, n) => [step.id, n]))
  if (at.size !== steps.length) wrong.push('two steps of one id')
  const machines = job.kit.machines as { id: string; highA: number }[]
  steps.forEach((step, n) => {
    for (const id of step.after) if (!((at.get(id) ?? Infinity) < n)) wrong.push(`${step.id} before ${id}`)
    if (
      step.foundC !== undefined &&
      step.limitC !== undefined &&
      step.foundC > step.limitC + 1e-6 &&
      step.kind !== 'wait'
    )
      wrong.push(`${step.id} at ${step.foundC} over ${step.limitC}`)
    if (step.kind === 'arc') {
      const machine = machines.find(({ id }) => id === step.by)
      if (!step.set) wrong.push(`${step.id} without a current`)
      else if (machine && step.set.a > machine.highA + 1e-6) wrong.push(`${step.id} at ${step.set.a} A`)
      if (!step.cautions.includes('earth-before-arc')) wrong.push(`${step.id} without its caution`)
    }
    if (step.kind === 'machine' && step.foundC !== undefined && step.foundC > MEASURED_C)
      wrong.push(`${step.id} machined at ${step.foundC}`)
    if (!(step.minutes >= 0) || !(step.price >= 0)) wrong.push(`${step.id} takes ${step.minutes} min, ${step.price}`)
  })
  const rate = 45
  if (decision === 'decline' || decision === 'refer') {
    if (totals.price > (12 / 60) * rate + 1 || steps.length > 1) wrong.push(`declined at ${totals.price}`)
  }
  for (const mend of mends)
    if (!mend.decision.startsWith('repair') && (mend.passes || steps.some(step => step.mend === mend.id && step.stage)))
      wrong.push(`${mend.id} is declined and laid`)
  return wrong
}

/** What is shared is once, and whole rods are counted for the job. */
function once({ steps, totals }: Answer): string[] {
  const shared = steps
    .filter(step => step.mend === undefined && !['cool', 'warm'].includes(step.code))
    .map(({ code }) => code)
  const wrong = shared.filter((code, n) => shared.indexOf(code) !== n).map(code => `${code} twice`)
  const used = new Map<string, number>()
  for (const { filler, diameterMm, count } of steps.flatMap(({ uses }) => uses?.rods ?? []))
    used.set(`${filler} ${diameterMm}`, (used.get(`${filler} ${diameterMm}`) ?? 0) + count)
  const whole = sum([...used.values()].map(count => Math.ceil(count - 1e-9)))
  return whole === totals.rods ? wrong : [...wrong, `${totals.rods} rods for ${whole}`]
}

/** Whether a plan takes no less of anything than another. */
function lessThan(more: Answer, less: Answer): string[] {
  const deposit = ({ mends }: Answer) => sum(mends.map(({ depositG }) => depositG))
  return [
    ['metal', deposit(more), deposit(less)],
    ['minutes', activeMin(more), activeMin(less)],
    ['price', more.totals.price, less.totals.price],
  ].flatMap(([what, a, b]) => (Number(a) < Number(b) * (1 - 1e-6) - 1e-6 ? [`${what}: ${a} under ${b}`] : []))
}

/** What jumps between two plans of all but the same job, and no line says so. */
function cliffs(a: Answer, b: Answer, reading: string): string[] {
  const turned = differ(a, b)
  if (turned.length) {
    const named = (plan: Answer, key: string) =>
      plan.decisions.find(one => keyOf(one) === key)?.near.some(line => line.reading === reading)
    // Checks and finish follow from the way and the process; what is declined has no more decisions.
    const main = turned.filter(key => /^(mend|process|filler|way|warmth|passes)/.test(key))
    const known = main.some(key => named(a, key) || named(b, key))
    return known || !main.length ? [] : [`${turned.join(', ')} turned by ${reading}, and no line says so`]
  }
  const wrong: string[] = []
  const jump = (what: string, x: number, y: number, most: number) =>
    void (Math.abs(x - y) > most && wrong.push(`${what} from ${x} to ${y} by ${reading}`))
  jump('minutes', activeMin(a), activeMin(b), 0.01 * activeMin(a))
  jump('price', a.totals.price, b.totals.price, 0.01 * a.totals.price)
  jump('chance', a.chancePct, b.chancePct, 1)
  return wrong
}

/** Readings that more of means more to do. */
const MORE = ['lengthMm', 'longMm', 'wideMm', 'highMm', 'lowMm', 'diameterMm', 'deepMm']
const SOAKS = ['dry', 'handled', 'oily', 'oil-soaked']
/** States of a hole from the best to worse ones, along which a chance never grows. */
const WORSE: Readonly<Record<string, string>> = { stripped: 'oversize', oversize: 'leaking', leaking: 'failed-insert' }
const isRefused = ({ mends }: Answer) => mends.some(({ decision }) => !decision.startsWith('repair'))

type Mend = DrawnJob['mends'][number]
const withMend = (job: DrawnJob, n: number, change: Partial<Mend>): DrawnJob => ({
  ...job,
  mends: job.mends.map((mend, m) => (m === n ? { ...mend, ...change } : mend)),
})
const withPart = (job: DrawnJob, change: object): DrawnJob => ({ ...job, part: { ...job.part, ...change } })
const figuresOf = (mend: Mend) =>
  Object.entries(mend).flatMap(([key, value]) =>
    typeof value === 'number' && kindOf(mend.kind).fields[key]?.kind === 'reading' ? [[key, value] as const] : [],
  )

function moreIsNotLess(job: DrawnJob, plan: Answer): string[] {
  const but = ['passes', 'order']
  const against = (what: string, more: DrawnJob, alike: (kept: string[]) => string[] = kept => kept): string[] => {
    const found = planOf(more)
    return found && found.decision === plan.decision && !alike(differ(found, plan, but)).length
      ? lessThan(found, plan).map(wrong => `${what}: ${wrong}`)
      : []
  }
  const soak = SOAKS.indexOf(String(job.part.soak))
  const extra: Mend = { id: 'extra', kind: 'crack', lengthMm: 30 }
  const { massG } = job.part
  const heavier = typeof massG === 'number' ? planOf(withPart(job, { massG: massG * 1.1 })) : null
  return [
    ...job.mends.flatMap((mend, n) =>
      figuresOf(mend)
        .filter(([key]) => MORE.includes(key))
        .flatMap(([key, value]) => against(`more ${key} of a ${mend.kind}`, withMend(job, n, { [key]: value * 1.15 }))),
    ),
    ...(SOAKS[soak + 1] ? against('more dirt', withPart(job, { soak: SOAKS[soak + 1] })) : []),
    ...against('a mend more', { ...job, mends: [...job.mends, extra] }, turned =>
      turned.filter(key => !key.includes('extra') && !key.startsWith('checks ')),
    ),
    ...(heavier &&
    heavier.warm.toC === plan.warm.toC &&
    !differ(heavier, plan).length &&
    heavier.warm.minutes < plan.warm.minutes * (1 - 1e-5) - 1e-6
      ? [`heavier warms in ${heavier.warm.minutes} for ${plan.warm.minutes}`]
      : []),
    ...job.mends.flatMap((mend, n) => {
      const worse = typeof mend.state === 'string' ? WORSE[mend.state] : undefined
      const found = worse ? planOf(withMend(job, n, { state: worse })) : null
      const [before, after] = [plan.mends[n], found?.mends[n]]
      return before && after && after.way === before.way && after.chancePct > before.chancePct + 1e-9
        ? [`worse state ${worse}: ${after.chancePct} over ${before.chancePct}`]
        : []
    }),
    ...strongerIsNotWorse(job, plan),
  ]
}

function strongerIsNotWorse(job: DrawnJob, plan: Answer): string[] {
  const machines = (job.kit.machines as { highA: number; torchA: number; ratedA: number }[]).map(each => ({
    ...each,
    highA: each.highA * 1.3,
    torchA: each.torchA * 1.3,
    ratedA: each.ratedA * 1.3,
  }))
  const found = planOf({ ...job, kit: { ...job.kit, machines } })
  // Of a part that is mended in part, the stronger one may mend more of it.
  if (!found || isRefused(found) || isRefused(plan) || found.chancePct >= plan.chancePct + 2) return []
  // One that lets another process in makes the place surer that is laid by it, which need not be the least sure one.
  if (differ(found, plan).some(key => key.startsWith('process '))) return []
  return [
    ...(found.chancePct < plan.chancePct - 1e-9 ? [`stronger: ${found.chancePct} under ${plan.chancePct} in 100`] : []),
    ...(activeMin(found) > activeMin(plan) + 1e-6 ? [`stronger: ${activeMin(found)} over ${activeMin(plan)} min`] : []),
    ...(found.totals.price > plan.totals.price + 1e-6
      ? [`stronger: ${found.totals.price} over ${plan.totals.price}`]
      : []),
  ]
}

const THOUSANDTH = 1.001

function noCliffs(job: DrawnJob, plan: Answer): string[] {
  const moved = (reading: string, other: DrawnJob): string[] => {
    const found = planOf(other)
    return found ? cliffs(plan, found, reading) : []
  }
  const [body] = job.part.bodies
  return [
    ...job.mends.flatMap((mend, n) =>
      figuresOf(mend).flatMap(([key, value]) =>
        moved(`mends[${n}].${key}`, withMend(job, n, { [key]: value * THOUSANDTH })),
      ),
    ),
    ...(body
      ? moved('part.bodies[0].wallMm', withPart(job, { bodies: [{ ...body, wallMm: body.wallMm * THOUSANDTH }] }))
      : []),
    ...['massG', 'lengthMm', 'widthMm', 'heightMm'].flatMap(key => {
      const now = job.part[key]
      return typeof now === 'number' ? moved(`part.${key}`, withPart(job, { [key]: now * THOUSANDTH })) : []
    }),
  ]
}

/** The groups of what must hold for any job. */
export const GROUPS = {
  one: (_job: DrawnJob, plan: Answer) => oneSum(plan),
  'more is not less': moreIsNotLess,
  'no cliffs': noCliffs,
  'no contradiction': contradictions,
  once: (_job: DrawnJob, plan: Answer) => once(plan),
} as const satisfies Record<string, (job: DrawnJob, plan: Answer) => string[]>

/** What a drawn job breaks of a group. */
export function broken(group: keyof typeof GROUPS, job: DrawnJob): string[] {
  const plan = planOf(job)
  return plan ? GROUPS[group](job, plan) : []
}
