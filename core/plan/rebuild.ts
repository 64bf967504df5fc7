import type { Job } from '../job/job.schema'
import { facingCutsMm } from '../face/facing-cuts'
import { caution } from '../safety/cautions.table'
import type { OpenData } from './open'
import { count, figure, type Sentence, type StationPlan } from './parts'

export interface RebuildData { proudMm: number, cutsMm: number[], faceMm2: number, machined: boolean }

/** Over-build before machining: about 1.5 mm (1/16 in). Common practice, no source. */
export const USUAL_PROUD_MM = 1.5

/** Rebuild: over-build and facing allowance, or dressing by hand. */
export function planRebuild(job: Job, open: OpenData): StationPlan<RebuildData> {
  const { rebuild } = job
  const proudMm = Math.max(0, rebuild.proudMm.value ?? USUAL_PROUD_MM)
  const cutsMm = rebuild.machined ? facingCutsMm(proudMm) : []
  const topWidth = open.groove?.topWidthMm ?? 0
  const faceMm2 = (rebuild.faceWidthMm.value ?? topWidth) * (open.groove?.runMm ?? 0)
  const call: Sentence = rebuild.machined
    ? proudMm > 0 ? ['Build it ', figure(proudMm, 'mm'), ` proud, then face it in ${count(cutsMm.length, 'cut')}, the last `, figure(cutsMm.at(-1)!, 'mm', 'cuts'), '.'] : ['Nothing proud to machine: build it up first.']
    : ['Dress it by hand: flush on seats and sealing faces, proud everywhere else.']
  return {
    id: 'rebuild',
    short: rebuild.dressed ? 'dressed' : rebuild.machined ? `${count(cutsMm.length, 'cut')} to face it` : 'dress by hand',
    wants: [], call,
    why: rebuild.machined
      ? [['Over-built so that the cutter starts in full metal everywhere. Light cuts: each tears less than one heavy one.'], ...(proudMm > 0 && proudMm < 0.8 ? [['Under 0.8 mm leaves no room for a low spot: about ', figure(USUAL_PROUD_MM, 'mm'), ' is usual.'] as Sentence] : [])]
      : [['Weld left proud is the best metal; grinding it off removes it. Flap disc almost down, 80 grit to touch, a knotted wheel pressed hard for a cast skin.']],
    change: [['A face that still rocks on the straightedge: blue it and lap it before it is bolted down.']],
    cautions: [caution('rotating-tools'), caution('aluminium-dust'), caution('hot-no-glow')],
    workings: rebuild.machined ? { cuts: { title: 'Facing cuts', steps: cutsMm.map((cut, index) => ({ label: index === cutsMm.length - 1 ? 'Last cut' : `Cut ${index + 1}`, formula: index === cutsMm.length - 1 ? 'at most 0.25 mm' : 'the rest in equal cuts of at most 0.6 mm', value: cut, unit: 'mm', source: 'common practice, no source' })) } } : {},
    basis: { proud: rebuild.proudMm.typed, machined: rebuild.machined ? 'yes' : 'no' },
    data: { proudMm, cutsMm, faceMm2, machined: rebuild.machined },
  }
}
