import type { Job, Kit, LogEntry } from '../job/job.schema'
import { SEEN_IN_PUDDLE } from '../job/words.table'
import type { AmpsNeed } from '../arc/amps'
import { dialForBalance, type DialReads } from '../arc/balance'
import { elapsedMin, type Duty } from '../arc/duty'
import type { GasUse } from '../arc/gas'
import type { MigSetup } from '../arc/mig'
import { postflowS, type TigSetup } from '../arc/setup'
import { FREQUENCY_SCHOOLS } from '../arc/setup.table'
import type { AcWave } from '../arc/wave'
import { sideOrder } from '../groove/sequence'
import type { ProcessId } from '../call/process.table'
import { groundOutPasses, nextMove, type NextMove } from '../puddle/next-move'
import { caution } from '../safety/cautions.table'
import { askFor } from './ask-core'
import { BETWEEN_PASSES_MIN, BOIL_OUT_ARC_MIN } from './minutes.table'
import type { OpenData } from './open'
import { capital, count, figure, words, type Sentence, type StationPlan } from './parts'
import type { WarmData } from './warm'

export type Machine = Kit['machines'][number]

export interface WeldPass { number: number, side: 1 | 2, kind: 'root' | 'fill' | 'cap', done: boolean, log: LogEntry[] }
export interface WeldData {
  machine: Machine | null
  amps: AmpsNeed | null
  setA: number
  enPct: number
  frequencyHz: number
  dial: number | null
  wave: AcWave | null
  duty: Duty | null
  gas: GasUse | null
  arcMin: number
  elapsedMin: number
  passes: WeldPass[]
  nextMove: NextMove | null
  reaches: boolean
}

export const DIAL_WORDS: Readonly<Record<DialReads, string>> = {
  'en-share': 'share electrode negative', 'cleaning-share': 'share cleaning', 'ep-minus-en': 'positive less negative',
}

/** The wire a spool gun most often holds, mm: common practice, no source. */
const MIG_WIRE_MM = 0.9

function passesOf(open: OpenData, job: Job): WeldPass[] {
  const { groove } = open
  if (!groove) return []
  const sides = groove.passes > groove.passesPerSide ? 2 : 1
  return sideOrder(sides, groove.passesPerSide).map(({ side, within }, index) => ({
    number: index + 1, side, kind: within === 0 ? 'root' : within === groove.passesPerSide - 1 ? 'cap' : 'fill',
    done: job.weld.passesDone.includes(index + 1), log: job.weld.log.filter(entry => entry.pass === index + 1),
  }))
}

