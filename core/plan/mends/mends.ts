import { setUpsOf, type MendSetUp } from './mend-set-up'
import { threadOfMend } from './thread-of-mend'
import type { ThreadBack } from '../rebuild/thread-back'
import { mendLog, NO_LOG, type MendLog } from '../weld/pass-log'
import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import { said } from '../../job/fields/said'
import { z } from 'zod'
import { NoAnswer } from '../../ask/question'
import { readIssues } from '../../ask/registry'
import { shapeOf, type Field } from '../../field/field'
import { serviceHeatC } from '../../job/service-heat'
import type { Job, Kit } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { kindOf } from '../../mend/registry'
import { wayName } from '../../mend/way-name'
import type { Section } from '../../mend/section/shapes'
import { drawnGroove, type DrawnGroove } from '../../groove/drawn'
import type { Drawn } from '../../mend/kind'
import type { Fields } from '../../field/field'
import { ALLOYS } from '../../metal/alloys.table'
import { findAlloy } from '../../metal/find-alloy'
import type { KnowData } from '../know/know'
import { figures } from '../../quantity/show'
import { capital, count, figure, type Part, type Sentence, type StationPlan } from '../parts'
import type { WarmAsk } from '../../warm/decide'
import { shapeOrNull as bodyShape } from '../take-in/body'
import { ASSUMED_G, torchFirst, warmWish } from '../warm/warm-decision'
import { planWhole, type JobGiven, type JobPlanned, type MendGiven, type PlannedMend } from '../../whole/plan'
import { wireG } from '../../whole/price'

export interface MendRow {
  id: string
  kind: StoredMend['kind']
  /** Its own name, else what its kind is called. */
  name: string
  /** What it still wants, in the words of its fields. */
  wants: string[]
  /** Why it can't be worked out, where something said is not understood. */
  reason: string | null
  planned: PlannedMend | null
  /** It in section, to scale; null while it wants something. */
  section: Section | null
  /** The groove it is opened to, bead by bead; null where it is opened to none. */
  groove: DrawnGroove | null
  /** Where it comes among the mends, counted from 1, and why there; null where it can't be planned. */
  turn: { place: number; of: number; why: string } | null
  /** Its thread at the bench, where it gives one back by drill or tap. */
  back: ThreadBack | null
  /** What is set on the machine for it, process by process. */
  setUps: MendSetUp[]
  /** Its passes, and what was seen in them. */
  log: MendLog
}
export interface MendsData {
  rows: MendRow[]
  /** Hands, arc and machine of all of them, without what is shared. */ minutes: number
  rods: number
  /** Wire by what it is of, g. */
  wire: { filler: string; massG: number }[]
  gasL: number
  checks: string[]
  /** What is done once for all of them. */
  shared: JobPlanned['totals']['shared']
  warm: JobPlanned['warm'] | null
  /** Taken for its mass, g, where nobody weighed or measured it. */ assumedG: number | null
}

/**
 * What a field's question takes of what is stored: the value of a reading, a pick as it is; nothing where nothing was
 * said.
 */
function sayingOf(field: Field, held: StoredMend['readings'][string] | undefined): unknown {
  if (held === undefined || held === '' || (Array.isArray(held) && held.length === 0)) return undefined
  if (typeof held === 'object' && !Array.isArray(held)) return held.value ?? undefined
  return field.kind === 'count' ? Number(held) : held
}

/** A stored mend as its kind takes it: resolved values, or what is wanted. */
function resolved(mend: StoredMend): { values: Record<string, unknown> } | { wants: string[]; reason: string | null } {
  const { fields } = kindOf(mend.kind)
  const given = Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) => {
      const value = sayingOf(field, mend.readings[key])
      return value === undefined ? [] : [[key, value]]
    }),
  )
  const wants = Object.entries(fields)
    .filter(([key, field]) => field.required && !(key in given))
    .map(([, field]) => field.label.toLowerCase())
  if (wants.length) return { wants, reason: null }
  const parsed = z.strictObject(shapeOf(fields)).safeParse(given)
  if (parsed.success) return { values: parsed.data }
  return {
    wants: [],
    reason: readIssues(parsed.error).map(({ path, message }) => `${fields[path]?.label ?? path}: ${message}`)[0]!,
  }
}

