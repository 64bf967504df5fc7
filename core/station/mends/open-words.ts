import { figures } from '../../quantity/show'
import { count, figure, type Sentence, type Working } from '../parts'
import type { DrawnGroove } from '../../groove/drawn'
import type { PlannedMend } from '../../job-plan/job-planned'
import { wireG } from '../../job-plan/cost'
import { minutesOf, type MendRow } from './mend-row'
import { plateWhy } from './plate-of-mend'
import { wayWords } from './way-words'

/** Rods to the tenth: whole ones are counted for the job. */
const tenths = (rods: number) => Math.max(0.1, Math.round(10 * rods) / 10)

/** The groove with what fills it: rods in passes, or a gun's wire, whose beads are the gun's own. */
function grooveCall({ sides, shape }: DrawnGroove, { passes, rods, wireM, filler }: PlannedMend): Sentence {
  const deep = figure(shape.depthMm, 'mm', 'groove')
  const from = sides === 2 ? 'from both sides' : 'from one side'
  const angle = figure(shape.includedDeg, 'deg')
  const laid = count(passes, 'pass', 'passes')
  return wireM > 0
    ? ['Groove it ', from, ', ', deep, ' deep at ', angle, '; ', figure(wireG(wireM, filler), 'g'), ' of wire.']
    : [
        'Groove it ',
        from,
        ', ',
        deep,
        ' deep at ',
        angle,
        '; ',
        `${laid}, `,
        figure(tenths(rods), 'number'),
        rods === 1 ? ' rod.' : ' rods.',
      ]
}

/** Opening it, in a sentence: the groove with what fills it, or the metal it takes and how long. */
export function openCall(row: MendRow): Sentence {
  const { planned, groove, opened } = row
  const { depositG, passes, opening } = planned!
  if (groove && !opened) return grooveCall(groove, planned!)
  const way = wayWords(row)
  if (!depositG) return [`${way}${opening.length ? count(opening.length, 'step') : 'nothing to open'}.`]
  return [
    way,
    figure(depositG, 'g'),
    ` in ${count(passes, 'pass', 'passes')}, `,
    figure(minutesOf(planned!), 'min'),
    ' in all.',
  ]
}

/** Why it is opened so: metal out and in, stop-holes, what of the break is kept; what a plate does to its arm. */
export function openWhy(row: MendRow): Sentence[] {
  const { plated } = row
  if (plated) return 'answer' in plated ? plateWhy(plated.answer) : [[`${plated.reason}.`]]
  return grooveWhy(row)
}

function grooveWhy({ planned, groove, cutting, opened, keepsBreak }: MendRow): Sentence[] {
  if (!groove || opened) return []
  const { depositG, arcMin, startA } = planned!
  const [hole] = groove.stopHoles
  return [
    ...(cutting && 'answer' in cutting
      ? [
          [
            'Metal out ',
            figure(cutting.answer.removedG, 'g', 'groove'),
            ', metal in ',
            figure(depositG, 'g', 'groove'),
            ...(startA === null ? [] : [', arc about ', figure(arcMin, 'min')]),
            '.',
          ],
        ]
      : []),
    ...(hole
      ? [
          [
            'Stop-holes ',
            figure(hole.diameterMm, 'mm'),
            ', ',
            figure((groove.runMm - groove.alongMm) / groove.stopHoles.length, 'mm'),
            ' past where it is seen to end.',
          ],
        ]
      : []),
    ...(keepsBreak === null
      ? []
      : [
          [
            keepsBreak
              ? 'The middle of the break is kept: it is the jigsaw that holds the part in line. The back is ground out to sound weld afterwards.'
              : 'Cut right through for full penetration: locate it by jig, since nothing of the break is left to hold it.',
          ],
        ]),
  ]
}

/** What would change it: the other side too, dye that shows more. */
export function openChange({ groove, bothSidesG, planned, opened }: MendRow): Sentence[] {
  if (!groove || opened) return []
  return [
    ...(bothSidesG === null
      ? []
      : [
          [
            'From both sides it would take ',
            figure(bothSidesG, 'g'),
            ` instead of ${figures(planned!.depositG, 3)} g, and pull less to one side.`,
          ],
        ]),
    ...(groove.stopHoles.length ? [['Dye showing the crack past a hole: run the groove into the hole.']] : []),
  ]
}

/** The working behind what is said of it. */
export const openWorkings = ({ cutting, plated }: MendRow): Record<string, Working> => ({
  ...(cutting && 'working' in cutting ? { groove: cutting.working } : {}),
  ...(plated && 'working' in plated ? { plate: plated.working } : {}),
})
