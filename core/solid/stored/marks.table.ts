interface Row {
  readonly name: string
  /** Whether it runs along the part, from one point to the next, or lies at one place. */
  readonly runs: boolean
  /** Whether it has a size across. */
  readonly across: boolean
}

/** What can be marked on a part, in the words of a bench. */
export const MARK_KINDS = {
  mend: { name: 'what is mended', runs: true, across: false },
  'fixed-face': { name: 'face that may not move', runs: false, across: true },
  'fixed-bore': { name: 'bore that may not move', runs: false, across: true },
  holes: { name: 'hole of a bolt pattern', runs: false, across: true },
  seal: { name: 'lip seal', runs: false, across: false },
  'fluoro-seal': { name: 'fluoroelastomer seal', runs: false, across: false },
  bush: { name: 'bush', runs: false, across: false },
  'bearing-seat': { name: 'bearing seat', runs: false, across: true },
  'finished-face': { name: 'finished face', runs: false, across: false },
  clamp: { name: 'where it can be clamped', runs: false, across: false },
  earth: { name: 'earth', runs: false, across: false },
  hot: { name: 'hot in service', runs: false, across: false },
} as const satisfies Record<string, Row>
export type MarkKind = keyof typeof MARK_KINDS
