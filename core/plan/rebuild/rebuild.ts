import type { fitSlug } from '../../fit/question'
import type { holesCircle } from '../../face/question'
import type { bendStraighten } from '../../face/question'
import type { AnswerTo } from '../../ask/question'
import { bossCompare } from '../../thread/question'
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
import type { Rebuild } from '../../thread/boss'
import { BOSS_WORDS, type BossMethod } from '../../thread/methods.table'
import type { Thread } from '../../thread/thread'
import { askFor } from '../ask-core'
import type { OpenData } from '../open/open'
import { capital, count, figure, fine, type Sentence, type StationPlan, type Working } from '../parts'
import { bendOf, circleOf, faceOf, finishOf, threadBackOf, threadOf, type FaceData } from './rebuild-parts'
import type { Found } from './found'
import type { ThreadBack } from './thread-back'

export interface RebuildData {
  proudMm: number
  cutsMm: number[]
  faceMm2: number
  machined: boolean
  thread: Thread | null
  /** Ways of giving a stripped thread back, and the load it must hold; null where none is named. */
  boss: { ranked: Rebuild[]; loadN: number } | null
  bossReason: string | null
  /** The way taken: the one picked, else the best. */
  way: BossMethod | null
  /** The thread at the bench: slug, section, taps, list; null where none is named or its boss is not known. */
  back: ThreadBack | null
  circle: Found<AnswerTo<typeof holesCircle>>
  face: FaceData | { reason: string } | null
  bend: Found<AnswerTo<typeof bendStraighten>>
  finish: FinishAdvice
}

export const FACE_WORDS = {
  leave: 'leave it as it is',
  sealant: 'leave it, with a smear of sealant',
  lap: 'lap it',
  mill: 'mill it, then lap',
} as const

/** The stripped thread compared, or what is still wanted for it. */
function bossOf(
  { rebuild }: Job,
  alloy: Alloy,
  filler: string,
): { boss: RebuildData['boss']; reason: string | null; working: Working | null } {
  if (!rebuild.thread.trim()) return { boss: null, reason: null, working: null }
  if (!rebuild.threadDeepMm.value || !rebuild.bossMm.value)
    return { boss: null, reason: 'it wants how deep the thread is and how wide the boss', working: null }
  const asked = askFor(bossCompare, 'The stripped thread', {
    designation: rebuild.thread,
    depthMm: rebuild.threadDeepMm.value,
    bossMm: rebuild.bossMm.value,
    bodyAlloy: alloy.name,
    filler,
    ...(rebuild.torqueNm.value ? { torqueNm: rebuild.torqueNm.value } : {}),
  })
  return asked.ok
    ? { boss: asked.answer, reason: null, working: asked.working }
    : { boss: null, reason: asked.reason, working: null }
}

/** More than this is no over-build. */
const MOST_PROUD_MM = 100
const FREEZER_S = 2 * 3600

/** What the slug, face, holes and bend say. */
function whyOf(job: Job, kit: Kit, data: RebuildData): Sentence[] {
  const measuredMm = data.face && 'flat' in data.face ? data.face.flat.minimumZoneMm : null
  const why: Sentence[] = foretoldWhy(job.weld.foretold, measuredMm)
  const learnt = bowSentence(kit.learnt)
  if (why.length && learnt) why.push(learnt)
  const { face, circle, bend, way } = data
  const slug = data.back?.slug
  if (way === 'pressed-slug' && slug) {
    if ('reason' in slug) why.push([`No slug: ${slug.reason}.`])
    else {
      const { answer } = slug
      why.push([
        'Slug ',
        fine(answer.turnToMm, 'slug'),
        ' for a bore of ',
        fine(answer.slugMm, 'slug'),
        '; pressed in it strains the boss to ',
        figure(Math.round(answer.cold.hubHoopMPa), 'mPa', 'slug'),
        ', ',
        figure(Math.round(100 / answer.cold.yieldFactor), 'pct', 'slug'),
        ' of the way to yield; it takes ',
        figure(answer.cold.pushOutN, 'n', 'slug'),
        ' to push it out.',
      ])
      why.push(
        answer.clock.seizesS === null
          ? ['It stays loose for a quarter of an hour.']
          : [
              'In the bore there are ',
              figure(answer.clock.seizesS, 's', 'slug'),
              ' before it seizes: half of that if it rubs on one side.',
            ],
      )
      for (const reason of answer.reasons) why.push([`${capital(reason)}.`])
    }
  }
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
  if (bend)
    why.push(
      'reason' in bend
        ? [`The bend: ${bend.reason}.`]
        : [
            'Press it back in ',
            `${count(bend.answer.steps.length, 'step')}: it springs back `,
            figure(bend.answer.springMm, 'mm', 'bend'),
            '. Measure after each.',
          ],
    )
  return why
}

