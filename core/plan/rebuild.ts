import type { Job } from '../job/job.schema'
import { facingCutsMm } from '../face/facing-cuts'
import type { Alloy } from '../metal/alloys.table'
import { caution } from '../safety/cautions.table'
import type { BossMethod, Rebuild } from '../thread/boss'
import { askFor } from './ask-core'
import type { OpenData } from './open'
import { capital, count, figure, type Sentence, type StationPlan, type Working } from './parts'

export interface RebuildData {
  proudMm: number
  cutsMm: number[]
  faceMm2: number
  machined: boolean
  /** Ways of giving a stripped thread back, and the load it must hold; null where none is named. */
  boss: { ranked: Rebuild[], loadN: number } | null
  bossReason: string | null
}

/** What each way of rebuilding a thread is called at the bench. */
export const BOSS_WORDS: Readonly<Record<BossMethod, string>> = {
  'weld-and-tap': 'weld it up, drill and tap', 'pressed-slug': 'press a slug in, weld its rims, tap', 'new-boss': 'cut the boss off, weld a new one on', 'wire-insert': 'wire insert', 'solid-insert': 'solid insert', 'cast-on-screw': 'weld round a stainless screw',
}

/** The stripped thread compared, or what is still wanted for it. */
function bossOf({ rebuild }: Job, alloy: Alloy, filler: string): { boss: RebuildData['boss'], reason: string | null, working: Working | null } {
  if (!rebuild.thread.trim()) return { boss: null, reason: null, working: null }
  if (!rebuild.threadDeepMm.value || !rebuild.bossMm.value) return { boss: null, reason: 'it wants how deep the thread is and how wide the boss', working: null }
  const asked = askFor<{ ranked: Rebuild[], loadN: number }>('boss.compare', 'The stripped thread', { designation: rebuild.thread, depthMm: rebuild.threadDeepMm.value, bossMm: rebuild.bossMm.value, bodyAlloy: alloy.name, filler, ...(rebuild.torqueNm.value ? { torqueNm: rebuild.torqueNm.value } : {}) })
  return asked.ok ? { boss: asked.answer, reason: null, working: asked.working } : { boss: null, reason: asked.reason, working: null }
}

/** Over-build before machining: about 1.5 mm (1/16 in). Common practice, no source. */
export const USUAL_PROUD_MM = 1.5

/** Rebuild: over-build and facing allowance, or dressing by hand. */
export function planRebuild(job: Job, open: OpenData, alloy: Alloy, filler: string): StationPlan<RebuildData> {
  const { rebuild } = job
  const { boss, reason, working } = bossOf(job, alloy, filler)
  const best = boss?.ranked[0] ?? null
  const proudMm = Math.max(0, rebuild.proudMm.value ?? USUAL_PROUD_MM)
  const cutsMm = rebuild.machined ? facingCutsMm(proudMm) : []
  const topWidth = open.groove?.topWidthMm ?? 0
  const faceMm2 = (rebuild.faceWidthMm.value ?? topWidth) * (open.groove?.runMm ?? 0)
  const call: Sentence = best
    ? [`${rebuild.thread}: ${BOSS_WORDS[best.method]}; it holds `, figure(best.factor, 'number', 'boss'), ' times what the bolt is tightened to, in about ', figure(best.minutes, 'min'), '.']
    : rebuild.machined
    ? proudMm > 0 ? ['Build it ', figure(proudMm, 'mm'), ` proud, then face it in ${count(cutsMm.length, 'cut')}, the last `, figure(cutsMm.at(-1)!, 'mm', 'cuts'), '.'] : ['Nothing proud to machine: build it up first.']
    : ['Dress it by hand: flush on seats and sealing faces, proud everywhere else.']
  return {
    id: 'rebuild',
    short: best && !rebuild.dressed ? BOSS_WORDS[best.method].split(',')[0]! : rebuild.dressed ? 'dressed' : rebuild.machined ? `${count(cutsMm.length, 'cut')} to face it` : 'dress by hand',
    wants: [], call,
    why: [...(best ? [[`${capital(best.reasons.slice(0, -1).join('; '))}.`], ['The load is ', figure(boss!.loadN, 'n', 'boss'), rebuild.torqueNm.value ? ', from its torque.' : ', six tenths of what breaks an 8.8 bolt; give its torque if you know it.']] as Sentence[] : []), ...(reason ? [[`The thread is not compared: ${reason}.`] as Sentence] : []), ...(rebuild.machined
      ? [['Over-built so that the cutter starts in full metal everywhere. Light cuts: each tears less than one heavy one.'], ...(proudMm > 0 && proudMm < 0.8 ? [['Under 0.8 mm leaves no room for a low spot: about ', figure(USUAL_PROUD_MM, 'mm'), ' is usual.'] as Sentence] : [])]
      : [['Weld left proud is the best metal; grinding it off removes it. Flap disc almost down, 80 grit to touch, a knotted wheel pressed hard for a cast skin.'] as Sentence])],
    change: [['A face that still rocks on the straightedge: blue it and lap it before it is bolted down.']],
    cautions: [caution('rotating-tools'), caution('aluminium-dust'), caution('hot-no-glow')],
    workings: { ...(working ? { boss: working } : {}), ...(rebuild.machined ? { cuts: { title: 'Facing cuts', steps: cutsMm.map((cut, index) => ({ label: index === cutsMm.length - 1 ? 'Last cut' : `Cut ${index + 1}`, formula: index === cutsMm.length - 1 ? 'at most 0.25 mm' : 'the rest in equal cuts of at most 0.6 mm', value: cut, unit: 'mm', source: 'common practice, no source' })) } } : {}) },
    basis: { thread: rebuild.thread, proud: rebuild.proudMm.typed, machined: rebuild.machined ? 'yes' : 'no' },
    data: { proudMm, cutsMm, faceMm2, machined: rebuild.machined, boss, bossReason: reason },
  }
}
