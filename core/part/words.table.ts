/** How a part moves at its work. */
export const MOVES = { still: 'stands still', spins: 'spins', 'to-and-fro': 'goes to and fro' } as const
export type Moves = keyof typeof MOVES

/** What a part does. */
export const DOES = { seal: 'seals', static: 'steady load', cyclic: 'repeated load' } as const
export type Does = keyof typeof DOES

/** What of a part may not move; faces that a mend may lie on. */
export const MUST_NOT_MOVE = {
  'bearing-bore': 'bearing bore',
  'locating-diameter': 'locating diameter',
  'gasket-face': 'gasket face',
  'bolt-pattern': 'bolt pattern',
  'pivot-line': 'pivot alignment',
} as const

/** What is asked about before it is made strong or put under pressure again. */
export const MINDS = {
  'made-to-break': 'made to break on purpose: a notch, a shear place',
  'pressure-port': 'a port under pressure',
  'hollow-bolt': 'takes a hollow bolt',
  'rain-only': 'keeps rain out, and no more',
} as const
export type Mind = keyof typeof MINDS

/** Who is hurt if it breaks. */
export const STAKES = {
  nothing: 'nobody, and nothing else breaks',
  property: 'other things break with it',
  person: 'somebody is hurt: a frame, a step, a seat, an arm',
} as const
export type Stakes = keyof typeof STAKES