/** Weld: current, wave, balance on this machine's dial, duty, gas, passes. */
export function planWeld(job: Job, kit: Kit, open: OpenData, warm: WarmData, process: ProcessId): StationPlan<WeldData> {
  const { weld, takeIn } = job
  const arcProcess = process === 'mig-pulse' || process === 'mig-spool' ? process : 'ac-tig'
  const fits = kit.machines.filter(entry => entry.process === arcProcess)
  const machine = fits.find(entry => entry.id === weld.machine) ?? fits[0] ?? null
  const wall = takeIn.wallMm.value
  const wants = [...(machine ? [] : ['a machine in the kit']), ...(wall ? [] : ['the wall']), ...(open.groove ? [] : ['the groove'])]
  const startC = warm.heating?.reaches === false ? warm.heating.equilibriumC : warm.targetC
  const amps = wall ? askFor<AmpsNeed>('amps.need', 'Current for this wall', { wallMm: wall, startC: Math.min(480, startC), process: arcProcess }) : null
  const limitA = machine ? Math.min(machine.highA, machine.torchA) : 0
  const need = amps?.ok ? amps.answer : null
  const reaches = !need || !machine || need.lowA <= limitA
  const setA = need && machine ? Math.max(machine.lowA, Math.min(need.a, limitA)) : 0
  const enPct = Math.min(99, Math.max(1, weld.enPct.value ?? 68))
  const wantedHz = weld.frequencyHz.value ?? 100
  const frequencyHz = Math.min(machine?.highHz ?? 1000, Math.max(machine?.lowHz ?? 1, wantedHz))
  const wave = setA > 0 && arcProcess === 'ac-tig' ? askFor<AcWave>('machine.ac', 'The wave', { enA: setA, enPct, frequencyHz }) : null
  const duty = setA > 0 && machine ? askFor<Duty>('machine.duty', 'Duty', { ratedA: machine.ratedA, ratedPct: machine.ratedPct, a: setA }) : null
  const passArcMin = open.groove ? open.groove.arcMin / open.groove.passes : 0
  // What the puddle made one grind out is laid again.
  const againMin = groundOutPasses(weld.log) * passArcMin
  const tig = setA > 0 && arcProcess === 'ac-tig' ? askFor<TigSetup>('machine.setup', 'Tungsten, cup and gas', { a: setA, school: weld.frequencySchool, metal: takeIn.soak === 'dry' || takeIn.soak === 'handled' ? 'clean' : 'dirty' }) : null
  const mig = wall && arcProcess !== 'ac-tig' ? askFor<MigSetup>('mig.setup', 'Wire feed and voltage', { wallMm: wall, wireMm: MIG_WIRE_MM, mode: arcProcess === 'mig-pulse' ? 'pulse' : 'spray' }) : null
  const boilMin = BOIL_OUT_ARC_MIN[takeIn.soak ?? 'handled']
  const arcMin = (open.groove?.arcMin ?? 0) + boilMin + againMin
  const passes = passesOf(open, job)
  const gas = passes.length && setA > 0 ? askFor<GasUse>('gas.use', 'Argon', { flowLMin: weld.flowLMin.value ?? 7, arcMin, postflowS: postflowS(setA), starts: passes.length * 2, ...(kit.gases[0] ? { cylinderL: kit.gases[0].cylinderL } : {}) }) : null
  const dial = machine && arcProcess === 'ac-tig' ? dialForBalance(enPct, machine.dialReads) : null
  const elapsed = duty?.ok ? elapsedMin(arcMin, duty.answer) + passes.length * BETWEEN_PASSES_MIN : arcMin
  const lastLog = weld.log.at(-1)
  const next = nextMove(weld.log)
  const doneCount = passes.filter(pass => pass.done).length

  const call: Sentence = !need || !machine || !open.groove
    ? [`Wants ${wants.join(' and ')}.`]
    : !reaches
      ? [`The ${machine.name} stops at `, figure(limitA, 'a'), '; this wall wants at least ', figure(need.lowA, 'a', 'amps'), '. Warm it further, or use another machine.']
      : next && doneCount < passes.length && lastLog!.saw !== 'wets-clean'
        ? [`${capital(SEEN_IN_PUDDLE[lastLog!.saw].name)} on pass ${lastLog!.pass}${next.times > 1 ? `, ${next.times} times now` : ''}: ${next.move}.`]
        : passes.length > 0 && doneCount === passes.length
          ? ['All passes laid. Let it cool slowly, then look at it.']
          : ['Weld at ', figure(Math.round(setA), 'a', 'amps'), ...(dial === null ? [] : ['; balance dial at ', words(`${Math.round(dial)}`, 'balance'), ', ', figure(frequencyHz, 'hz', 'wave')]), `; ${count(passes.length - doneCount, 'pass', 'passes')}${doneCount ? ' to go' : ''}.`]
  const why: Sentence[] = []
  if (next && lastLog!.saw !== 'wets-clean') why.push([`${capital(next.why)}.`])
  if (againMin > 0) why.push(['Ground out and laid again so far: ', figure(againMin, 'min'), ' more of arc.'])
  if (need && machine) {
    why.push(['This wall at ', figure(startC, 'c'), ' wants ', figure(Math.round(need.a), 'a', 'amps'), ' (from ', figure(Math.round(need.lowA), 'a', 'amps'), ' if you wait, to ', figure(Math.round(need.highA), 'a', 'amps'), '); the machine and its torch stop at ', figure(limitA, 'a'), '.'])
    if (dial !== null) why.push([`This dial reads the ${DIAL_WORDS[machine.dialReads]}: `, figure(enPct, 'pct'), ' electrode negative stands at ', words(`${Math.round(dial)}`, 'balance'), '. More cleaning on dirt, less once it is clean.'])
  }
  if (tig?.ok) why.push(['Tungsten ', figure(tig.answer.tungstenMm, 'mm', 'setup'), `, ${tig.answer.tip}; No. ${tig.answer.cup} cup, `, figure(tig.answer.gasLMin, 'lMin', 'setup'), ', post-flow ', figure(tig.answer.postflowS, 's', 'setup'), '.'])
  if (mig?.ok) why.push(['Wire of ', figure(MIG_WIRE_MM, 'mm'), ' at ', figure(mig.answer.wireMMin, 'mMin', 'setup'), ' and ', figure(mig.answer.v, 'v', 'setup'), mig.answer.sprays ? '.' : ': it goes over in drops, so pulse it or take thinner wire.'])
  if (machine && arcProcess === 'ac-tig' && frequencyHz !== wantedHz) why.push([figure(wantedHz, 'hz'), ` is outside what the ${machine.name} gives: taken as `, figure(frequencyHz, 'hz'), '.'])
  if (duty?.ok) why.push([...(duty.answer.dutyPct >= 100 ? ['Duty is no limit at this current'] : ['In ten minutes it may weld ', figure(duty.answer.weldMin, 'min', 'duty')]), '; ', figure(arcMin, 'min'), ' of arc', boilMin ? ' with the boiling out' : '', ', about ', figure(elapsed, 'min'), ' in all.'])
  if (gas?.ok) why.push([figure(Math.round(gas.answer.litres), 'number', 'gas'), ' L of argon', ...(gas.answer.cylinderShare !== undefined ? [', ', figure(Math.round(gas.answer.cylinderShare * 100), 'pct', 'gas'), ' of the cylinder'] : []), '.'])
  if (takeIn.soak === 'oily' || takeIn.soak === 'oil-soaked') why.push(['Boil out first: run the arc over it without rod until bubbles and specks stop, even twenty minutes; brush when cold, then rod.'])
  const change: Sentence[] = []
  if (need && wall) {
    const hotter = askFor<AmpsNeed>('amps.need', 'Warmer', { wallMm: wall, startC: Math.min(480, startC + 60), process: arcProcess })
    if (hotter.ok) change.push(['Another ', figure(60, 'number'), ' °C of preheat brings it to ', figure(Math.round(hotter.answer.a), 'a'), '.'])
  }
  if (machine && arcProcess === 'ac-tig') change.push([`A setting copied from elsewhere may count the other way: ${Math.round(enPct)} electrode negative is ${Math.round(100 - enPct)} cleaning.`])
  const school = FREQUENCY_SCHOOLS[weld.frequencySchool]
  if (arcProcess === 'ac-tig' && (frequencyHz < school.lowHz || frequencyHz > school.highHz)) change.push([`The ${weld.frequencySchool} school runs ${school.lowHz} to ${school.highHz} Hz: ${school.buys}.`])
  const balance = machine && dial !== null ? askFor('machine.balance', 'What the dial says', { value: Math.min(100, Math.max(machine.dialReads === 'ep-minus-en' ? -100 : 0, dial)), reads: machine.dialReads }) : null
  return {
    id: 'weld',
    short: !need || !machine || !open.groove ? `wants ${wants[0] ?? 'readings'}` : !reaches ? 'machine too small' : doneCount ? `${doneCount} of ${passes.length} passes laid` : `${Math.round(setA)} A, ${count(passes.length, 'pass', 'passes')}`,
    wants, call, why, change,
    cautions: [caution('earth-before-arc'), caution('ozone-uv'), caution('hot-no-glow'), caution('chlorinated-solvent'), caution('pulsed-noise')],
    workings: {
      ...(amps?.ok ? { amps: amps.working } : {}), ...(tig?.ok ? { setup: tig.working } : {}), ...(mig?.ok ? { setup: mig.working } : {}), ...(wave?.ok ? { wave: wave.working } : {}), ...(duty?.ok ? { duty: duty.working } : {}), ...(gas?.ok ? { gas: gas.working } : {}), ...(balance?.ok ? { balance: balance.working } : {}),
    },
    basis: { wall: takeIn.wallMm.typed, preheat: `${Math.round(startC)} °C`, machine: machine?.name ?? '', passes: String(passes.length), balance: weld.enPct.typed, frequency: weld.frequencyHz.typed },
    data: {
      machine, amps: need, setA, enPct, frequencyHz, dial, wave: wave?.ok ? wave.answer : null, duty: duty?.ok ? duty.answer : null, gas: gas?.ok ? gas.answer : null,
      arcMin, elapsedMin: elapsed, passes, nextMove: next, reaches,
    },
  }
}
