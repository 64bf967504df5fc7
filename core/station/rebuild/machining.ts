import type { fitSlug } from '../../fit/question'
import type { AnswerTo } from '../../ask/question'
import { cutSpeed } from '../../fit/cutting'
import type { CuttingTool } from '../../fit/cutting.table'
import { weldGroove } from '../../fit/weld-groove'
import type { Alloy } from '../../metal/alloys.table'
import type { BossMethod } from '../../thread/methods.table'
import { tapDrills, threadPct, type TapDrill } from '../../thread/dims'
import type { Drill } from '../../thread/drills.table'
import { threadInsert } from '../../thread/insert'
import type { Thread } from '../../thread/thread'
import { figure, fine, type Sentence } from '../parts'

export interface MachiningStep {
  id: string
  say: Sentence
  why?: string
  spindle?: { rpm: number; feedMmMin: number }
}
export interface MachiningList {
  steps: MachiningStep[]
  tapDrills: TapDrill[]
  stopMm: number
}

/**
 * Blind holes: the drill goes so many pitches past the thread that is wanted, for the tap's lead. Common practice, no
 * source.
 */
const LEAD_PITCHES = 3
/** What a bottoming tap leaves unfinished at the end of a hole, in pitches. Common practice, no source. */
const BOTTOMING_PITCHES = 1.5
/**
 * Stay off what lies beneath, mm; a countersink over the thread's major; how far a slug is bored under before it is
 * bored to size. Common practice, no source.
 */
const CLEAR_MM = 1
const COUNTERSINK_OVER_MM = 0.5
const BORE_UNDER_MM = 0.5
const END_MILL_FLUTES = 3
/**
 * The drill goes this much under, and an end mill opens it straight, where the hole is in weld metal. Common practice,
 * no source.
 */
const DRILL_UNDER_MM = 0.5

/** The tap for a hole that ends or goes through, in gummy metal. Common practice, no source. */
const tapKind = (blind: boolean) =>
  blind ? 'spiral-fluted tap, which draws the chip up' : 'spiral-pointed tap, which drives the chip ahead'

/**
 * What is done at the machine, from setting zero to the last chamfer, for one way of giving a boss its thread back.
 * Order and allowances common practice; speeds by `cut.speed`, tap drills by thread percentage out of the drills there
 * are.
 */