/** The part of a job as the whole plan takes it. */
export function partOf(job: Job, know: KnowData): { part: JobGiven['part']; assumedG: number | null } {
  const {
    takeIn,
    warm,
    know: { dryG },
  } = job
  const weighedG = warm.massG.value ?? dryG.value
  const measure = bodyShape(job)
  const saidOfPart = said(job, 'takeIn')
  const sized = measure !== null || (takeIn.lengthMm.value && takeIn.widthMm.value)
  const assumedG = weighedG || sized ? null : ASSUMED_G
  return {
    assumedG,
    part: {
      does: saidOfPart.does,
      moves: takeIn.moves,
      soak: saidOfPart.soak,
      earlierRepair: takeIn.earlierRepair,
      coating: takeIn.coating === 'none' ? undefined : takeIn.coating,
      safetyCritical: takeIn.safetyCritical,
      hotC: serviceHeatC(job),
      saltWater: takeIn.saltWater,
      mustNotMove: takeIn.mustNotMove,
      protect: takeIn.protect,
      finishAfter: takeIn.finishAfter,
      newPrice: takeIn.newPrice ?? undefined,
      lengthMm: takeIn.lengthMm.value || undefined,
      widthMm: takeIn.widthMm.value || undefined,
      heightMm: takeIn.heightMm.value || undefined,
      massG: weighedG || assumedG || undefined,
      measured: measure ?? undefined,
      bodies: [
        {
          id: 'part',
          alloy: ALLOYS.find(row => row.name === know.alloy.name),
          wallMm: takeIn.wallMm.value || ASSUMED_WALL_MM,
        },
      ],
    },
  }
}

const NOTHING: Omit<MendsData, 'rows'> = {
  minutes: 0,
  rods: 0,
  wire: [],
  gasL: 0,
  checks: [],
  shared: [],
  warm: null,
  assumedG: null,
}

function turnOf(order: JobPlanned['order'], id: string): MendRow['turn'] {
  const at = order.findIndex(one => one.id === id)
  return at < 0 ? null : { place: at + 1, of: order.length, why: order[at]!.why }
}

/** The groove of a mend with the passes of its log in it, where it is opened to one. */
function grooveOf(mend: StoredMend, given: Drawn<Fields>, { passes }: MendLog): DrawnGroove | null {
  const cut = kindOf(mend.kind).cut?.(given)
  if (!cut) return null
  return drawnGroove(cut, passes, { keepBreak: given.values.keepBreak === true, turnAbout: mend.order === 'alternate' })
}

