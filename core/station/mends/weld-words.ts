import { isTig } from '../../process/registry'
import { MIG_MODE_WORDS } from '../../arc/mig-modes.table'
import type { Job, Kit } from '../../job/job.schema'
import { SEEN_IN_PUDDLE } from '../../job/words.table'
import type { StationPlan } from '../parts'
import { capital, count, figure, words, type Sentence, type Working, wantsCall } from '../parts'
import { schoolsWhy, setUpChange, setUpWhy } from '../weld/set-up-words'
import { interpassWords } from '../weld/soak-words'
import type { MendRow } from './mend-row'
import type { MendSetUp } from './mend-set-up'
import { wayWords } from './way-words'

/** An easing worth a word, A. */
const TOLD_EASE_A = 5
const CLEAN = 'wets-clean'
const A_MACHINE = 'a machine in the kit'

/** Passes still to lay, or all of them. */
const passesLeft = ({ log: { passes } }: MendRow): string => {
  const done = passes.filter(pass => pass.done).length
  return `${count(passes.length - done, 'pass', 'passes')}${done ? ' to go' : ''}`
}

/** What the last pass asks for, where it did not wet clean. */
const moveAsked = ({ log: { nextMove, last } }: MendRow) =>
  nextMove && last && last.saw !== CLEAN ? { ...nextMove, pass: last.pass, saw: last.saw } : null

/** A gun or a torch set for it. */
function setCall({ set }: MendSetUp, row: MendRow): Sentence {
  const { mig, need, machine, setA, dial } = set
  if (set.migReason) return [`The gun is not set: ${set.migReason}.`]
  if (need && machine && !set.reaches && !set.byHand)
    return [
      `The ${machine.name} stops at `,
      figure(Math.floor(set.limitA), 'a'),
      '; this place wants at least ',
      figure(need.lowA, 'a', 'amps'),
      '. Warm it further, or use another machine.',
    ]
  const left = passesLeft(row)
  if (mig)
    return [
      'Weld at ',
      figure(Math.round(mig.a), 'a', 'setup'),
      `, ${MIG_MODE_WORDS[set.migMode]}: wire `,
      figure(mig.wireMMin, 'mMin', 'setup'),
      ', ',
      figure(mig.v, 'v', 'setup'),
      `; ${left}.`,
    ]
  const easedA = row.log.passes.at(-1)?.ease?.toA ?? null
  const eases = easedA !== null && setA - easedA >= TOLD_EASE_A
  return [
    eases ? 'Weld from ' : 'Weld at ',
    figure(Math.round(setA), 'a', 'amps'),
    ...(eases ? [', eased to ', figure(Math.round(easedA), 'a')] : []),
    ...(dial === null
      ? []
      : ['; balance dial at ', words(`${Math.round(dial)}`, 'balance'), ', ', figure(set.frequencyHz, 'hz', 'wave')]),
    `; ${left}.`,
  ]
}

/** Laying it, in a sentence: what the puddle asks for next, else what is set and how many passes there are. */
export function weldCall(row: MendRow): Sentence {
  const { planned, setUps, flame, log } = row
  const asked = moveAsked(row)
  const done = log.passes.filter(pass => pass.done).length
  if (!planned!.depositG) return [`${wayWords(row)}nothing to lay.`]
  if (asked && done < log.passes.length)
    return [
      `${capital(SEEN_IN_PUDDLE[asked.saw].name)} on pass ${asked.pass}${asked.times > 1 ? `, ${asked.times} times now` : ''}: ${asked.move}.`,
    ]
  if (done && done === log.passes.length) return ['All passes laid. Let it cool slowly, then look at it.']
  if (flame) return flame.says.call
  const [first] = setUps
  if (first && !first.set.machine) return wantsCall([A_MACHINE])
  return first ? setCall(first, row) : [`${passesLeft(row)}.`]
}

/** Why it is laid so: what the puddle did, what is set, the heat, the schools. */
export function weldWhy(job: Job, kit: Kit, row: MendRow): Sentence[] {
  const { planned, setUps, flame, log, interpass } = row
  const asked = moveAsked(row)
  const tig = setUps.some(({ process }) => isTig(process))
  const boilMin = log.boilMin
  const eased = log.passes.at(-1)?.ease
  const [first] = setUps
  return [
    ...(asked ? [[`${capital(asked.why)}.`]] : []),
    ...(log.again.minutes > 0
      ? [
          [
            'Ground out and laid again so far: ',
            figure(log.again.minutes, 'min'),
            ' more of arc, ',
            figure(Number(log.again.rods.toFixed(1)), 'number'),
            ' of a rod more.',
          ],
        ]
      : []),
    ...(flame ? flame.says.why : []),
    ...setUps.flatMap(setUp => setUpWhy(job, kit, planned!, setUp, boilMin)),
    ...(first && eased && first.set.setA - eased.toA >= TOLD_EASE_A
      ? [
          [
            'The place soaks up the arc’s own heat: by the end of the last pass the same puddle wants ',
            figure(Math.round(eased.toA), 'a'),
            '. Ease off with the pedal before it runs wide.',
          ],
        ]
      : []),
    ...interpassWords(interpass),
    ...(boilMin > 0
      ? [
          [
            'Boil out first: run the arc over it without rod until bubbles and specks stop, even twenty minutes; brush when cold, then rod.',
          ],
        ]
      : []),
    ...(setUps.length ? schoolsWhy(job, tig) : []),
  ]
}

export const weldChange = (job: Job, { planned, setUps, flame }: MendRow): Sentence[] => [
  ...(flame ? flame.says.change : []),
  ...(setUps[0] ? setUpChange(job, planned!, setUps[0]) : []),
]

/** What laying it wants that is not in the kit. */
export const weldWants = ({ setUps, flame }: MendRow): readonly string[] => [
  ...(setUps.some(({ set }) => !set.machine) ? [A_MACHINE] : []),
  ...(flame?.says.wants ?? []),
]

/** Clocks worth starting at it. */
export const weldClocks = ({ flame, setUps, interpass }: MendRow): NonNullable<StationPlan['clocks']> => {
  const tig = setUps.find(({ set }) => set.tig)?.set.tig
  return [
    ...(flame?.says.clocks ?? []),
    ...(tig ? [{ name: 'Post-flow', seconds: Math.round(tig.postflowS) }] : []),
    ...(interpass?.waitS ? [{ name: 'Interpass', seconds: Math.ceil(interpass.waitS) }] : []),
  ]
}

/** The working behind what is said of it: that of the machine it begins with. */
export const weldWorkings = ({ flame, setUps }: MendRow): Record<string, Working> => ({
  ...flame?.says.workings,
  ...setUps.toReversed().reduce((all, { workings }) => ({ ...all, ...workings }), {}),
})
