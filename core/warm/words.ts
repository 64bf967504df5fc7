/** Why a part is warmed or not, a sentence a code. */
export const WARM_WHY = {
  'not-wanted': 'Not warmed, as you said.',
  'nothing-laid': 'No metal is laid with an arc or a flame, so nothing is warmed.',
  'flame-warms': 'The flame that melts the rod warms the part on the way.',
  'as-wanted': 'As far as you said.',
  'school-never': 'Not warmed: that is your school.',
  'school-chill': 'Only the chill is taken off: that is your school.',
  'school-always': 'Always warmed: that is your school.',
  'small-machine': 'The machine does not melt in on this wall cold: the heat makes up for it.',
  'machine-beyond': 'Not even as hot as this metal may be taken does this machine melt in: take another.',
  'eases-machine': 'The machine melts in cold only if one waits; this much heat makes its current the usual one.',
  'thick-wall': 'A wall this thick drinks the arc: warm, it starts cleaner and moves less.',
  'drives-oil-out': 'It held oil: the heat drives it out before the arc finds it.',
  'chill-off': 'The chill is taken off a casting of this wall: it is dry, and starts evenly.',
  'cold-part': 'It is cold enough for water to stand on it: take the chill off.',
  'thin-clean': 'Thin and clean: the arc warms it soon enough by itself.',
  'thin-wrought': 'Wrought metal of this wall wants no heat but the arc’s: more would only soften it.',
  'kept-cool-near': 'What sits near it stands no more than the chill taken off.',
  'kept-on': 'What stays on the part stands no more.',
  'metal-limit': 'This metal stands no more before an arc.',
  'no-torch': 'There is no torch in the kit to do it with.',
} as const
export type WarmWhy = keyof typeof WARM_WHY
