/** Tacks this far apart at most, as walls: common practice, no source. */
const TACK_WALLS = 12
const CLOSEST_TACKS_MM = 25
/** Runs longer than this are laid in pieces, each back towards the one before: common practice, no source. */
const BACKSTEP_MM = 60

export interface Tack {
  alongMm: number
}
export interface Run {
  pass: number
  side: 1 | 2
  kind: 'root' | 'fill' | 'cap'
  fromMm: number
  toMm: number
}
export interface Sequence {
  tacks: Tack[]
  runs: Run[]
  why: string[]
}

export interface SequenceInput {
  lengthMm: number
  wallMm: number
  sides: 1 | 2
  closed: boolean
  passesPerSide: number
  keepBreak: boolean
  /** Passes go from side to side; else one side is finished first. True where nothing is said. */
  turnAbout?: boolean
  startsIn: 'tip' | 'hole' | 'edge'
  endsIn: 'tip' | 'hole' | 'edge'
}

/** Numbers 0 … n − 1 so that each next is as far as can be from those before: across, then between. */
function spreadOut(n: number): number[] {
  const left = Array.from({ length: n }, (_, i) => i)
  const order: number[] = []
  const apart = (a: number, b: number) => {
    const d = Math.abs(a - b)
    return Math.min(d, n - d)
  }
  while (left.length) {
    left.sort(
      (a, b) =>
        Math.min(...order.map(done => apart(b, done)), n) - Math.min(...order.map(done => apart(a, done)), n) || a - b,
    )
    order.push(left.shift()!)
  }
  return order
}

/**
 * Which sides are welded when: the root of one, the root of the other, then turn about, so that each pull is answered
 * by its opposite.
 */
export function sideOrder(sides: 1 | 2, passesPerSide: number): { side: 1 | 2; within: number }[] {
  if (sides === 1) return Array.from({ length: passesPerSide }, (_, within) => ({ side: 1 as const, within }))
  return Array.from({ length: 2 * passesPerSide }, (_, n) => ({
    side: n % 2 ? (2 as const) : (1 as const),
    within: Math.floor(n / 2),
  }))
}

/** The number of a pass in that order, from 1. */
export const passNumber = (sides: 1 | 2, side: 1 | 2, within: number): number =>
  sides === 1 ? within + 1 : 2 * within + side

function sidesWhy(sides: 1 | 2, turnAbout: boolean): string {
  if (sides === 1)
    return 'One side only pulls towards itself: set it a degree or two the other way first, and let it cool between passes.'
  return turnAbout
    ? 'The two sides in turn: what one pass pulls, the next pulls back. Before the second root, cut the back of the first to bright metal.'
    : 'The side laid first pulls the part towards itself, and the other does not quite pull it back: set it a degree or two the other way first. Before the second root, cut the back of the first to bright metal.'
}

/**
 * The order of tacks and passes: what holds it first, which side first, which way each run goes, and why.
 * Order: common practice, no source.
 */
export function sequenceOf(input: SequenceInput): Sequence {
  const { lengthMm, wallMm, sides, closed, passesPerSide, keepBreak, turnAbout = true, startsIn, endsIn } = input
  const gap = Math.max(CLOSEST_TACKS_MM, TACK_WALLS * wallMm)
  // Round a ring an even number, so that each has one opposite.
  const count = closed
    ? Math.min(60, Math.max(4, 2 * Math.ceil(lengthMm / gap / 2)))
    : Math.min(60, Math.max(2, Math.ceil(lengthMm / gap) + 1))
  const places = Array.from({ length: count }, (_, n) =>
    closed ? (lengthMm * n) / count : (lengthMm * n) / (count - 1),
  )
  const tacks = (closed ? spreadOut(count) : [0, count - 1, ...Array.from({ length: count - 2 }, (_, n) => n + 1)]).map(
    n => ({ alongMm: places[n]! }),
  )
  const kind = (within: number): Run['kind'] => (within === 0 ? 'root' : within === passesPerSide - 1 ? 'cap' : 'fill')
  // A run starts at a tip and ends at a hole or an edge, where the crater can be run off; between two tips it goes turn
  // about.
  const away = startsIn !== 'tip' && endsIn === 'tip'
  const runs = sideOrder(sides, passesPerSide).flatMap(({ side, within }, n): Run[] => {
    const pieces = lengthMm > 2 * BACKSTEP_MM ? Math.ceil(lengthMm / BACKSTEP_MM) : 1
    const back = away !== (n % 2 === 1 && startsIn === endsIn)
    const ends = Array.from(
      { length: pieces },
      (_, piece) => [(lengthMm * piece) / pieces, (lengthMm * (piece + 1)) / pieces] as const,
    )
    // Back-step: the pieces go one way, each is laid the other.
    const order = closed && pieces > 1 ? spreadOut(pieces).map(piece => ends[piece]!) : back ? ends.toReversed() : ends
    return order.map(([a, b]) => {
      const [fromMm, toMm] = pieces > 1 !== back ? [b, a] : [a, b]
      return { pass: n + 1, side, kind: kind(within), fromMm, toMm }
    })
  })
  const why = [
    'Begin at the place hardest to reach, while everything still fits in; turn the part so that the puddle lies flat and gravity helps.',
    ...(closed
      ? ['Run right round the base before closing in, so that nothing has to be filled from the far side.']
      : []),
    closed
      ? 'Tacks opposite one another, then between: a ring tacked round in turn closes up on one side.'
      : 'Tacks at both ends first, then between, so that the gap cannot walk.',
    keepBreak
      ? 'Tack while the break still locates it; grind each tack to a feather before the root runs over it.'
      : 'Jig it, tack it in the jig, and check it before the root.',
    sidesWhy(sides, turnAbout),
  ]
  if (lengthMm > 2 * BACKSTEP_MM)
    why.push('Longer than a hand: pieces laid each back towards the last, so that the heat and the pull stay small.')
  if (startsIn !== 'tip' || endsIn !== 'tip')
    why.push(
      'Start at the tip and run out into the hole or off the edge: craters crack, so the last one lies where it is cut away.',
    )
  return { tacks, runs, why }
}
