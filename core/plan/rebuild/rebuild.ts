import type { holesCircle } from '../../face/question'
import type { AnswerTo } from '../../ask/question'
import { rebuild as rebuildFields } from '../../job/fields/rebuild'
import { said } from '../../job/fields/said'
import { bowSentence, foretoldWhy } from '../pull/pull-says'
import type { Job, Kit } from '../../job/job.schema'
import { facingCutsMm } from '../../face/facing-cuts'
import type { FinishAdvice } from '../../face/finish'
import { MUCH_LOCKED } from '../../flat/decide'
import type { ProcessId } from '../../call/process.table'
import type { Alloy } from '../../metal/alloys.table'
import { caution } from '../../safety/cautions.table'
import type { OpenData } from '../open/open'
import { capital, count, figure, fine, type Sentence, type StationPlan, type Working } from '../parts'
import { circleOf, faceOf, finishOf, type FaceData } from './rebuild-parts'
import type { Found } from './found'

export interface RebuildData {
  proudMm: number
  cutsMm: number[]
  faceMm2: number
  machined: boolean
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

/** More than this is no over-build. */
const MOST_PROUD_MM = 100

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

/** Rebuild: the thread, its slug and list at the machine, holes, the face, and what is dressed how. */
export function planRebuild(
  job: Job,
  kit: Kit,
  open: OpenData,
  alloy: Alloy,
  filler: string,
  process: ProcessId,
): StationPlan<RebuildData> {
  const { rebuild } = job
  const proudMm = Math.min(MOST_PROUD_MM, Math.max(0, said(job, 'rebuild').proudMm))
  const cutsMm = rebuild.machined ? facingCutsMm(proudMm) : []
  const faceMm2 = (rebuild.faceWidthMm.value ?? open.groove?.topWidthMm ?? 0) * (open.groove?.runMm ?? 0)
  const data: RebuildData = {
    proudMm,
    cutsMm,
    faceMm2,
    machined: rebuild.machined,
    circle: circleOf(job),
    face: faceOf(job, alloy),
    finish: finishOf(job, alloy, filler, process),
  }
  const call: Sentence =
    data.face && 'flat' in data.face
      ? [
          `The face: ${FACE_WORDS[data.face.decision.verdict]}; it is `,
          fine(data.face.flat.minimumZoneMm, 'flat'),
          ' out of flat.',
        ]
      : rebuild.machined
        ? proudMm > 0
          ? [
              'Build it ',
              figure(proudMm, 'mm'),
              ` proud, then face it in ${count(cutsMm.length, 'cut')}, the last `,
              figure(cutsMm.at(-1)!, 'mm', 'cuts'),
              '.',
            ]
          : ['Nothing proud to machine: build it up first.']
        : ['Dress it by hand: flush on seats and sealing faces, proud everywhere else.']
  const workings: Record<string, Working> = {
    ...(data.circle && 'answer' in data.circle ? { circle: data.circle.working } : {}),
    ...(data.face && 'flat' in data.face ? data.face.workings : {}),
    ...(rebuild.machined
      ? {
          cuts: {
            title: 'Facing cuts',
            steps: cutsMm.map((cut, index) => ({
              label: index === cutsMm.length - 1 ? 'Last cut' : `Cut ${index + 1}`,
              formula: index === cutsMm.length - 1 ? 'at most 0.25 mm' : 'the rest in equal cuts of at most 0.6 mm',
              value: cut,
              unit: 'mm',
              source: 'common practice, no source',
            })),
          },
        }
      : {}),
  }
  return {
    id: 'rebuild',
    short: rebuild.dressed
      ? 'dressed'
      : rebuild.machined
        ? `${count(cutsMm.length, 'cut')} to face it`
        : 'dress by hand',
    wants: [],
    call,
    why: [
      ...whyOf(job, kit, data),
      ...(rebuild.machined
        ? ([
            [
              'Over-built so that the cutter starts in full metal everywhere. Light cuts: each tears less than one heavy one.',
            ],
            ...(proudMm > 0 && proudMm < 0.8
              ? [
                  [
                    'Under 0.8 mm leaves no room for a low spot: about ',
                    figure(rebuildFields.proudMm.usual!, 'mm'),
                    ' is usual.',
                  ] as Sentence,
                ]
              : []),
          ] as Sentence[])
        : [
            [
              'Weld left proud is the best metal; grinding it off removes it. Flap disc almost down, 80 grit to touch, a knotted wheel pressed hard for a cast skin.',
            ] as Sentence,
          ]),
    ],
    change: [['A face that still rocks on the straightedge: blue it and lap it before it is bolted down.']],
    cautions: [caution('rotating-tools'), caution('aluminium-dust'), caution('hot-no-glow')],
    workings,
    basis: { proud: rebuild.proudMm.typed, machined: rebuild.machined ? 'yes' : 'no' },
    data,
  }
}
