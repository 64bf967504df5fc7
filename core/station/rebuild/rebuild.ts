import type { holesCircle } from '../../face/question'
import type { AnswerTo } from '../../ask/question'
import { bowSentence, foretoldWhy } from '../pull/pull-says'
import type { Job, Kit } from '../../job/job.schema'
import type { FinishAdvice } from '../../face/finish'
import { MUCH_LOCKED } from '../../flat/decide'
import type { ProcessId } from '../../process/registry'
import type { Alloy } from '../../metal/alloys.table'
import { caution } from '../../safety/cautions.table'
import { capital, count, figure, fine, type Sentence, type StationPlan, type Working } from '../parts'
import { circleOf, faceOf, finishOf, type FaceData } from './rebuild-parts'
import type { Found } from './found'

export interface RebuildData {
  circle: Found<AnswerTo<typeof holesCircle>>
  face: FaceData | { reason: string } | null
  finish: FinishAdvice
}

export const FACE_WORDS = {
  leave: 'leave it as it is',
  sealant: 'leave it, with a smear of sealant',
  lap: 'lap it',
  mill: 'mill it, then lap',
} as const

/** What the face and the holes say. */
function whyOf(job: Job, kit: Kit, data: RebuildData): Sentence[] {
  const measuredMm = data.face && 'flat' in data.face ? data.face.flat.minimumZoneMm : null
  const why: Sentence[] = foretoldWhy(job.weld.foretold, measuredMm)
  const learnt = bowSentence(kit.learnt)
  if (why.length && learnt) why.push(learnt)
  const { face, circle } = data
  if (face && 'flat' in face) {
    why.push([
      'The face: ',
      fine(face.flat.minimumZoneMm, 'flat'),
      ` out of flat, ${face.flat.shape}. ${capital(FACE_WORDS[face.decision.verdict])}: ${face.decision.reason}.`,
    ])
    if (face.decision.verdict === 'lap')
      why.push([
        'Lapping takes ',
        fine(face.lap.removeMm, 'lap'),
        ' off, ',
        figure(Math.max(1, Math.round(face.lap.minutes)), 'min', 'lap'),
        ` and ${count(face.decision.sheets, 'sheet')}; it rubs first where it stands now.`,
      ])
    if (face.bolted)
      why.push([
        job.rebuild.face.school === 'bolt' ? 'Bolted flat it locks in ' : 'Bolted flat instead, it would lock in ',
        figure(Math.round(face.bolted.stressMPa), 'mPa', 'bolted'),
        `, ${Math.round(face.bolted.ofProof * 100)} % of its yield${face.bolted.ofProof > MUCH_LOCKED ? ': welded flanges so held tend to crack along the old line after a few heat cycles.' : '.'}`,
      ])
  } else if (face) why.push([`The face: ${face.reason}.`])
  if (circle)
    why.push(
      'reason' in circle
        ? [`The holes: ${circle.reason}.`]
        : [
            'Bolt circle ',
            figure(circle.answer.diameterMm, 'mm', 'circle'),
            '; the worst hole is ',
            fine(circle.answer.largestMissMm, 'circle'),
            ' off it.',
          ],
    )
  return why
}

/** Rebuild, for the whole part: holes, the face, and what is dressed how; the mends say the rest. */
export function planRebuild(
  job: Job,
  kit: Kit,
  alloy: Alloy,
  filler: string,
  process: ProcessId,
): StationPlan<RebuildData> {
  const data: RebuildData = {
    circle: circleOf(job),
    face: faceOf(job, alloy),
    finish: finishOf(job, alloy, filler, process),
  }
  const workings: Record<string, Working> = {
    ...(data.circle && 'answer' in data.circle ? { circle: data.circle.working } : {}),
    ...(data.face && 'flat' in data.face ? data.face.workings : {}),
  }
  return {
    id: 'rebuild',
    short: job.rebuild.dressed ? 'dressed' : '',
    wants: [],
    call:
      data.face && 'flat' in data.face
        ? [
            `The face: ${FACE_WORDS[data.face.decision.verdict]}; it is `,
            fine(data.face.flat.minimumZoneMm, 'flat'),
            ' out of flat.',
          ]
        : [],
    why: [
      ...whyOf(job, kit, data),
      [
        'Weld left proud is the best metal; grinding it off removes it. Flap disc almost down, 80 grit to touch, a knotted wheel pressed hard for a cast skin.',
      ],
    ],
    change: [['A face that still rocks on the straightedge: blue it and lap it before it is bolted down.']],
    cautions: [caution('rotating-tools'), caution('aluminium-dust'), caution('hot-no-glow')],
    workings,
    outcomes: {},
    data,
  }
}
