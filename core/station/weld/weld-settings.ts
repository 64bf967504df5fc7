import { isTig, isPulsed } from '../../process/registry'
import type { AnswerTo } from '../../ask/question'
import { gasUseQuestion } from '../../arc/question'
import { machineBalance } from '../../arc/question'
import { migSetupQuestion } from '../../arc/question'
import { machineSetup } from '../../arc/question'
import { machineDuty } from '../../arc/question'
import { machineAc } from '../../arc/question'
import { ampsNeedQuestion } from '../../arc/question'
import { said } from '../../job/fields/said'
import { dialForBalance } from '../../arc/balance'
import { copiedBalance, type Copied } from '../../arc/copied'
import { halvesFor } from '../../arc/halves'
import type { Joint } from '../../arc/amps'
import type { MigMode } from '../../arc/mig'
import { mostCurrent } from '../../arc/machine-reach'
import { dialFor, readRanges } from '../../arc/ranges'
import { NoAnswer } from '../../ask/question'
import type { Made } from '../../job-plan/step'
import type { Job, Kit } from '../../job/job.schema'
import { askFor, type AskedForPlan } from '../ask-core'
import { machineOf, mostA, type Machine } from './machine'
import type { Working } from '../parts'

export type ArcProcess = Machine['process']

export interface WeldSettings {
  machine: Machine | null
  limitA: number
  need: AnswerTo<typeof ampsNeedQuestion> | null
  /** Why no current could be worked out for this wall. */
  needReason: string | null
  reaches: boolean
  /** Average current, and whether it was set by hand. */
  setA: number
  byHand: boolean
  /** The two amplitudes; the same where the machine has one current for both. */
  enA: number
  epA: number
  halvesReason: string | null
  enPct: number
  wantedHz: number
  frequencyHz: number
  dial: number | null
  /** What stops the machine at `limitA`. */
  limitBy: 'machine' | 'torch' | 'mains'
  /** The range to set and where its dial stands, on a machine that has several or whose dial reads per cent. */
  range: { lowA: number; highA: number; dialPct: number } | null
  copied: Copied | null
  wave: AnswerTo<typeof machineAc> | null
  duty: AnswerTo<typeof machineDuty> | null
  tig: AnswerTo<typeof machineSetup> | null
  mig: AnswerTo<typeof migSetupQuestion> | null
  migMode: MigMode
  migReason: string | null
  workings: Record<string, Working>
}

const clamp = (low: number, value: number, high: number) => Math.min(high, Math.max(low, value))

/** Which way a gun is run unless it is said: cold on thin walls with a spool gun, pulsed where the machine pulses. */
const THIN_MM = 4
const modeOf = (job: Job, process: ArcProcess, wallMm: number | null): MigMode =>
  job.weld.migMode ?? (isPulsed(process) ? 'pulse' : (wallMm ?? 0) <= THIN_MM ? 'cold' : 'spray')

/** What is welded: the wall that the current goes by, in which joint, and the current where a plan has one. */
export interface Welded {
  wallMm: number | null
  joint?: Joint
  neededA?: number
}

/**
 * The machine and everything that is set on it for this wall at this heat: current, halves, balance, frequency, duty,
 * tungsten or wire.
 */
