import { logOf } from './pass-log'
import { said } from '../../job/fields/said'
import type { Alloy } from '../../metal/alloys.table'
import type { LogEntry } from '../../job/fields/weld'
import type { Job, Kit } from '../../job/job.schema'
import { sideOrder } from '../../groove/sequence'
import type { ProcessId } from '../../call/process.table'
import { gunBeadMm2 } from '../../lay/means'
import { findAlloy } from '../../metal/find-alloy'
import { groundOutPasses, nextMove } from '../../puddle/next-move'
import { caution } from '../../safety/cautions.table'
import type { Body } from '../take-in/body'
import { brazeOf, brazeStation } from './braze'
import { flameOf, flameStation } from './flame'
import { BOIL_OUT_ARC_MIN, COOL_MIN } from '../minutes.table'
import type { OpenData } from '../open/open'
import type { StationPlan } from '../parts'
import { openingPlace } from './flame-place'
import { arcWOf, interpassOf, turnDownOf } from './soak-up'
import { airC } from '../../warm/air'
import type { WarmData } from '../warm/warm'
import type { WeldData, WeldPass } from './weld-data'
import { currentByPass } from '../../warm/current'
import { weldMeans, weldSettings } from './weld-settings'
import { arcWords } from './weld-words'
import { LANDS_SHARE } from '../../lay/process.table'

/** An easing worth a word, A. */
const TOLD_EASE_A = 5

/** Passes a side of a groove by the bead of its rod, or by that of the gun's own wire. */
function passesPerSide(groove: NonNullable<OpenData['groove']>, sides: number, beadMm2: number | null): number {
  if (beadMm2 === null) return groove.passesPerSide
  return Math.max(1, Math.ceil(groove.volumeMm3 / sides / (beadMm2 * Math.max(1, groove.runMm)) - 1e-9))
}

function passesOf(open: OpenData, job: Job, beadMm2: number | null): WeldPass[] {
  const { groove } = open
  if (!groove) return []
  const sides = groove.passes > groove.passesPerSide ? 2 : 1
  const perSide = passesPerSide(groove, sides, beadMm2)
  const logs = new Map<number, LogEntry[]>()
  for (const entry of logOf(job, null)) logs.set(entry.pass, [...(logs.get(entry.pass) ?? []), entry])
  return sideOrder(sides, perSide).map(({ side, within }, index) => ({
    number: index + 1,
    side,
    kind: within === 0 ? 'root' : within === perSide - 1 ? 'cap' : 'fill',
    done: job.weld.passesDone.includes(index + 1),
    log: logs.get(index + 1) ?? [],
    ease: null,
  }))
}

