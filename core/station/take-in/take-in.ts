import type { Caution } from '../../ask/question'
import type { Job } from '../../job/job.schema'
import { CAUSES, protectOf, PROTECTS } from '../../job/words.table'
import { caution } from '../../safety/cautions.table'
import type { Body } from './body'
import { capital, figure, list, type Sentence, type StationPlan } from '../parts'

export const DOES_WORDS = { seal: 'seals', static: 'carries steady load', cyclic: 'carries repeated load' } as const

/** Shape and scale further apart than this is worth a word, %. */
const OFF_PCT = 5

/** Take in: what it is and does, why it broke, what may not move, what is kept from harm. */
export function planTakeIn(job: Job, body: Body | null): StationPlan<{ body: Body | null }> {
  const { takeIn } = job
  const wants = [
    ...(takeIn.does ? [] : ['what it does']),
    ...(takeIn.soak ? [] : ['how oily it is']),
    ...(takeIn.wallMm.value ? [] : ['the wall']),
    ...((takeIn.lengthMm.value && takeIn.widthMm.value) || body ? [] : ['its sizes']),
  ]
  const call: Sentence = !takeIn.does
    ? ['Say what it does: seal, carry steady load, or carry repeated load.']
    : takeIn.cause === 'unknown'
      ? [`It ${DOES_WORDS[takeIn.does]}. Find out why it broke first: a repair without the cause comes back.`]
      : [
          `It ${DOES_WORDS[takeIn.does]}; ${CAUSES[takeIn.cause]}${takeIn.causeCure ? `: ${takeIn.causeCure}` : '. Put that right as well'}.`,
        ]
  const cautions: Caution[] = []
  if (takeIn.safetyCritical !== 'none') cautions.push(caution(`safety-${takeIn.safetyCritical}`))
  for (const id of takeIn.protect) {
    const code = protectOf(id)?.caution
    if (code && !cautions.some(entry => entry.code === code)) cautions.push(caution(code))
  }
  const why: Sentence[] = []
  if (takeIn.mustNotMove.length)
    why.push([
      `May not move: ${list(takeIn.mustNotMove.map(id => id.replace('-', ' ')))}. Measure it now, before anything is heated.`,
    ])
  for (const id of takeIn.protect) why.push([`${capital(PROTECTS[id].name)}: ${PROTECTS[id].how}.`])
  if (body) why.push(['About ', figure(body.massKg, 'kg', 'body'), ' of metal.'])
  if (body?.from === 'shape') {
    const offPct = (body.reckonedKg / body.massKg - 1) * 100
    if (Math.abs(offPct) >= OFF_PCT)
      why.push([
        'The shape comes to ',
        figure(body.reckonedKg, 'kg', 'body'),
        `, the scale says ${offPct < 0 ? 'more' : 'less'}: ${offPct < 0 ? 'something is missing on the shape, or a wall is thicker' : 'something is drawn too thick, or it is hollow somewhere'}.`,
      ])
  }
  if (takeIn.cause !== 'unknown' && !takeIn.causeCure)
    why.push(['Say what is done about the cause: the record must hold it.'])
  return {
    id: 'take-in',
    short: takeIn.does
      ? `${takeIn.does === 'seal' ? `seals${takeIn.soak === 'dry' ? '' : ', ' + (takeIn.soak ?? 'soak not said')}` : DOES_WORDS[takeIn.does]}${takeIn.cause === 'unknown' ? '' : `, ${CAUSES[takeIn.cause].split(',')[0]}`}`
      : 'wants what it does',
    wants,
    call,
    why,
    change: [
      [
        'The damage usually reaches further than the first look: look again after cleaning, and after the first grinding.',
      ],
    ],
    cautions,
    workings: body ? { body: { title: `Mass and surface from the ${body.from}`, steps: body.steps } } : {},
    outcomes: {},
    data: { body },
  }
}
