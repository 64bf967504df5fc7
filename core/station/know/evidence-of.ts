import { know as knowFields } from '../../job/fields/know'
import { said } from '../../job/fields/said'
import type { z } from 'zod'
import type { Job } from '../../job/job.schema'
import type { alloyIdentify } from '../../metal/question'
import { weighDensity } from '../../metal/density'
import { readComposition } from '../../metal/identify/read-composition'
import { SEEN, type SeenTest } from '../../metal/identify/tests.table'
import { NoAnswer } from '../../ask/question'

export type Evidence = NonNullable<z.input<typeof alloyIdentify.input>['evidence']>[number]

export interface JobEvidence {
  /** As the question takes it. */
  evidence: Evidence[]
  density: { densityGcm3: number; uncertaintyGcm3: number } | null
  /** Readings that cannot be used, and why. */
  refused: string[]
}

const WATER_C = 20

/** The evidence a job holds, in the order of the tests; readings that make no sense are left out and named. */
export function evidenceOf(job: Job): JobEvidence {
  const { know } = job
  const { hangerG, scaleG } = said(job, 'know')
  const evidence: Evidence[] = []
  const refused: string[] = []
  let density: JobEvidence['density'] = null
  if (know.markText.trim()) evidence.push({ test: 'mark', text: know.markText.trim() })
  for (const test of Object.keys(SEEN) as SeenTest[])
    if (know[test]) evidence.push({ test, seen: know[test] } as Evidence)
  const {
    dryG: { value: dry },
    submergedG: { value: under },
  } = know
  if (dry !== null && under !== null) {
    try {
      const weighed = weighDensity(dry, under, WATER_C, hangerG, scaleG > 0 ? scaleG : knowFields.scaleG.usual!)
      if (!(dry > 0)) refused.push('Weighed dry: must be more than nothing')
      else if (weighed.densityGcm3 > 9.5)
        refused.push(
          `Weighed: ${weighed.densityGcm3.toFixed(2)} g/cm³ is no casting metal; look at the two weighings again`,
        )
      else {
        density = weighed
        evidence.push({
          test: 'density',
          gcm3: weighed.densityGcm3,
          uncertaintyGcm3: Math.max(0.005, weighed.uncertaintyGcm3),
        })
      }
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error
      refused.push(`Weighed: ${error.message}`)
    }
  }
  if (know.iacsPct.value !== null) {
    if (know.iacsPct.value >= 1 && know.iacsPct.value <= 65)
      evidence.push({ test: 'conductivity', iacsPct: know.iacsPct.value })
    else refused.push(`Conductivity: ${know.iacsPct.value} % IACS is outside 1 to 65, where light alloys lie`)
  }
  if (know.hb.value !== null) {
    if (know.hb.value >= 5 && know.hb.value <= 250) evidence.push({ test: 'hardness', hb: know.hb.value })
    else refused.push(`Hardness: ${know.hb.value} HB is outside 5 to 250`)
  }
  if (know.composition.trim()) {
    const { pct, problems } = readComposition(know.composition)
    for (const problem of problems) refused.push(`Analyser: ${problem}`)
    if (problems.length === 0 && Object.keys(pct).length > 0) evidence.push({ test: 'composition', pct })
  }
  if (know.usePart) evidence.push({ test: 'use', part: know.usePart })
  return { evidence, density, refused }
}
