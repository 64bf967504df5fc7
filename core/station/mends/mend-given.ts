import { z } from 'zod'
import { readIssues } from '../../ask/registry'
import { shapeOf, type Field } from '../../field/field'
import { ASSUMED_WALL_MM } from '../../job/fields/take-in'
import { said } from '../../job/fields/said'
import type { Job } from '../../job/job.schema'
import type { StoredMend } from '../../job/mend.schema'
import { serviceHeatC } from '../../job/service-heat'
import { kindOf, wrongTogether } from '../../mend/registry'
import { alloyName } from '../../metal/find-alloy'
import type { JobGiven } from '../../job-plan/job-given'
import type { KnowData } from '../know/know'
import { shapeOrNull as bodyShape } from '../take-in/body'
import { ASSUMED_G } from '../warm/warm-decision'

/**
 * What a field's question takes of what is stored: the value of a reading, a pick as it is; nothing where nothing was
 * said.
 */
function sayingOf(field: Field, held: StoredMend['readings'][string] | undefined): unknown {
  if (held === undefined || held === '' || (Array.isArray(held) && held.length === 0)) return undefined
  if (typeof held === 'object' && !Array.isArray(held)) return held.value ?? undefined
  return field.kind === 'count' ? Number(held) : held
}

/** Why a metal that a mend names is none; null where all are known, or none is named. */
function unknownMetal({ lays, other }: StoredMend): string | null {
  const named = [...lays.map(({ filler }) => ['Filler', filler]), ['The other piece is of', other.alloy]] as const
  for (const [label, name] of named) {
    const parsed = name ? alloyName.safeParse(name) : null
    if (parsed?.error) return `${label}: ${parsed.error.issues[0]!.message}`
  }
  return null
}

/** A stored mend as its kind takes it: resolved values, or what is wanted. */
export function resolved(
  mend: StoredMend,
): { values: Record<string, unknown> } | { wants: string[]; reason: string | null } {
  const { fields } = kindOf(mend.kind)
  const given = Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) => {
      const value = sayingOf(field, mend.readings[key])
      return value === undefined ? [] : [[key, value]]
    }),
  )
  const wants = Object.entries(fields)
    .filter(([key, field]) => field.required && !(key in given) && !(field.unless && field.unless in given))
    .map(([, field]) => field.label.toLowerCase())
  if (wants.length) return { wants, reason: null }
  const unknown = unknownMetal(mend)
  if (unknown) return { wants: [], reason: unknown }
  const parsed = z.strictObject(shapeOf(fields)).safeParse(given)
  const [together] = parsed.success ? wrongTogether(kindOf(mend.kind), parsed.data) : []
  if (together)
    return { wants: [], reason: `${fields[together.reading]?.label ?? together.reading}: ${together.message}` }
  if (parsed.success) return { values: parsed.data }
  return {
    wants: [],
    reason: readIssues(parsed.error).map(({ path, message }) => `${fields[path]?.label ?? path}: ${message}`)[0]!,
  }
}

/** A name as a code that a limit is known by. */
const slug = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 40) || 'part'

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
      cause: takeIn.cause,
      causeCured: takeIn.causeCure.trim() !== '',
      safetyCritical: takeIn.safetyCritical,
      stakes: takeIn.stakes,
      minds: takeIn.minds,
      alike: job.handOver.alike,
      pressureMPa: takeIn.pressureMPa.value ?? undefined,
      keptOn: takeIn.keptOn.flatMap(({ id, name, limitC }) =>
        limitC.value === null ? [] : [{ id: name.trim() ? slug(name) : id, limitC: limitC.value }],
      ),
      hotC: serviceHeatC(job),
      saltWater: takeIn.saltWater,
      mustNotMove: takeIn.mustNotMove,
      protect: takeIn.protect,
      finishAfter: takeIn.finishAfter,
      newPrice: takeIn.newPrice ?? undefined,
      newWeeks: takeIn.newWeeks ?? undefined,
      lengthMm: takeIn.lengthMm.value || undefined,
      widthMm: takeIn.widthMm.value || undefined,
      heightMm: takeIn.heightMm.value || undefined,
      massG: weighedG || assumedG || undefined,
      measured: measure ?? undefined,
      bodies: [
        {
          id: 'part',
          alloy: know.alloy,
          families: know.families.map(({ id, probability }) => ({ id, probability })),
          wallMm: takeIn.wallMm.value || ASSUMED_WALL_MM,
        },
      ],
    },
  }
}
