import type { Outcome, Sample, TrainerMark } from './session'

/** One thing a lesson asks of a run. */
export interface Goal {
  id: string
  words: string
  /** What the run came to, in figures, and whether that is enough. */
  judge: (run: Outcome) => { met: boolean; got: string }
}

const percent = (share: number) => `${Math.round(100 * share)} %`
const puddled = (run: Outcome): readonly Sample[] => run.samples.filter(({ widthMm, a }) => widthMm > 0 && a > 0)
const marked = (run: Outcome, code: TrainerMark) => run.marks.filter(mark => mark.code === code).length

/** The puddle kept between two widths for most of the time it was there, over at least so many seconds. */
export const heldWidth = (lowMm: number, highMm: number, forS: number, share: number): Goal => ({
  id: 'width',
  words: `a puddle ${lowMm} to ${highMm} mm wide for ${forS} s`,
  judge: run => {
    const all = puddled(run)
    const good = all.filter(({ widthMm }) => widthMm >= lowMm && widthMm <= highMm)
    // Samples are a tenth of a second apart.
    const seconds = good.length / 10
    return {
      met: seconds >= forS && good.length >= share * all.length,
      got: `${seconds.toFixed(1)} s, ${percent(all.length ? good.length / all.length : 0)} of the time`,
    }
  },
})
export const ran = (mm: number): Goal => ({
  id: 'run',
  words: `a run ${mm} mm long`,
  judge: run => ({ met: run.runMm >= mm, got: `${run.runMm.toFixed(0)} mm` }),
})
export const wets = (dips: number, share: number): Goal => ({
  id: 'dips',
  words: `${dips} dips that wet, ${percent(share)} of them all`,
  judge: run => ({ met: run.wetted >= dips && run.wetted >= share * run.dips, got: `${run.wetted} of ${run.dips}` }),
})
export const noCrater: Goal = {
  id: 'crater',
  words: 'the arc taken down before it goes out',
  judge: run => ({
    met: marked(run, 'crater') === 0 && !run.burning && puddled(run).length > 0,
    got: run.burning ? 'still burning' : marked(run, 'crater') ? 'stopped short' : 'tapered',
  }),
}
export const stands: Goal = {
  id: 'fell',
  words: 'nothing falls out',
  judge: run => ({ met: run.fellMm2 === 0, got: run.fellMm2 ? `${run.fellMm2.toFixed(0)} mm² fell` : 'it stands' }),
}
export const flat: Goal = {
  id: 'sags',
  words: 'nothing sags',
  judge: run => ({ met: marked(run, 'sags') === 0, got: `${run.sagMm.toFixed(1)} mm` }),
}
export const steady: Goal = {
  id: 'wanders',
  words: 'an arc that does not wander',
  judge: run => ({ met: marked(run, 'wanders') === 0, got: marked(run, 'wanders') ? 'it wandered' : 'steady' }),
}
export const throughMost = (share: number): Goal => ({
  id: 'through',
  words: `melted through on ${percent(share)} of the run`,
  judge: run => ({ met: run.throughShare >= share, got: percent(run.throughShare) }),
})
export const clean = (specks: number): Goal => ({
  id: 'specks',
  words: `no more than ${specks} specks frozen in`,
  judge: run => ({ met: run.specks <= specks, got: `${run.specks}` }),
})
export const filled = (share: number): Goal => ({
  id: 'filled',
  words: `filled level on ${percent(share)} of it`,
  judge: run => ({ met: run.filledShare >= share, got: percent(run.filledShare) }),
})
export const bothSides = (share: number): Goal => ({
  id: 'both',
  words: `both sides molten on ${percent(share)} of the run`,
  judge: run => ({ met: run.bothSidesShare >= share, got: percent(run.bothSidesShare) }),
})
export const cool: Goal = {
  id: 'overheated',
  words: 'never so hot that it spits',
  judge: run => ({ met: marked(run, 'overheated') === 0, got: marked(run, 'overheated') ? 'it spat' : 'never' }),
}
/** Seconds of puddle at the end against the current at the beginning: the foot came up as the part soaked up heat. */
export const eased = (share: number): Goal => ({
  id: 'eased',
  words: `current eased by ${percent(1 - share)} from the first third to the last`,
  judge: run => {
    const all = puddled(run)
    const third = Math.floor(all.length / 3)
    const mean = (list: readonly Sample[]) => list.reduce((sum, { a }) => sum + a, 0) / (list.length || 1)
    const left = third > 0 ? mean(all.slice(-third)) / mean(all.slice(0, third)) : 1
    return { met: left <= share, got: `by ${percent(Math.max(0, 1 - left))}` }
  },
})