export function machiningList({
  way,
  thread,
  depthMm,
  beneathMm,
  proudMm,
  cutsMm,
  slug,
  chamferMm,
  facedMm,
  body,
  slugAlloy,
  drills,
}: {
  way: BossMethod
  thread: Thread
  depthMm: number
  beneathMm: number | null
  proudMm: number
  cutsMm: readonly number[]
  slug: AnswerTo<typeof fitSlug> | null
  chamferMm: number
  facedMm: number
  body: Alloy
  slugAlloy: Alloy
  drills: readonly Drill[]
}): MachiningList {
  const steps: MachiningStep[] = []
  const blind = beneathMm !== null
  const stopMm = Math.min(depthMm + LEAD_PITCHES * thread.pitchMm, beneathMm === null ? Infinity : beneathMm - CLEAR_MM)
  const stopNote = blind ? `${CLEAR_MM} mm before what lies beneath` : 'sooner, where the hole has a bottom before that'
  // A hole that ends leaves no room for the whole lead of a tap: what is full is less than it is deep.
  const fullMm = Math.min(depthMm, Math.max(0, stopMm - LEAD_PITCHES * thread.pitchMm))
  const bottomedMm = Math.min(depthMm, Math.max(0, stopMm - BOTTOMING_PITCHES * thread.pitchMm))
  const inSlug = way === 'pressed-slug' || way === 'new-boss'
  const metal = inSlug ? slugAlloy : body
  const speed = (tool: CuttingTool, mm: number, of: Alloy = metal, pitchMm?: number) => {
    const { rpm, feedMmMin } = cutSpeed(tool, mm, of, undefined, pitchMm, tool === 'endmill' ? END_MILL_FLUTES : 2)
    return { rpm, feedMmMin }
  }
  const add = (id: string, say: Sentence, more: Partial<MachiningStep> = {}) => steps.push({ id, say, ...more })
  add(
    'zero',
    ['Set the part true on its own face, and zero on what may not move: a bore or the pattern, not the worn hole.'],
    { why: 'the old hole may have wandered' },
  )
  add('note', ["Write down the hole's place from that zero, both ways, before anything is cut."])
  const insert =
    way === 'wire-insert' || way === 'solid-insert'
      ? threadInsert(thread, way === 'wire-insert' ? 'wire' : 'solid')
      : null
  if (way === 'pressed-slug' && slug) {
    const bore = slug.slugMm
    add(
      'pilot',
      [
        'Drill up to ',
        figure(Math.max(thread.majorMm, bore - 3), 'mm'),
        ', stop at ',
        figure(slug.boreDeepMm, 'mm'),
        '.',
      ],
      {
        spindle: speed('drill', Math.max(thread.majorMm, bore - 3), body),
        why: 'a drill makes a three-sided hole: it only clears the way',
      },
    )
    add(
      'bore',
      [
        'Bore to ',
        figure(bore - BORE_UNDER_MM, 'mm'),
        ', measure, then to ',
        fine(bore),
        '; depth ',
        figure(slug.boreDeepMm, 'mm'),
        '.',
      ],
      { spindle: speed('bore', bore, body), why: 'bored, it is round and where you set it' },
    )
    add('bore-chamfer', ['Chamfer its rim ', figure(chamferMm, 'mm'), ' at 45°.'])
    add('measure-bore', [
      'Let the bore come to room heat and measure it in three ways. The slug is turned to what it is, not to what it should be.',
    ])
    add(
      'turn',
      [
        'Turn the slug to the bore and ',
        fine(slug.interferenceMm),
        ' over (',
        fine(slug.turnToMm),
        ' if the bore is true), within ',
        fine(slug.toleranceMm),
        '; length ',
        figure(slug.lengthMm, 'mm'),
        '.',
      ],
      { spindle: speed('bore', slug.turnToMm, slugAlloy) },
    )
    add('slug-chamfer', [
      'Chamfer the top ',
      figure(chamferMm, 'mm'),
      ' at 45°; a short lead of ',
      figure(0.5, 'mm'),
      ' at 15° below. Drill a small hole through for the air where the bore is blind.',
    ])
    add(
      'fit',
      [
        'Slug cold, body at ',
        figure(Math.ceil(slug.shrink.hubC / 5) * 5, 'c'),
        ': in at once, pushed home for the last few millimetres and held.',
      ],
      { why: `about ${Math.max(1, Math.round(slug.clock.seizesS ?? 0))} s before it seizes` },
    )
    const groove = weldGroove(chamferMm, chamferMm, facedMm)
    add('weld-rim', ['Weld round the rim, proud; ', figure(groove.deepMm, 'mm'), ' of it stays after facing.'])
  } else if (way === 'new-boss') {
    add('cut-off', ['Cut the old boss off ', figure(proudMm, 'mm'), ' above the wall, and face it.'])
    add('set-true', ['Set the new boss true to the zero with a mandrel through it; tack in four, check, weld round.'], {
      why: 'it pulls towards the first tack',
    })
  } else if (way === 'weld-and-tap')
    add(
      'clean-out',
      [
        'Open the hole to sound bright metal, round its bottom, and weld it up from the bottom, ',
        figure(proudMm, 'mm'),
        ' proud.',
      ],
      { why: 'oil in old threads boils into the weld' },
    )
  else if (way === 'cast-on-screw') {
    add(
      'screw-in',
      ['Clean the mouth to bright metal; run the stainless screw in clean and dry, never plated or greased.'],
      { why: 'aluminium does not stick to stainless steel; zinc and chromium plating give off harmful fume' },
    )
    add('weld-round', ['Fill round the screw, let it cool, then turn it out and back twice.'])
  }
  if (!insert && way !== 'cast-on-screw')
    for (const [n, cut] of cutsMm.entries())
      add(
        `face-${n + 1}`,
        [n === cutsMm.length - 1 ? 'Last facing cut, ' : 'Facing cut, ', figure(cut, 'mm'), '.'],
        n ? {} : { spindle: speed('endmill', 16, metal) },
      )
  // An insert is drilled for by its own maker's size, and a thread cast round a screw is not drilled at all.
  const choices = insert || way === 'cast-on-screw' ? [] : tapDrills(thread, drills)
  const best = choices[0]
  if (insert) {
    add('drill', ['Drill ', figure(insert.drillMm, 'mm'), ', stop at ', figure(stopMm, 'mm'), '.'], {
      spindle: speed('drill', insert.drillMm, body),
      why: stopNote,
    })
    add(
      'tap',
      [
        'Tap ',
        figure(insert.tapMajorMm, 'mm'),
        ' by ',
        figure(insert.tapPitchMm, 'mm'),
        ` with the insert's own tap, ${tapKind(blind)}; wax or spirit on it.`,
      ],
      { spindle: speed('tap', insert.tapMajorMm, body, insert.tapPitchMm) },
    )
    add('insert', [
      way === 'wire-insert'
        ? 'Wind the wire in to half a pitch under the face; break its tang and fish it out.'
        : 'Screw the insert in just under the face, and stake it.',
    ])
  } else if (way !== 'cast-on-screw') {
    add('centre', ['Centre-drill at the place written down.'])
    if (best) {
      if (way === 'weld-and-tap')
        add(
          'drill-under',
          [
            'Drill ',
            figure(Math.max(1, best.mm - DRILL_UNDER_MM), 'mm'),
            ', stop at ',
            figure(stopMm, 'mm'),
            '; open with an end mill.',
          ],
          {
            spindle: speed('drill', best.mm - DRILL_UNDER_MM),
            why: `weld metal is of uneven hardness and leads a drill astray; ${stopNote}`,
          },
        )
      add(
        'drill',
        [
          way === 'weld-and-tap' ? 'Bring it to ' : 'Drill ',
          figure(best.mm, 'mm'),
          ` (${best.name}): `,
          figure(Math.round(best.threadPct), 'pct'),
          ' of thread; stop at ',
          figure(stopMm, 'mm'),
          '.',
        ],
        { spindle: speed('drill', best.mm), ...(way === 'weld-and-tap' ? {} : { why: stopNote }) },
      )
    } else
      add('drill', [
        'No drill in the kit leaves between half and five sixths of a thread: its hole is ',
        figure(thread.minorInternalMm, 'mm'),
        ` for ${Math.round(threadPct(thread, thread.minorInternalMm))} %.`,
      ])
    add('countersink', ['Countersink to ', figure(thread.majorMm + COUNTERSINK_OVER_MM, 'mm'), '.'], {
      why: 'so that the first thread is not torn up by the bolt',
    })
    add(
      'tap',
      [
        `Tap ${thread.designation} in line with the spindle, ${tapKind(blind)}; wax or spirit on it; `,
        figure(fullMm, 'mm'),
        ' of full thread.',
      ],
      { spindle: speed('tap', thread.majorMm, metal, thread.pitchMm) },
    )
    if (fullMm < depthMm - 0.05)
      add(
        'bottom',
        [
          'A bottoming tap after it: ',
          figure(bottomedMm, 'mm'),
          ' of full thread, of ',
          figure(depthMm, 'mm'),
          ' wanted.',
        ],
        { why: 'below there is no room for the lead of the first tap' },
      )
  }
  add('prove', ['The real bolt in by hand to its whole depth; then the gauge, where there is one.'])
  return { steps, tapDrills: choices, stopMm }
}