/** What going in looser would give and ask. */
const looserOf = ({ looser }: AnswerTo<typeof fitSlug>): Sentence[] =>
  looser.seizesS === null
    ? []
    : [
        [
          'Loose by ',
          fine(looser.clearanceMm),
          ' going in, there are ',
          figure(looser.seizesS, 's'),
          ' before it seizes; the body then wants ',
          figure(Math.ceil(looser.hubC), 'c'),
          looser.softens ? ', which softens it.' : '.',
        ],
      ]

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
  const { boss, reason, working } = bossOf(job, alloy, filler)
  const proudMm = Math.min(MOST_PROUD_MM, Math.max(0, said(job, 'rebuild').proudMm))
  const cutsMm = rebuild.machined ? facingCutsMm(proudMm) : []
  const faceMm2 = (rebuild.faceWidthMm.value ?? open.groove?.topWidthMm ?? 0) * (open.groove?.runMm ?? 0)
  const thread = threadOf(job)
  const chosen = boss ? (boss.ranked.find(row => row.method === rebuild.way) ?? boss.ranked[0] ?? null) : null
  const way = chosen?.method ?? null
  const back = threadBackOf(job, kit, alloy, way, { proudMm, cutsMm })
  const slug = back?.slug ?? null
  const data: RebuildData = {
    proudMm,
    cutsMm,
    faceMm2,
    machined: rebuild.machined,
    thread,
    boss,
    bossReason: reason,
    way,
    back,
    circle: circleOf(job),
    face: faceOf(job, alloy),
    bend: bendOf(job, alloy),
    finish: finishOf(job, alloy, filler, process),
  }
  const call: Sentence = chosen
    ? [
        `${rebuild.thread}: ${BOSS_WORDS[chosen.method]}; it holds `,
        figure(chosen.factor, 'number', 'boss'),
        ' times what the bolt is tightened to, in about ',
        figure(chosen.minutes, 'min'),
        '.',
      ]
    : data.face && 'flat' in data.face
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
    ...(working ? { boss: working } : {}),
    ...(slug && 'answer' in slug ? { slug: slug.working } : {}),
    ...(data.circle && 'answer' in data.circle ? { circle: data.circle.working } : {}),
    ...(data.bend && 'answer' in data.bend ? { bend: data.bend.working } : {}),
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
    short:
      chosen && !rebuild.dressed
        ? BOSS_WORDS[chosen.method].split(',')[0]!
        : rebuild.dressed
          ? 'dressed'
          : rebuild.machined
            ? `${count(cutsMm.length, 'cut')} to face it`
            : 'dress by hand',
    wants: [],
    call,
    why: [
      ...(chosen
        ? ([
            [`${capital(chosen.reasons.slice(0, -1).join('; '))}.`],
            [
              'The load is ',
              figure(boss!.loadN, 'n', 'boss'),
              rebuild.torqueNm.value
                ? ', from its torque.'
                : ', six tenths of what breaks an 8.8 bolt; give its torque if you know it.',
            ],
          ] as Sentence[])
        : []),
      ...(reason ? [[`The thread is not compared: ${reason}.`] as Sentence] : []),
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
    change: [
      ...(way === 'pressed-slug' && slug && 'answer' in slug ? looserOf(slug.answer) : []),
      ['A face that still rocks on the straightedge: blue it and lap it before it is bolted down.'],
      ...(way === 'pressed-slug' && slug && 'answer' in slug && slug.answer.wallMm < 4
        ? [['With ', figure(4, 'mm'), ' of wall round the slug the press would hold more.'] as Sentence]
        : []),
    ],
    cautions: [caution('rotating-tools'), caution('aluminium-dust'), caution('hot-no-glow')],
    clocks:
      way === 'pressed-slug'
        ? [
            {
              name: rebuild.cold === 'freezer' ? 'Slug in the freezer' : 'Slug cooling',
              seconds: rebuild.cold === 'freezer' ? FREEZER_S : 600,
            },
          ]
        : [],
    workings,
    basis: {
      thread: rebuild.thread,
      proud: rebuild.proudMm.typed,
      machined: rebuild.machined ? 'yes' : 'no',
      way: way ? BOSS_WORDS[way] : '',
    },
    data,
  }
}
