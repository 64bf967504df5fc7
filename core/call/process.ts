import type { Step } from '../ask/question'
import { ampsNeed, type Joint } from '../arc/amps'
import { dutyAt, elapsedMin } from '../arc/duty'
import { easyPreheatC, leastPreheatC, ROOM_C } from '../arc/least-preheat'
import { brazeRefusal } from '../braze/plan'
import type { Alloy } from '../metal/alloys.table'
import { figures } from '../quantity/show'
import { BRAZE_RODS } from '../braze/rods.table'
import type { Heat } from '../warm/heat'
import type { Family } from '../metal/families.table'
import { PROCESS_IDS, PROCESSES, arcOf, brazeRodOf, type ProcessId, type ArcProcess } from '../process/registry'
import {
  FUSION_OFF,
  NEEDS_PREHEAT_OFF,
  PREHEAT_MIN,
  SHORT_DUTY_OFF,
  SHORT_DUTY_PCT,
  SOAKS,
  USUAL_PREHEAT_C,
  VERDICT_AT,
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
  joint?: Joint | undefined
  /** The metal itself and what it stands in service: then a rod that is not for it is ruled out. */
  base?: Alloy | undefined
  serviceC?: number | undefined
  /** What the torches there are can do; left out, a usual preheat is taken for granted. */
  heat?: Heat | undefined
}
/** What speaks for or against a process, by code. */
export type ProcessCode =
  | 'not-in-kit'
  | 'not-mended-so'
  | 'not-fusion-welded'
  | 'fuses-badly'
  | 'rod-unfit'
  | 'never-melts-rod'
  | 'wants-preheat'
  | 'past-the-metal'
  | 'nothing-brings-it'
  | 'slow-cold'
  | 'does-not-melt-in'
  | 'short-duty'
  | 'dirt'
  | 'not-for-load'
  | 'may-weep'
  | 'tight'
  | 'off-its-walls'
  | 'rests'
  | 'its-school'

export interface RankedProcess {
  process: ProcessId
  name: string
  verdict: 'first' | 'works' | 'avoid' | 'never'
  score: number
  reasons: string[]
  /** The same as codes, for whoever says them otherwise. */
  codes: ProcessCode[]
  minutes: number
  inKit: boolean
  needsPreheat: boolean
  /** The least preheat that makes it go, °C, and the torch's minutes; null where it goes cold. */
  preheat: { toC: number; minutes: number } | null
}

const tens = (c: number) => Math.ceil(c / 10 - 1e-9) * 10

/**
 * Processes ranked for a wall, metal, dirt and the kit at hand.
 * Reach: `amps.need`, cold and with what the torches bring the zone to (where none is told, a usual preheat), against
 * the machine and its torch. Points off: `process.table.ts`.
 * With an empty kit every process is weighed as if it were there. Minutes to about a half.
 */