/** Every place being mended beside the opening, worked out by the same plan that answers `job.plan`. */
export function planMends(job: Job, kit: Kit, know: KnowData, alsoArcs: WarmAsk['arcs'] = []): MendsData {
  if (!job.mends.length) return { rows: [], ...NOTHING }
  const { part, assumedG } = partOf(job, know)
  const ready = job.mends.map(mend => ({ mend, found: resolved(mend) }))
  const bodies = [...part.bodies]
  const given = ready.flatMap(({ mend, found }): MendGiven[] => {
    if (!('values' in found)) return []
    const other = findAlloy(mend.other.alloy)
    const wallMm = mend.other.wallMm.value
    if (mend.kind === 'joint' && (other || wallMm))
      bodies.push({ id: mend.id, alloy: other ?? part.bodies[0]!.alloy, wallMm: wallMm || part.bodies[0]!.wallMm })
    return [
      {
        id: mend.id,
        kind: mend.kind,
        bodies: bodies.some(body => body.id === mend.id) ? ['part', mend.id] : ['part'],
        opened: mend.opened,
        order: mend.order,
        values: found.values,
        ...(mend.lays.length
          ? {
              lays: mend.lays.map(({ process, filler, upTo }) => ({
                process: process ?? undefined,
                filler: filler || undefined,
                upTo,
              })),
            }
          : {}),
      },
    ]
  })
  const { wanted, school, startC } = warmWish(job)
  let planned: JobPlanned | null = null
  let trouble: string | null = null
  try {
    planned = given.length
      ? planWhole({
          kit: torchFirst(kit, job),
          part: { ...part, bodies },
          warm: wanted,
          warmSchool: school,
          startC,
          alsoArcs,
          mends: given,
        })
      : null
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    trouble = error.message
  }
  const rows = ready.map(({ mend, found }): MendRow => {
    const own = planned?.mends.find(one => one.id === mend.id) ?? null
    const log = own ? mendLog(job, mend, own) : NO_LOG
    const given =
      'values' in found
        ? {
            values: found.values,
            wallMm: part.bodies[0]!.wallMm,
            otherMm: bodies.find(body => body.id === mend.id)?.wallMm ?? part.bodies[0]!.wallMm,
            way: own?.way ?? null,
          }
        : null
    return {
      id: mend.id,
      kind: mend.kind,
      name: mend.name || kindOf(mend.kind).name,
      wants: 'wants' in found ? found.wants : [],
      reason: 'reason' in found && found.reason ? found.reason : 'values' in found ? trouble : null,
      planned: own,
      log,
      setUps: own ? setUpsOf(job, kit, own) : [],
      turn: turnOf(planned?.order ?? [], mend.id),
      section: given && kindOf(mend.kind).section(given),
      groove: given && grooveOf(mend, given, log),
      back: given && threadOfMend(job, kit, mend.kind, part.bodies[0]!.alloy, given),
    }
  })
  const all = planned?.mends ?? []
  const sum = (of: (mend: PlannedMend) => number) => all.reduce((total, mend) => total + of(mend), 0)
  return {
    rows,
    minutes: rows.reduce((total, row) => total + rowMinutes(row), 0),
    rods: rows.reduce((total, { planned: own, log }) => total + (own?.rods ?? 0) + log.again.rods, 0),
    wire: all.flatMap(mend => (mend.wireM > 0 ? [{ filler: mend.filler ?? '', massG: wireG(mend.wireM) }] : [])),
    gasL: sum(mend => mend.gasL),
    checks: [...new Set(all.flatMap(mend => mend.checks))],
    shared: planned?.totals.shared ?? [],
    warm: planned?.warm ?? null,
    assumedG,
  }
}

/** What the mends come to, for what a settled station remembers: whatever upstream changes it. */
export const mendsTake = ({ rows }: MendsData): string =>
  rows
    .map(({ name, planned }) =>
      planned
        ? `${name}: ${planned.way ? `${planned.way.replaceAll('-', ' ')}, ` : ''}${figures(planned.depositG, 3)} g, ${count(planned.passes, 'pass', 'passes')}, ${figures(minutesOf(planned), 3)} min`
        : `${name}: not worked out`,
    )
    .join('; ')

/** What one mend takes at the bench, min. */
export const minutesOf = ({ handMin, arcMin, machineMin }: PlannedMend): number => handMin + arcMin + machineMin

/** What one mend takes at the bench with what the puddle had laid again, min. */
export const rowMinutes = ({ planned, log }: MendRow): number => (planned ? minutesOf(planned) + log.again.minutes : 0)

/** What the mends of a job rest on, for what a settled station remembers. */
export const mendsBasis = (job: Job): string =>
  job.mends
    .map(
      ({ name, kind, readings, opened, lays }) =>
        `${name || kind}: ${Object.entries(readings)
          .map(
            ([key, held]) => `${key} ${typeof held === 'object' && !Array.isArray(held) ? held.typed : String(held)}`,
          )
          .join(', ')}${opened ? ', open' : ''}${lays.length ? `, ${lays.length} lays` : ''}`,
    )
    .join('; ')

