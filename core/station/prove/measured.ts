import type { AnswerTo } from '../../ask/question'
import { balanceCorrect } from '../../face/question'
import { leakDecayQuestion } from '../../leak/question'
import { runoutEvaluate } from '../../face/question'
import { said } from '../../job/fields/said'
import type { Job } from '../../job/job.schema'
import { askFor, type AskedForPlan } from '../ask-core'
import { figure, fine, type Sentence } from '../parts'

/** A measured check against its limit: what it read, whether it is within, and in words. */
export interface Measured<T> {
  answer: T
  within: boolean | null
  said: Sentence
  asked: Extract<AskedForPlan<T>, { ok: true }>
}
export type MeasuredOrReason<T> = Measured<T> | { reason: string } | null

const LEAST_READINGS = 4

/** Run-out from the dial's readings. */
export function runOutOf({ prove }: Job): MeasuredOrReason<AnswerTo<typeof runoutEvaluate>> {
  const readingsMm = prove.runOut.flatMap(reading => (reading.value === null ? [] : [reading.value]))
  if (readingsMm.length === 0) return null
  if (readingsMm.length < LEAST_READINGS || readingsMm.length < prove.runOut.length)
    return { reason: `${LEAST_READINGS} readings at least, and none left out` }
  const asked = askFor(runoutEvaluate, 'Run-out', { readingsMm })
  if (!asked.ok) return { reason: asked.reason }
  const limit = prove.runOutLimitMm.value
  const within = limit === null ? null : asked.answer.tirMm <= limit
  const lobe = asked.answer.lobes.toSorted((a, b) => b.amplitudeMm - a.amplitudeMm)[0]
  return {
    answer: asked.answer,
    within,
    asked,
    said: [
      'Runs out ',
      fine(asked.answer.tirMm, 'runout'),
      ' in all, off centre by ',
      fine(asked.answer.eccentricityMm, 'runout'),
      ', high at ',
      figure(Math.round(asked.answer.highDeg), 'deg', 'runout'),
      ...(lobe && lobe.amplitudeMm > asked.answer.eccentricityMm
        ? [`; ${lobe.order === 2 ? 'oval' : `${lobe.order} lobes`}`]
        : []),
      within === null ? '.' : within ? ': within its limit.' : ': over its limit.',
    ],
  }
}

/** Leak from the fall of pressure; before the end is read, what is stored in it. */
export function leakOf(job: Job): MeasuredOrReason<AnswerTo<typeof leakDecayQuestion>> {
  const { volumeL, startKPa, endKPa, leakS, startC, endC } = said(job, 'prove')
  if (!volumeL || startKPa === null) return null
  const ended = endKPa !== null
  const asked = askFor(leakDecayQuestion, 'Leak', {
    volumeL,
    startKPa,
    endKPa: endKPa ?? startKPa,
    seconds: leakS,
    startC,
    ...(endC === null ? {} : { endC }),
  })
  if (!asked.ok) return { reason: asked.reason }
  const limit = job.prove.leakLimitSccm.value
  const within = !ended || limit === null ? null : asked.answer.sccm <= limit
  return {
    answer: asked.answer,
    within,
    asked,
    said: ended
      ? [
          'Loses ',
          figure(Math.max(0, asked.answer.sccm), 'sccm', 'leak'),
          ', as through a hole of ',
          fine(asked.answer.holeUm / 1000, 'leak'),
          within === null ? '.' : within ? ': within its limit.' : ': over its limit.',
        ]
      : ['So blown up it holds ', figure(asked.answer.storedJ, 'j', 'leak'), '; read it again after the time.'],
  }
}

/** Unbalance of what was put on a turning part. */
export function unbalanceOf({ prove }: Job): MeasuredOrReason<{ unbalanceGmm: number; correctG: number }> {
  if (!prove.radiusMm.value || prove.addedG.value === null) return null
  const atRadiusMm = prove.atRadiusMm.value || prove.radiusMm.value
  const asked = askFor(balanceCorrect, 'Balance', {
    radiusMm: prove.radiusMm.value,
    addedG: prove.addedG.value,
    atRadiusMm,
  })
  if (!asked.ok) return { reason: asked.reason }
  const limit = prove.balanceLimitGmm.value
  const within = limit === null ? null : Math.abs(asked.answer.unbalanceGmm) <= limit
  return {
    answer: asked.answer,
    within,
    asked,
    said: [
      'Out of balance by ',
      figure(asked.answer.unbalanceGmm, 'number', 'balance'),
      ' g·mm: ',
      figure(Math.abs(asked.answer.correctG), 'g', 'balance'),
      asked.answer.correctG >= 0 ? ' opposite puts it right' : ' off here puts it right',
      within === null ? '.' : within ? '; within its limit.' : '; over its limit.',
    ],
  }
}
