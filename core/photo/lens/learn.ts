import { NoAnswer } from '../../ask/question'
import { cardMarks } from '../card/find'
import { greyOf } from '../grey'
import type { Picture } from '../picture'
import { fitLens, type FittedLens } from './fit'

/**
 * A phone's lens from pictures of the scale card, all of one size.
 * @throws NoAnswer where the pictures differ in size, or the card is not found often enough
 */
export function learnLens(pictures: readonly Picture[]): FittedLens {
  const [first] = pictures
  if (!first) throw new NoAnswer('no pictures')
  if (pictures.some(({ wide, high }) => wide !== first.wide || high !== first.high))
    throw new NoAnswer('the pictures differ in size: take all of them alike, held the same way up')
  return fitLens(
    pictures.flatMap(picture => {
      const marks = cardMarks(greyOf(picture))
      return marks ? [marks] : []
    }),
    first,
  )
}