type Shown = 'open' | 'weld' | 'rebuild'

/** The mends as they are taken on, those that can't be planned last. */
export const inTurn = (rows: readonly MendRow[]): MendRow[] =>
  rows.toSorted((a, b) => (a.turn?.place ?? Infinity) - (b.turn?.place ?? Infinity) || 0)

/** What a station has to do for one mend, after its name. */
function partsOf(row: MendRow, station: Shown): Part[] {
  const name = capital(row.name)
  if (row.wants.length) return [`${name} wants ${row.wants.join(' and ')}`]
  const { planned, reason } = row
  if (!planned) return [`${name}: ${reason ?? 'not worked out'}`]
  if (station === 'weld') {
    if (planned.startA === null)
      return [
        planned.passes
          ? `${name}: ${count(planned.passes, 'pass', 'passes')} with rod and flame`
          : `${name}: nothing to lay`,
      ]
    const eased =
      Math.round(planned.startA) - Math.round(planned.easedA!) >= 5
        ? [', eased to ', figure(Math.round(planned.easedA!), 'a')]
        : []
    return [
      `${name} from `,
      figure(Math.round(planned.startA), 'a'),
      ...eased,
      `, ${count(planned.passes, 'pass', 'passes')}`,
    ]
  }
  const steps = station === 'open' ? planned.opening : planned.rebuild
  return [`${name}: ${steps.length ? count(steps.length, 'step') : 'nothing to do'}`]
}

const VERDICT_WORDS = {
  repair: 'mend it',
  'repair-with-limits': 'mend it, with limits',
  refer: 'send it on',
  decline: 'say no',
} as const

/** The headline of one mend at a station: what to do, with its numbers. */
export function mendCall(row: MendRow, station: Shown): Sentence {
  const { planned } = row
  if (!planned) return [...partsOf(row, station), '.']
  const name = capital(row.name)
  if (planned.decision === 'decline' || planned.decision === 'refer')
    return [`${name}: ${VERDICT_WORDS[planned.decision]}.`]
  const way = planned.way ? `${wayName(row.kind, planned.way)}; ` : ''
  if (station === 'weld' || !planned.depositG)
    return [
      `${name}: ${way}`,
      ...(planned.depositG
        ? partsOf({ ...row, name: '' }, 'weld')
            .slice(0)
            .map((part, n) => (n === 0 && typeof part === 'string' ? part.trimStart() : part))
        : [`${count(planned.rebuild.length, 'step')} at the bench`]),
      '.',
    ]
  return [
    `${name}: ${way}`,
    figure(planned.depositG, 'g'),
    ` in ${count(planned.passes, 'pass', 'passes')}, `,
    figure(minutesOf(planned), 'min'),
    ' in all.',
  ]
}

/** What the call says of each mend: one may be mended and another refused. */
export const mendVerdicts = ({ rows }: MendsData): Sentence[] =>
  rows.flatMap((row): Sentence[] =>
    row.planned
      ? [
          [
            `${capital(row.name)}: ${VERDICT_WORDS[row.planned.decision]}, `,
            figure(Math.round(row.planned.chancePct), 'pct'),
            ` likely to last${row.planned.way ? `, ${wayName(row.kind, row.planned.way)}` : ''}.`,
          ],
        ]
      : [],
  )

/** A station of a job that has nothing but mends: its call goes from one to the next. */
export function stationOfMends<Data>(plan: StationPlan<Data>, { rows }: MendsData, station: Shown): StationPlan<Data> {
  const call: Sentence = rows.length
    ? rows.flatMap((row, n): Part[] => [...(n ? ['; '] : []), ...partsOf(row, station)]).concat('.')
    : ['Say what is broken: add a mend above.']
  return {
    ...plan,
    call,
    short: rows.length ? count(rows.length, 'mend') : 'wants a mend',
    wants: rows.length ? rows.flatMap(row => row.wants.map(want => `${row.name}: ${want}`)) : ['a mend'],
    why: [],
    change: [],
  }
}
