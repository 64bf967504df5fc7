import type { AnswerTo } from '../../ask/question'
import type { Fields, ValuesOf } from '../../field/field'
import { plateReinforce } from '../../groove/question'
import type { Drawn } from '../../mend/kind'
import type { fields } from '../../mend/plate/fields'
import { askFor } from '../ask-core'
import { figure, type Sentence } from '../parts'
import { found, type Found } from '../rebuild/found'

/** What a plate does to the arm it goes over. */
export interface Stiffened extends AnswerTo<typeof plateReinforce> {
  /** How far from its root a plate must reach at least, mm; null where nobody said how long the arm is. */
  coverMm: number | null
  longMm: number
}

/** What the plate of a mend of the kind `plate` does to its arm; null where the arm is not told, or not understood. */
export function plateOfMend({ values }: Drawn<Fields>): Found<Stiffened> {
  const { armWideMm, armHighMm, armLongMm, longMm, wideMm, plateMm, sides } = values as ValuesOf<typeof fields>
  if (!armWideMm || !armHighMm) return null
  const asked = found(
    askFor(plateReinforce, 'A plate over the arm', {
      widthMm: armWideMm,
      heightMm: armHighMm,
      plateMm,
      plateWidthMm: wideMm,
      sides,
    }),
  )
  return asked && 'answer' in asked
    ? { ...asked, answer: { ...asked.answer, longMm, coverMm: armLongMm ? asked.answer.coverShare * armLongMm : null } }
    : asked
}

/** Why the plate, and how far it must go. */
export const plateWhy = ({ strengthRatio, stiffnessRatio, coverShare, coverMm, longMm }: Stiffened): Sentence[] => [
  [
    'A plate over the arm makes it ',
    figure(strengthRatio, 'number', 'plate'),
    ' times as strong and ',
    figure(stiffnessRatio, 'number', 'plate'),
    ' times as stiff, as far as it reaches.',
  ],
  coverMm === null
    ? [
        'The stress moves to where the plate ends: taper it, and carry it past ',
        figure(100 * coverShare, 'pct', 'plate'),
        ' of the arm from its root.',
      ]
    : [
        'The stress moves to where the plate ends: taper it, and carry it at least ',
        figure(coverMm, 'mm', 'plate'),
        ' out from the root, or the bare arm breaks there first.',
      ],
  ...(coverMm !== null && longMm < coverMm
    ? [
        [
          'This plate is ',
          figure(longMm, 'mm'),
          ' long: it ends where the bare arm still carries more than it can. Make it longer.',
        ],
      ]
    : []),
]