export function chooseProcess(input: ProcessInput): { ranked: RankedProcess[]; working: Step[] } {
  const { wallMm, family, soak, load, watertight, access, areaMm2, count, kit } = input
  const working: Step[] = []
  const ranked = PROCESS_IDS.map((process): RankedProcess => {
    const row = PROCESSES[process]
    const reasons: string[] = []
    const codes: ProcessCode[] = []
    const because = (code: ProcessCode, reason: string) => {
      codes.push(code)
      reasons.push(reason)
    }
    let score = 1
    let never = false
    let needsPreheat = false
    let restMin = 0
    let preheat: RankedProcess['preheat'] = null
    const take = (points: number, code: ProcessCode, reason: string) => {
      if (points <= 0) return
      score -= points
      because(code, reason)
    }
    const machines = kit.filter(entry => entry.process === process)
    const inKit = kit.length === 0 || machines.length > 0
    if (!inKit) {
      never = true
      because('not-in-kit', 'not in the kit')
    }
    if (family.id === 'magnesium' || family.id === 'zinc-alloy') {
      never = true
      because('not-mended-so', `${family.name} is not mended this way`)
    } else if (row.fusion) {
      if (family.fusion === 'never') {
        never = true
        because('not-fusion-welded', `${family.name} is not fusion welded`)
      } else take(FUSION_OFF[family.fusion], 'fuses-badly', `${family.name} fuses ${family.fusion}ly`)
    }
    const rod = brazeRodOf(process)
    const unfit = rod && inKit && input.base ? brazeRefusal(input.base, rod, input.serviceC ?? 40) : null
    if (unfit) {
      never = true
      because('rod-unfit', unfit)
    }
    if (rod && inKit && !unfit && input.heat) {
      const workingC = BRAZE_RODS[rod].liquidusC + BRAZE_RODS[rod].overK
      if (!input.heat.spot(workingC)) {
        never = true
        because('never-melts-rod', `no torch here brings the place to ${Math.round(workingC)} °C, where the rod flows`)
      }
    }
    if (row.arc && inKit && kit.length > 0) {
      const best = machines.reduce((a, b) =>
        Math.min(b.maxA ?? 0, b.torchA ?? Infinity) > Math.min(a.maxA ?? 0, a.torchA ?? Infinity) ? b : a,
      )
      const maxA = Math.min(best.maxA ?? Infinity, best.torchA ?? Infinity)
      const joint = input.joint ?? 'flat'
      const arc = process as ArcProcess
      const cold = ampsNeed(wallMm, ROOM_C, arc, joint)
      const warm = ampsNeed(wallMm, USUAL_PREHEAT_C, arc, joint)
      const wall = `${figures(wallMm, 2)} mm`
      const most = Math.floor(maxA + 1e-9)
      working.push({
        label: `${row.name}: least current, cold and at ${USUAL_PREHEAT_C} °C`,
        formula: `amps.need for ${figures(wallMm, 3)} mm`,
        value: `${Math.round(cold.lowA)} and ${Math.round(warm.lowA)}`,
        unit: 'A',
        source: 'common practice',
      })
      if (input.heat) {
        const leastC = leastPreheatC(wallMm, maxA, arc, joint)
        const must = leastC > ROOM_C
        const toC = tens(must ? leastC : easyPreheatC(wallMm, maxA, arc, joint))
        const wanted = must ? toC : Math.min(toC, tens(input.heat.mostC))
        const found = toC > ROOM_C && wanted <= input.heat.mostC ? input.heat.reach(wanted) : null
        if (found) preheat = { toC: wanted, minutes: found.minutes }
        needsPreheat = must || found !== null
        // How long that takes is the warming's to say, by all that is warmed.
        const by = found && `with the ${found.torch}`
        const place = found?.where === 'whole' ? 'the part' : 'the zone'
        if (must && found)
          take(NEEDS_PREHEAT_OFF, 'wants-preheat', `${most} A wants ${place} at ${wanted} °C on ${wall}, ${by}`)
        else if (must) {
          never = true
          const atMost = Math.ceil(ampsNeed(wallMm, input.heat.mostC, arc, joint).lowA)
          because(
            toC > input.heat.mostC ? 'past-the-metal' : 'nothing-brings-it',
            toC > input.heat.mostC
              ? `${most} A would want the zone at ${toC} °C on ${wall}, past the ${Math.round(input.heat.mostC)} °C it may be taken to: a machine of ${atMost} A would do`
              : `${most} A would want the zone at ${toC} °C on ${wall}, and nothing here brings it there: a bigger torch, an oven or a machine of ${Math.ceil(cold.lowA)} A would do`,
          )
        } else if (cold.a > maxA)
          take(
            NEEDS_PREHEAT_OFF,
            'slow-cold',
            found
              ? `${most} A is slow to melt in on ${wall} cold; ${place} at ${wanted} °C makes it easy, ${by}`
              : `${most} A only just melts in on ${wall} cold: wait for the puddle`,
          )
      } else if (warm.lowA > maxA) {
        never = true
        because(
          'does-not-melt-in',
          `${most} A does not melt in on ${wall} even preheated (${Math.round(warm.lowA)} A at least)`,
        )
      } else if (cold.a > maxA) {
        needsPreheat = true
        take(NEEDS_PREHEAT_OFF, 'wants-preheat', `${most} A reaches ${wall} only with preheat`)
      }
      const ratedA = best.ratedA ?? best.maxA
      if (!never && ratedA !== undefined && best.dutyPct !== undefined) {
        const duty = dutyAt(ratedA, best.dutyPct, Math.min(maxA, cold.a), 10)
        if (input.arcMin !== undefined)
          restMin =
            elapsedMin(input.arcMin * arcOf(process as ArcProcess).minutesShare, duty) -
            input.arcMin * arcOf(process as ArcProcess).minutesShare
        if (duty.dutyPct < SHORT_DUTY_PCT)
          take(SHORT_DUTY_OFF, 'short-duty', `duty at that current is only ${Math.round(duty.dutyPct)} %`)
      }
    }
    take(row.dirt[SOAKS.indexOf(soak)]!, 'dirt', soak === 'dry' ? row.school : `${soak}: ${row.school}`)
    take(
      load === 'cyclic' ? row.cyclic : load === 'static' ? row.staticLoad : 0,
      'not-for-load',
      `not the joint for ${load === 'cyclic' ? 'repeated' : 'steady'} load`,
    )
    if (watertight) take(row.watertight, 'may-weep', 'pores and starts may weep')
    if (access === 'tight') take(row.tight, 'tight', 'tight to reach')
    const [least, most] = row.walls
    if (wallMm < least || wallMm > most) take(row.wallOff, 'off-its-walls', `suits walls of ${least} to ${most} mm`)
    score = Math.max(0, score)
    const verdict =
      never || score === 0
        ? 'never'
        : score >= VERDICT_AT.works
          ? 'works'
          : score >= VERDICT_AT.avoid
            ? 'avoid'
            : 'never'
    if (restMin >= 1) because('rests', `its duty forces ${Math.round(restMin)} min of rest`)
    const minutes =
      row.setUpMin +
      (areaMm2 / row.mm2PerMin + restMin + (preheat?.minutes ?? (needsPreheat && !input.heat ? PREHEAT_MIN : 0))) *
        count
    if (reasons.length === 0) because('its-school', row.school)
    return {
      process,
      name: row.name,
      verdict,
      score: never ? 0 : score,
      reasons,
      codes,
      minutes,
      inKit,
      needsPreheat: needsPreheat && !never,
      preheat: never ? null : preheat,
    }
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
