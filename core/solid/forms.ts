export type Axis = 0 | 1 | 2
export type Triple = [number, number, number]
export type Flat = readonly [number, number]

/**
 * The few forms every solid is put together from, mm. Coordinates across an axis are given in cyclic order: across x
 * they are (y, z), across y (z, x), across z (x, y).
 */
export type Form =
  | { readonly form: 'block'; readonly low: Triple; readonly high: Triple; readonly shut?: boolean }
  | Round
  | Prism
  | Bend

/** A cylinder along an axis, from one height to another. */
export interface Round {
  readonly form: 'round'
  readonly axis: Axis
  readonly centre: Flat
  readonly radius: number
  readonly from: number
  readonly to: number
  readonly shut?: boolean
}
/** An outline (and holes in it) drawn out along an axis. */
export interface Prism {
  readonly form: 'prism'
  readonly axis: Axis
  readonly rings: readonly (readonly Flat[])[]
  readonly from: number
  readonly to: number
  readonly shut?: boolean
}
/** A quarter of a round bar bent about an axis: the way of a pipe's elbow. Reaches from +u to +v of its centre. */
export interface Bend {
  readonly form: 'bend'
  readonly axis: Axis
  readonly centre: Flat
  /** Of the bend's middle line. */
  readonly bendMm: number
  readonly radius: number
  readonly level: number
  readonly shut?: boolean
}

export const nextAxis = (axis: Axis): Axis => ((axis + 1) % 3) as Axis
export const lastAxis = (axis: Axis): Axis => ((axis + 2) % 3) as Axis

/** A place from its coordinates across an axis and its height along it. */
export function place(axis: Axis, [u, v]: Flat, along: number): Triple {
  const at: Triple = [0, 0, 0]
  at[axis] = along
  at[nextAxis(axis)] = u
  at[lastAxis(axis)] = v
  return at
}

export const LIES = {
  up: 'as it is',
  along: 'turned: what was up lies along',
  across: 'turned: what was up lies across',
} as const
export type Lies = keyof typeof LIES
const TURNS: Record<Lies, 0 | 1 | 2> = { up: 0, along: 1, across: 2 }
const turnedAxis = (axis: Axis, turns: number): Axis => ((axis + turns) % 3) as Axis
const turnedPlace = (place: Readonly<Triple>, turns: number): Triple =>
  [0, 1, 2].map(axis => place[(axis - turns + 3) % 3]!) as Triple

/** A size or place turned the way a piece lies: the axes change places in a ring, so nothing is mirrored. */
export const turned = (place: Readonly<Triple>, lies: Lies): Triple => turnedPlace(place, TURNS[lies])

/** A form turned and then moved. */
export function placed(form: Form, lies: Lies, at: Readonly<Triple>): Form {
  const turns = TURNS[lies]
  if (form.form === 'block') {
    const [low, high] = [turnedPlace(form.low, turns), turnedPlace(form.high, turns)]
    return {
      ...form,
      low: low.map((value, axis) => value + at[axis]!) as Triple,
      high: high.map((value, axis) => value + at[axis]!) as Triple,
    }
  }
  const axis = turnedAxis(form.axis, turns)
  const [u, v, along] = [at[nextAxis(axis)], at[lastAxis(axis)], at[axis]]
  if (form.form === 'prism')
    return {
      ...form,
      axis,
      rings: form.rings.map(ring => ring.map(([a, b]): Flat => [a + u, b + v])),
      from: form.from + along,
      to: form.to + along,
    }
  const centre: Flat = [form.centre[0] + u, form.centre[1] + v]
  return form.form === 'round'
    ? { ...form, axis, centre, from: form.from + along, to: form.to + along }
    : { ...form, axis, centre, level: form.level + along }
}

/** The least box round a form, along its three axes. */
export function reach(form: Form): { low: Triple; high: Triple } {
  if (form.form === 'block') return { low: form.low, high: form.high }
  const [low, high]: [Triple, Triple] = [
    [0, 0, 0],
    [0, 0, 0],
  ]
  const { axis } = form
  const set = (which: Axis, from: number, to: number) => {
    low[which] = from
    high[which] = to
  }
  if (form.form === 'prism') {
    const points = form.rings.flat()
    set(axis, form.from, form.to)
    set(nextAxis(axis), Math.min(...points.map(([a]) => a)), Math.max(...points.map(([a]) => a)))
    set(lastAxis(axis), Math.min(...points.map(([, b]) => b)), Math.max(...points.map(([, b]) => b)))
    return { low, high }
  }
  const [u, v] = form.centre
  if (form.form === 'round') {
    set(axis, form.from, form.to)
    set(nextAxis(axis), u - form.radius, u + form.radius)
    set(lastAxis(axis), v - form.radius, v + form.radius)
  } else {
    set(axis, form.level - form.radius, form.level + form.radius)
    set(nextAxis(axis), u, u + form.bendMm + form.radius)
    set(lastAxis(axis), v, v + form.bendMm + form.radius)
  }
  return { low, high }
}