/** Weld or braze: current, wave, balance on this machine's dial, duty, gas, passes; or rod and flame. */
export function planWeld(
  job: Job,
  kit: Kit,
  open: OpenData,
  warm: WarmData,
  process: ProcessId,
  body: Body | null,
  alloy: Alloy,
  filler: string,
): StationPlan<WeldData> {
  const { weld, takeIn } = job
  const log = logOf(job, null)
  const arcProcess = process === 'mig-pulse' || process === 'mig-spool' ? process : 'ac-tig'
  const startC = warm.reachC
  const settings = weldSettings(job, kit, arcProcess, startC, filler, { wallMm: takeIn.wallMm.value })
  const { machine, setA, tig, mig } = settings
  const fillerGcm3 = findAlloy(filler)?.densityGcm3 ?? alloy.densityGcm3
  const passes = passesOf(open, job, mig ? gunBeadMm2(mig.depositGMin, fillerGcm3) : null)
  // A gun lays its wire in a fraction of the time that a rod is fed by hand; what the groove plan reckons is the rod.
  const layArcMin = open.groove ? (mig ? open.groove.massG / mig.depositGMin : open.groove.arcMin) : 0
  const passArcMin = passes.length ? layArcMin / passes.length : 0
  // What the puddle made one grind out is laid again.
  const again = groundOutPasses(log)
  const againMin = again * passArcMin
  const againG = open.groove && passes.length ? (again * open.groove.massG) / passes.length : 0
  const wireG = mig && open.groove ? (open.groove.massG + againG) / LANDS_SHARE.wire : 0
  const rods =
    open.groove && !mig ? Math.ceil(open.groove.rods * (1 + (passes.length ? again / passes.length : 0)) - 1e-9) : 0
  // Only an arc without wire can sit on the metal and boil it out.
  const boilMin = mig ? 0 : BOIL_OUT_ARC_MIN[said(job, 'takeIn').soak]
  const arcMin = layArcMin + boilMin + againMin
  const { gas, gasWorking, elapsedMin } = weldMeans(job, kit, settings, passes.length, arcMin)
  const arcW = arcWOf(arcProcess, settings)
  const interpass =
    body && setA > 0 && passes.length > 1
      ? interpassOf(body, alloy, startC, airC(warm.startC), arcW, passArcMin, weld.interpassC.value)
      : null
  const turnDown = mig && body ? turnDownOf(body, alloy, startC, airC(warm.startC), mig, arcW, layArcMin) : null
  const byPass =
    arcProcess === 'ac-tig' && body && setA > 0 && takeIn.wallMm.value && passes.length
      ? currentByPass(
          {
            wallMm: takeIn.wallMm.value,
            joint: 'flat',
            process: arcProcess,
            startC,
            arcMin: layArcMin,
            passes: passes.length,
            massG: body.massKg * 1000,
            skinMm2: body.areaMm2,
            alloy,
            zoneWallMm: takeIn.wallMm.value,
            limitA: setA,
          },
          setA,
        )
      : []
  const last = byPass.at(-1)
  const eased = last && setA - last.easedA >= TOLD_EASE_A ? { fromA: setA, toA: last.easedA, zoneC: last.zoneC } : null
  const place = openingPlace(job, open)
  const brazing = brazeOf(job, kit, body, alloy, warm, process, place)
  const flaming = process === 'oxy-fuel' ? flameOf(job, kit, body, alloy, warm, startC, place) : null
  const data: WeldData = {
    ...settings,
    process,
    gas,
    arcMin,
    elapsedMin,
    passes: passes.map((pass, n) => {
      const current = byPass[n]
      return { ...pass, ease: current ? { fromA: current.startA, toA: current.easedA } : null }
    }),
    eased,
    rods,
    wireG,
    againG,
    nextMove: nextMove(log),
    interpass,
    turnDown,
    braze: brazing && 'plan' in brazing ? brazing : null,
    flame: flaming && 'plan' in flaming ? flaming : null,
  }
  const noArc = brazing
    ? brazeStation(job, brazing, process, alloy)
    : flaming
      ? flameStation(job, flaming, process, alloy)
      : null
  if (noArc) {
    const { minutes, ...station } = noArc
    // No current, argon or duty to count; the minutes are the flame's and the hand's.
    return {
      id: 'weld',
      ...station,
      data: {
        ...data,
        machine: null,
        setA: 0,
        wave: null,
        tig: null,
        dial: null,
        gas: null,
        duty: null,
        arcMin: 0,
        interpass: null,
        turnDown: null,
        eased: null,
        passes: data.passes.map(pass => ({ ...pass, ease: null })),
        elapsedMin: minutes,
      },
    }
  }

  return {
    id: 'weld',
    ...arcWords(job, kit, open, data, { startC, boilMin, againMin, layArcMin, arcProcess }),
    cautions: [
      caution('earth-before-arc'),
      caution('ozone-uv'),
      caution('hot-no-glow'),
      caution('chlorinated-solvent'),
      caution('pulsed-noise'),
    ],
    workings: { ...settings.workings, ...(gasWorking ? { gas: gasWorking } : {}) },
    clocks: [
      ...(tig ? [{ name: 'Post-flow', seconds: Math.round(tig.postflowS) }] : []),
      ...(interpass?.waitS ? [{ name: 'Interpass', seconds: Math.ceil(interpass.waitS) }] : []),
      { name: 'Slow cool', seconds: COOL_MIN * 60 },
    ],
    basis: {
      wall: takeIn.wallMm.typed,
      preheat: `${Math.round(startC)} °C`,
      machine: machine?.name ?? '',
      passes: String(passes.length),
      balance: weld.enPct.typed,
      frequency: weld.frequencyHz.typed,
    },
    data,
  }
}
