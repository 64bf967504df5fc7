import type { Alloy } from '../metal/alloys.table'
import type { Job, Kit, LogEntry } from '../job/job.schema'
import { sideOrder } from '../groove/sequence'
import type { ProcessId } from '../call/process.table'
import { groundOutPasses, nextMove } from '../puddle/next-move'
import { caution } from '../safety/cautions.table'
import type { Body } from './body'
import { brazeOf, brazeSentences } from './braze'
import { BOIL_OUT_ARC_MIN, COOL_MIN } from './minutes.table'
import type { OpenData } from './open'
import type { StationPlan } from './parts'
import { AC_TIG_ARC_V, ARC_ENTERS, interpassOf, turnDownOf } from './soak-up'
import { airC, type WarmData } from './warm'
import type { WeldData, WeldPass } from './weld-data'
import { weldMeans, weldSettings } from './weld-settings'
import { arcWords } from './weld-words'

function passesOf(open: OpenData, job: Job): WeldPass[] {
  const { groove } = open
  if (!groove) return []
  const sides = groove.passes > groove.passesPerSide ? 2 : 1
  const logs = new Map<number, LogEntry[]>()
  for (const entry of job.weld.log) logs.set(entry.pass, [...logs.get(entry.pass) ?? [], entry])
  return sideOrder(sides, groove.passesPerSide).map(({ side, within }, index) => ({
    number: index + 1, side, kind: within === 0 ? 'root' : within === groove.passesPerSide - 1 ? 'cap' : 'fill',
    done: job.weld.passesDone.includes(index + 1), log: logs.get(index + 1) ?? [],
  }))
}

/** Weld or braze: current, wave, balance on this machine's dial, duty, gas, passes; or rod and flame. */
export function planWeld(job: Job, kit: Kit, open: OpenData, warm: WarmData, process: ProcessId, body: Body | null, alloy: Alloy, filler: string): StationPlan<WeldData> {
  const { weld, takeIn } = job
  const arcProcess = process === 'mig-pulse' || process === 'mig-spool' ? process : 'ac-tig'
  const startC = warm.heating?.reaches === false ? warm.heating.equilibriumC : warm.targetC
  const settings = weldSettings(job, kit, arcProcess, startC, filler)
  const { machine, setA, tig, mig } = settings
  const passes = passesOf(open, job)
  // A gun lays its wire in a fraction of the time that a rod is fed by hand; what the groove plan reckons is the rod.
  const layArcMin = open.groove ? mig ? open.groove.massG / mig.depositGMin : open.groove.arcMin : 0
  const passArcMin = passes.length ? layArcMin / passes.length : 0
  // What the puddle made one grind out is laid again.
  const againMin = groundOutPasses(weld.log) * passArcMin
  // Only an arc without wire can sit on the metal and boil it out.
  const boilMin = mig ? 0 : BOIL_OUT_ARC_MIN[takeIn.soak ?? 'handled']
  const arcMin = layArcMin + boilMin + againMin
  const { gas, gasWorking, elapsedMin } = weldMeans(job, kit, settings, passes.length, arcMin)
  const arcW = arcProcess === 'ac-tig' ? setA * AC_TIG_ARC_V * ARC_ENTERS.tig : (mig?.a ?? 0) * (mig?.v ?? 0) * ARC_ENTERS.mig
  const interpass = body && setA > 0 && passes.length > 1 ? interpassOf(body, alloy, startC, airC(warm.startC), arcW, passArcMin, weld.interpassC.value) : null
  const turnDown = mig && body ? turnDownOf(body, alloy, startC, airC(warm.startC), arcW, layArcMin)?.map(point => ({ ...point, a: point.share * mig.a, wireMMin: point.share * mig.wireMMin })) ?? null : null
  const brazing = brazeOf(job, kit, body, alloy, warm, process, { volumeMm3: open.groove?.volumeMm3 ?? 0, faceMm2: open.groove ? open.groove.topWidthMm * open.groove.runMm : 0 })
  const braze = brazing && 'plan' in brazing ? brazing : null
  const data: WeldData = { ...settings, process, gas, arcMin, elapsedMin, passes, nextMove: nextMove(weld.log), interpass, turnDown, braze }
  const basis = { wall: takeIn.wallMm.typed, preheat: `${Math.round(startC)} °C`, machine: machine?.name ?? '', passes: String(passes.length), balance: weld.enPct.typed, frequency: weld.frequencyHz.typed }

  if (brazing) {
    const said = braze ? brazeSentences(braze) : null
    const brazeWants = 'wants' in brazing ? brazing.wants : []
    return {
      id: 'weld', short: said?.short ?? `wants ${brazeWants[0] ?? 'readings'}`, wants: brazeWants,
      call: said?.call ?? ['reason' in brazing ? `Not brazed: ${brazing.reason}.` : `Wants ${brazeWants.join(' and ')}.`], why: said?.why ?? [], change: said?.change ?? [],
      cautions: [caution('torch-fire'), caution('hot-no-glow'), ...(braze?.plan.cautions ?? [])],
      workings: braze ? { braze: braze.working, ...(braze.unbalanceWorking ? { unbalance: braze.unbalanceWorking } : {}) } : {},
      clocks: braze && braze.plan.verdict !== 'refused' ? [...(braze.plan.timeS ? [{ name: 'To brazing heat', seconds: Math.ceil(braze.plan.timeS) }] : []), { name: 'Slow cool', seconds: Math.ceil(braze.plan.coolMin * 60) }] : [],
      basis: { process, wall: takeIn.wallMm.typed, torch: braze?.torch.name ?? '', metal: alloy.name, service: takeIn.hotC.typed },
      // No arc: no current, gas or duty to count; the minutes are the flame's and the hand's.
      data: { ...data, setA: 0, gas: null, duty: null, arcMin: 0, interpass: null, turnDown: null, elapsedMin: braze?.minutes ?? 0 },
    }
  }

  return {
    id: 'weld',
    ...arcWords(job, kit, open, data, { startC, boilMin, againMin, layArcMin, arcProcess }),
    cautions: [caution('earth-before-arc'), caution('ozone-uv'), caution('hot-no-glow'), caution('chlorinated-solvent'), caution('pulsed-noise')],
    workings: { ...settings.workings, ...(gasWorking ? { gas: gasWorking } : {}) },
    clocks: [...(tig ? [{ name: 'Post-flow', seconds: Math.round(tig.postflowS) }] : []), ...(interpass?.waitS ? [{ name: 'Interpass', seconds: Math.ceil(interpass.waitS) }] : []), { name: 'Slow cool', seconds: COOL_MIN * 60 }],
    basis, data,
  }
}
