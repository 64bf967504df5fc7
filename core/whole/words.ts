/** What a whole job says of its warming and of what stands in the way, by code. */
export const WHOLE_WORDS: Readonly<Record<string, string>> = {
  'straight-first': 'Straight first: what is bent decides where the rest must come to.', 'most-heat-first': 'Most heat first: the next is then laid on a warm part.', 'true-places-after': 'After the others: their pull moves it.', 'cold-last': 'Cold work last.',
  'not-wanted': 'No warming is wanted.', 'nothing-laid': 'Nothing is laid that wants warmth.', 'as-wanted': 'As you said.', 'small-machine': 'The machine melts in only on warm metal.', 'thick-wall': 'A thick wall drinks the heat of a cold start.',
  'drives-oil-out': 'Warmth drives oil and water out first.', 'chill-off': 'A casting likes the chill taken off.', 'kept-cool-near': 'What is near stands no more.', 'thin-wrought': 'Thin wrought metal wants none.', 'thin-clean': 'A clean thin wall wants none.',
  'no-torch': 'There is no torch in the kit.', 'no-machine': 'There is no machine of that kind in the kit.', 'does-not-melt-in': 'No machine here melts in on this wall, even warmed as far as this torch and metal bear.',
  'nothing-reaches': 'Nothing in the kit does it.', 'braze-refused': 'That rod is not for this metal.', 'never-melts-rod': 'This flame never brings the place to where the rod flows.',
}