export function weldSettings(
  job: Job,
  kit: Kit,
  process: ArcProcess,
  startC: number,
  fillerAlloy: string,
  { wallMm, joint, neededA }: Welded,
): WeldSettings {
  const { weld, takeIn } = job
  const setting = said(job, 'weld')
  const workings: Record<string, Working> = {}
  const take = <Out>(key: string, asked: AskedForPlan<Out> | null): Out | null => {
    if (!asked?.ok) return null
    workings[key] = asked.working
    return asked.answer
  }
  const machine = machineOf(job, kit, process)
  const needAsked = wallMm
    ? askFor(ampsNeedQuestion, 'Current for this wall', {
        wallMm,
        startC: Math.min(480, startC),
        process,
        ...(joint ? { joint } : {}),
      })
    : null
  const need = take('amps', needAsked)
  const limitA = machine ? mostA(machine) : 0
  const byHand = machine !== null && weld.currentA.value !== null && weld.currentA.value > 0
  const setA =
    machine && byHand
      ? clamp(machine.lowA, weld.currentA.value!, machine.highA)
      : need && machine
        ? clamp(Math.min(machine.lowA, limitA), neededA ?? need.a, limitA)
        : 0
  const enPct = clamp(1, setting.enPct, 99)
  const wantedHz = setting.frequencyHz
  const frequencyHz = clamp(machine?.lowHz ?? 1, wantedHz, machine?.highHz ?? 1000)
  const tigging = isTig(process)
  let [enA, epA, halvesReason] = [setA, setA, null as string | null]
  if (tigging && setA > 0 && machine?.halves === 'apart' && weld.epA.value !== null && weld.epA.value > 0) {
    try {
      ;({ enA, epA } = halvesFor(setA, weld.epA.value, enPct))
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error
      halvesReason = error.message
    }
  }
  const wave = take(
    'wave',
    setA > 0 && tigging ? askFor(machineAc, 'The wave', { enA, epA, enPct, frequencyHz }) : null,
  )
  const duty = take(
    'duty',
    setA > 0 && machine
      ? askFor(machineDuty, 'Duty', { ratedA: machine.ratedA, ratedPct: machine.ratedPct, a: setA })
      : null,
  )
  const tig = take(
    'setup',
    setA > 0 && tigging
      ? askFor(machineSetup, 'Tungsten, cup and gas', {
          a: setA,
          school: weld.frequencySchool,
          metal: takeIn.soak === 'dry' || takeIn.soak === 'handled' ? 'clean' : 'dirty',
        })
      : null,
  )
  const migMode = modeOf(job, process, wallMm)
  const migAsked =
    wallMm && !tigging
      ? askFor(migSetupQuestion, 'Wire feed and voltage', {
          wallMm,
          wireMm: setting.wireMm,
          filler: fillerAlloy,
          mode: migMode,
          startC: Math.min(480, startC),
        })
      : null
  const mig = take('setup', migAsked)
  const dial = machine && tigging ? dialForBalance(enPct, machine.dialReads) : null
  if (machine && dial !== null)
    take(
      'balance',
      askFor(machineBalance, 'What the dial says', {
        value: clamp(machine.dialReads === 'ep-minus-en' ? -100 : 0, dial, 100),
        reads: machine.dialReads,
      }),
    )
  return {
    machine,
    limitA,
    need,
    needReason: needAsked && !needAsked.ok ? needAsked.reason : null,
    reaches: !need || !machine || need.lowA <= limitA,
    setA,
    byHand,
    enA,
    epA,
    halvesReason,
    enPct,
    wantedHz,
    frequencyHz,
    dial,
    limitBy: machine ? mostCurrent(machine).by : 'machine',
    range: machine && setA > 0 && (machine.ranges || machine.currentDial === 'percent') ? rangeOf(machine, setA) : null,
    copied:
      machine && tigging && weld.copiedDial.value !== null
        ? copiedBalance(weld.copiedDial.value, machine.dialReads)
        : null,
    wave,
    duty,
    tig,
    mig,
    migMode,
    migReason: migAsked && !migAsked.ok ? migAsked.reason : null,
    workings,
  }
}

/** The range of a machine that holds a current; one that has no ranges written has its own. */
const rangeOf = ({ ranges, lowA, highA }: Machine, a: number) => {
  const written = readRanges(ranges) ?? []
  return dialFor(written.length ? written : [{ lowA, highA }], a)
}

/** Shielding gas of these arcs, as the plan's steps use it up; each is one start with its post-flow. */
export function gasTaken(
  job: Job,
  kit: Kit,
  arcs: readonly Pick<Made, 'minutes' | 'set' | 'uses'>[],
): { gas: AnswerTo<typeof gasUseQuestion> | null; gasWorking: Working | null } {
  const [first] = arcs
  if (!first?.set) return { gas: null, gasWorking: null }
  const asked = askFor(gasUseQuestion, 'Argon', {
    flowLMin: said(job, 'weld').flowLMin,
    arcMin: arcs.reduce((sum, { minutes }) => sum + minutes, 0),
    postflowS: first.set.postflowS,
    starts: arcs.length,
    ...(kit.gases[0] ? { cylinderL: kit.gases[0].cylinderL } : {}),
  })
  return asked.ok ? { gas: asked.answer, gasWorking: asked.working } : { gas: null, gasWorking: null }
}
