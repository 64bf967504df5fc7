import type { Step } from '../ask/question'
import { ampsNeed, type ArcProcess } from '../arc/amps'
import { dutyAt, elapsedMin } from '../arc/duty'
import { figures } from '../quantity/show'
import type { Family } from '../metal/families.table'
import {
  ARC_SHARE,
  FUSION_OFF,
  NEEDS_PREHEAT_OFF,
  PREHEAT_MIN,
  PROCESSES,
  PROCESS_IDS,
  SHORT_DUTY_OFF,
  SHORT_DUTY_PCT,
  SOAKS,
  USUAL_PREHEAT_C,
  VERDICT_AT,
  type ProcessId,
  type Soak,
} from './process.table'

export interface KitProcess {
  process: ProcessId
  maxA?: number | undefined
  ratedA?: number | undefined
  dutyPct?: number | undefined
  torchA?: number | undefined
}
export interface ProcessInput {
  wallMm: number
  family: Family
  soak: Soak
  load: 'seal' | 'static' | 'cyclic'
  watertight: boolean
  access: 'open' | 'tight'
  areaMm2: number
  count: number
  kit: readonly KitProcess[]
  /**
   * Arc minutes of the job by AC TIG, where the groove is known: the rests that a machine's duty forces are then
   * counted.
   */
  arcMin?: number | undefined
}
export interface RankedProcess {
  process: ProcessId
  name: string
  verdict: 'first' | 'works' | 'avoid' | 'never'
  score: number
  reasons: string[]
  minutes: number
  inKit: boolean
  needsPreheat: boolean
}

/**
 * Processes ranked for a wall, metal, dirt and the kit at hand.
 * Reach: `amps.need`, cold and with a usual preheat, against the machine and the torch. Points off: `process.table.ts`.
 * With an empty kit every process is weighed as if it were there. Minutes to about a half.
 */
export function chooseProcess(input: ProcessInput): { ranked: RankedProcess[]; working: Step[] } {
  const { wallMm, family, soak, load, watertight, access, areaMm2, count, kit } = input
  const working: Step[] = []
  const ranked = PROCESS_IDS.map((process): RankedProcess => {
    const row = PROCESSES[process]
    const reasons: string[] = []
    let score = 1
    let never = false
    let needsPreheat = false
    let restMin = 0
    const take = (points: number, reason: string) => {
      if (points <= 0) return
      score -= points
      reasons.push(reason)
    }
    const machines = kit.filter(entry => entry.process === process)
    const inKit = kit.length === 0 || machines.length > 0
    if (!inKit) {
      never = true
      reasons.push('not in the kit')
    }
    if (family.id === 'magnesium' || family.id === 'zinc-alloy') {
      never = true
      reasons.push(`${family.name} is not mended this way`)
    } else if (row.fusion) {
      if (family.fusion === 'never') {
        never = true
        reasons.push(`${family.name} is not fusion welded`)
      } else take(FUSION_OFF[family.fusion], `${family.name} fuses ${family.fusion}ly`)
    }
    if (row.needsAmps && inKit && kit.length > 0) {
      const best = machines.reduce((a, b) =>
        Math.min(b.maxA ?? 0, b.torchA ?? Infinity) > Math.min(a.maxA ?? 0, a.torchA ?? Infinity) ? b : a,
      )
      const maxA = Math.min(best.maxA ?? Infinity, best.torchA ?? Infinity)
      const cold = ampsNeed(wallMm, 20, process as ArcProcess, 'flat')
      const warm = ampsNeed(wallMm, USUAL_PREHEAT_C, process as ArcProcess, 'flat')
      working.push({
        label: `${row.name}: least current, cold and at ${USUAL_PREHEAT_C} °C`,
        formula: `amps.need for ${figures(wallMm, 3)} mm`,
        value: `${Math.round(cold.lowA)} and ${Math.round(warm.lowA)}`,
        unit: 'A',
        source: 'common practice',
      })
      if (warm.lowA > maxA) {
        never = true
        reasons.push(
          `${Math.round(maxA)} A does not melt in on ${figures(wallMm, 2)} mm even preheated (${Math.round(warm.lowA)} A at least)`,
        )
      } else if (cold.a > maxA) {
        needsPreheat = true
        take(NEEDS_PREHEAT_OFF, `${Math.round(maxA)} A reaches ${figures(wallMm, 2)} mm only with preheat`)
      }
      const ratedA = best.ratedA ?? best.maxA
      if (!never && ratedA !== undefined && best.dutyPct !== undefined) {
        const duty = dutyAt(ratedA, best.dutyPct, Math.min(maxA, cold.a), 10)
        if (input.arcMin !== undefined)
          restMin =
            elapsedMin(input.arcMin * ARC_SHARE[process as ArcProcess], duty) -
            input.arcMin * ARC_SHARE[process as ArcProcess]
        if (duty.dutyPct < SHORT_DUTY_PCT)
          take(SHORT_DUTY_OFF, `duty at that current is only ${Math.round(duty.dutyPct)} %`)
      }
    }
    take(row.dirt[SOAKS.indexOf(soak)]!, soak === 'dry' ? row.school : `${soak}: ${row.school}`)
    take(
      load === 'cyclic' ? row.cyclic : load === 'static' ? row.staticLoad : 0,
      `not the joint for ${load === 'cyclic' ? 'repeated' : 'steady'} load`,
    )
    if (watertight) take(row.watertight, 'pores and starts may weep')
    if (access === 'tight') take(row.tight, 'tight to reach')
    const [least, most] = row.walls
    if (wallMm < least || wallMm > most) take(row.wallOff, `suits walls of ${least} to ${most} mm`)
    score = Math.max(0, score)
    const verdict =
      never || score === 0
        ? 'never'
        : score >= VERDICT_AT.works
          ? 'works'
          : score >= VERDICT_AT.avoid
            ? 'avoid'
            : 'never'
    if (restMin >= 1) reasons.push(`its duty forces ${Math.round(restMin)} min of rest`)
    const minutes = row.setUpMin + (areaMm2 / row.mm2PerMin + restMin + (needsPreheat ? PREHEAT_MIN : 0)) * count
    if (reasons.length === 0) reasons.push(row.school)
    return { process, name: row.name, verdict, score: never ? 0 : score, reasons, minutes, inKit, needsPreheat }
  }).sort((a, b) => b.score - a.score)
  if (ranked[0] && ranked[0].verdict === 'works') ranked[0].verdict = 'first'
  return {
    ranked,
    working: [
      ...working,
      ...ranked
        .filter(entry => entry.score > 0)
        .map((entry): Step => ({
          label: entry.name,
          formula: `1 less points off: ${entry.reasons.join('; ')}`,
          value: entry.score,
          unit: '',
          source: 'judgement, from common practice',
        })),
    ],
  }
}
