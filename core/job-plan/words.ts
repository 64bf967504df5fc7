import { WARM_WHY } from '../warm/words'

/** What a whole job says of its warming and of what stands in the way, by code. */
export const WHOLE_WORDS: Readonly<Record<string, string>> = {
  'straight-first': 'Straight first: what is bent decides where the rest must come to.',
  'most-heat-first': 'Most heat first: the next is then laid on a warm part.',
  'true-places-after': 'After the others: their pull moves it.',
  'cold-last': 'Cold work last.',
  ...WARM_WHY,
  'no-machine': 'There is no machine of that kind in the kit.',
  'does-not-melt-in': 'No machine here melts in on this wall, even warmed as far as this torch and metal bear.',
  'nothing-reaches': 'Nothing in the kit does it.',
  'braze-refused': 'That rod is not for this metal.',
  'never-melts-rod': 'This flame never brings the place to where the rod flows.',
}
