import type { StationId } from '../../job/stations.table'

/** Questions as the work goes: what a group is called, the station it belongs to, its questions in their order. */
export interface QuestionGroup {
  readonly name: string
  readonly station: StationId | null
  readonly questions: readonly string[]
}

export const QUESTION_GROUPS: readonly QuestionGroup[] = [
  {
    name: 'What it is',
    station: 'know',
    questions: ['alloy.identify', 'alloy.density', 'alloy.list', 'thread.identify', 'thread.dims', 'ask.find'],
  },
  {
    name: 'Whether and how to mend it',
    station: 'call',
    questions: [
      'repair.judge',
      'process.choose',
      'filler.choose',
      'weld.chemistry',
      'weld.crackIndex',
      'weld.crackMap',
      'job.plan',
      'job.ways',
      'job.matters',
      'hold.simulate',
    ],
  },
  { name: 'Opening it up', station: 'open', questions: ['groove.plan', 'groove.buildUp', 'plate.reinforce'] },
  {
    name: 'Warming it',
    station: 'warm',
    questions: ['heat.preheat', 'heat.simulate', 'heat.fitSource', 'heat.arcPoint'],
  },
  {
    name: 'Welding and brazing',
    station: 'weld',
    questions: [
      'amps.need',
      'machine.setup',
      'machine.balance',
      'machine.ac',
      'machine.dial',
      'machine.duty',
      'mig.setup',
      'gas.use',
      'braze.plan',
      'flame.plan',
      'puddle.run',
      'warp.bead',
      'warp.simulate',
    ],
  },
  {
    name: 'Rebuilding threads, bores and faces',
    station: 'rebuild',
    questions: [
      'boss.compare',
      'thread.insert',
      'thread.strength',
      'fit.slug',
      'fit.press',
      'fit.shrink',
      'cut.speed',
      'flat.lap',
      'bend.straighten',
    ],
  },
  {
    name: 'Proving it',
    station: 'prove',
    questions: [
      'flat.evaluate',
      'flat.bolted',
      'holes.circle',
      'runout.evaluate',
      'balance.correct',
      'leak.decay',
      'finish.after',
    ],
  },
  { name: 'Price, day and records', station: 'hand-over', questions: ['job.quote', 'day.schedule', 'log.learn'] },
  {
    name: 'Pictures',
    station: 'take-in',
    questions: [
      'photo.card',
      'photo.cardFace',
      'photo.measure',
      'photo.trace',
      'photo.outline',
      'photo.thread',
      'photo.blue',
    ],
  },
]

/** The group a question stands in. */
export const groupOf = (question: string): QuestionGroup | undefined =>
  QUESTION_GROUPS.find(group => group.questions.includes(question))
