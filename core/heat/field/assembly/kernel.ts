// Single-precision SIMD arithmetic of the heat field over the packed grid of ../grid.ts, in AssemblyScript.
// Arrays hold f32 by slot; `runs` and `segments` hold i32 as described there. u is the rise above ambient; F(u) = L u − g u + q.

const LANES = i32x4(0, 1, 2, 3)

// @ts-ignore: decorator
@inline
function get(base: usize, slot: i32): v128 {
  return v128.load(base + (<usize>slot << 2))
}

// Writes the first `left` lanes only: past a run's end lie ghosts and other runs.
// @ts-ignore: decorator
@inline
function put(base: usize, slot: i32, value: v128, left: i32): void {
  const at = base + (<usize>slot << 2)
  if (left >= 4) v128.store(at, value)
  else v128.store(at, v128.bitselect(value, v128.load(at), i32x4.gt_s(i32x4.splat(left), LANES)))
}

// @ts-ignore: decorator
@inline
function mul(a: v128, b: v128): v128 { return f32x4.mul(a, b) }

// @ts-ignore: decorator
@inline
function add(a: v128, b: v128): v128 { return f32x4.add(a, b) }

// @ts-ignore: decorator
@inline
function sub(a: v128, b: v128): v128 { return f32x4.sub(a, b) }

let cx: v128 = f32x4.splat(0)
let cy: v128 = f32x4.splat(0)
let cz: v128 = f32x4.splat(0)
/** Shares of metal (as one over it) and of faces, where cells are put together from finer ones; 0 where every cell is whole. */
let shareX: usize = 0
let shareY: usize = 0
let shareZ: usize = 0
let inverseVolume: usize = 0

/** Diffusivity over the square of the step along each axis, 1/s, and the arrays of shares or zeros. */
export function conduct(x: f32, y: f32, z: f32, volume: usize, faceX: usize, faceY: usize, faceZ: usize): void {
  cx = f32x4.splat(x)
  cy = f32x4.splat(y)
  cz = f32x4.splat(z)
  inverseVolume = volume
  shareX = faceX
  shareY = faceY
  shareZ = faceZ
}

// Heat conducted into four cells, as K/s.
// @ts-ignore: decorator
@inline
function conducted(field: usize, i: i32, here: v128, ym: i32, yp: i32, zm: i32, zp: i32): v128 {
  const left = sub(get(field, i - 1), here), right = sub(get(field, i + 1), here)
  const front = sub(get(field, i + ym), here), back = sub(get(field, i + yp), here)
  const below = sub(get(field, i + zm), here), above = sub(get(field, i + zp), here)
  if (!inverseVolume) return add(mul(cx, add(left, right)), add(mul(cy, add(front, back)), mul(cz, add(below, above))))
  const x = add(mul(get(shareX, i - 1), left), mul(get(shareX, i), right))
  const y = add(mul(get(shareY, i + ym), front), mul(get(shareY, i), back))
  const z = add(mul(get(shareZ, i + zm), below), mul(get(shareZ, i), above))
  return mul(get(inverseVolume, i), add(mul(cx, x), add(mul(cy, y), mul(cz, z))))
}

/** Sets the ghost at each end of every stretch to the cell beside it, across which then no heat flows. */
export function ghosts(segments: usize, count: i32, field: usize): void {
  for (let s = 0; s < count; s++) {
    const at = segments + <usize>s * 20
    const first = field + (<usize>load<i32>(at) << 2)
    const last = first + (<usize>(load<i32>(at + 4) - 1) << 2)
    store<f32>(first - 4, load<f32>(first))
    store<f32>(last + 4, load<f32>(last))
  }
}

// One stage on four whole cells from pointers: mu one + nu two + m (L one − g one) + c f, with the terms in `one` drawn together.
// @ts-ignore: decorator
@inline
function staged(p1: usize, p2: usize, pf: usize, pg: usize, ym: i32, yp: i32, zm: i32, zp: i32, middle: v128, nu: v128, m: v128, mx: v128, my: v128, mz: v128, c: v128): v128 {
  const x = add(v128.load(p1 - 4), v128.load(p1, 4))
  const y = add(v128.load(p1 + ym), v128.load(p1 + yp))
  const z = add(v128.load(p1 + zm), v128.load(p1 + zp))
  const own = mul(sub(middle, mul(m, v128.load(pg))), v128.load(p1))
  const old = add(mul(nu, v128.load(p2)), mul(c, v128.load(pf)))
  return add(add(add(mul(mx, x), mul(my, y)), add(mul(mz, z), own)), old)
}

function stageWhole(runs: usize, count: i32, one: usize, two: usize, f: usize, g: usize, mu: f32, nu: f32, m: f32, c: f32): void {
  const vm = f32x4.splat(m), vnu = f32x4.splat(nu), vc = f32x4.splat(c)
  const mx = mul(vm, cx), my = mul(vm, cy), mz = mul(vm, cz)
  const conduction = add(mx, add(my, mz))
  const middle = sub(f32x4.splat(mu), add(conduction, conduction))
  const toTwo = two - one, toF = f - one, toG = g - one
  for (let at = runs, end = runs + <usize>count * 24; at < end; at += 24) {
    let p = one + (<usize>load<i32>(at) << 2)
    const left = load<i32>(at + 4)
    const ym = load<i32>(at + 8) << 2, yp = load<i32>(at + 12) << 2, zm = load<i32>(at + 16) << 2, zp = load<i32>(at + 20) << 2
    for (const whole = p + (<usize>(left >> 2) << 4); p < whole; p += 16) {
      v128.store(p + toTwo, staged(p, p + toTwo, p + toF, p + toG, ym, yp, zm, zp, middle, vnu, vm, mx, my, mz, vc))
    }
    if (left & 3) {
      const value = staged(p, p + toTwo, p + toF, p + toG, ym, yp, zm, zp, middle, vnu, vm, mx, my, mz, vc)
      v128.store(p + toTwo, v128.bitselect(value, v128.load(p + toTwo), i32x4.gt_s(i32x4.splat(left & 3), LANES)))
    }
  }
}

/** One stage of the recurrence: two ← μ one + ν two + m (L one − g one) + c f. */
export function stage(runs: usize, count: i32, one: usize, two: usize, f: usize, g: usize, mu: f32, nu: f32, m: f32, c: f32): void {
  if (!inverseVolume) {
    stageWhole(runs, count, one, two, f, g, mu, nu, m, c)
    return
  }
  const vmu = f32x4.splat(mu), vnu = f32x4.splat(nu), vm = f32x4.splat(m), vc = f32x4.splat(c)
  for (let r = 0; r < count; r++) {
    const at = runs + <usize>r * 24
    let i = load<i32>(at)
    let left = load<i32>(at + 4)
    const ym = load<i32>(at + 8), yp = load<i32>(at + 12), zm = load<i32>(at + 16), zp = load<i32>(at + 20)
    for (; left > 0; left -= 4, i += 4) {
      const here = get(one, i)
      const flow = sub(conducted(one, i, here, ym, yp, zm, zp), mul(get(g, i), here))
      put(two, i, add(add(mul(vmu, here), mul(vnu, get(two, i))), add(mul(vm, flow), mul(vc, get(f, i)))), left)
    }
  }
}

/** f ← F(u). */
export function rate(runs: usize, count: i32, u: usize, g: usize, q: usize, f: usize): void {
  for (let r = 0; r < count; r++) {
    const at = runs + <usize>r * 24
    let i = load<i32>(at)
    let left = load<i32>(at + 4)
    const ym = load<i32>(at + 8), yp = load<i32>(at + 12), zm = load<i32>(at + 16), zp = load<i32>(at + 20)
    for (; left > 0; left -= 4, i += 4) {
      const here = get(u, i)
      put(f, i, add(sub(conducted(u, i, here, ym, yp, zm, zp), mul(get(g, i), here)), get(q, i)), left)
    }
  }
}

/** d ← F(v), where v is the field after a step of `dt` that added d to it and began with the rate f. @returns the greatest estimated error of the step, K */
export function judge(runs: usize, count: i32, v: usize, g: usize, q: usize, f: usize, d: usize, dt: f32): f32 {
  const step = f32x4.splat(<f32>0.4 * dt), share = f32x4.splat(-0.8)
  let worst = f32x4.splat(0)
  for (let r = 0; r < count; r++) {
    const at = runs + <usize>r * 24
    let i = load<i32>(at)
    let left = load<i32>(at + 4)
    const ym = load<i32>(at + 8), yp = load<i32>(at + 12), zm = load<i32>(at + 16), zp = load<i32>(at + 20)
    for (; left > 0; left -= 4, i += 4) {
      const here = get(v, i)
      const after = add(sub(conducted(v, i, here, ym, yp, zm, zp), mul(get(g, i), here)), get(q, i))
      let error = f32x4.abs(add(mul(share, get(d, i)), mul(step, add(get(f, i), after))))
      if (left < 4) error = v128.and(error, i32x4.gt_s(i32x4.splat(left), LANES))
      worst = f32x4.max(worst, error)
      put(d, i, after, left)
    }
  }
  return max(max(f32x4.extract_lane(worst, 0), f32x4.extract_lane(worst, 1)), max(f32x4.extract_lane(worst, 2), f32x4.extract_lane(worst, 3)))
}

/** sum ← a + k b, over all slots. */
export function combine(slots: i32, a: usize, b: usize, k: f32, sum: usize): void {
  const vk = f32x4.splat(k)
  for (let i = 0; i < slots; i += 4) v128.store(sum + (<usize>i << 2), add(get(a, i), mul(vk, get(b, i))))
}

/** g ← skin × (c0 + c1 u + c2 u² + c3 u³): film and grey radiation, per unit of heat capacity. */
export function losses(slots: i32, u: usize, skin: usize, c0: f32, c1: f32, c2: f32, c3: f32, g: usize): void {
  const v0 = f32x4.splat(c0), v1 = f32x4.splat(c1), v2 = f32x4.splat(c2), v3 = f32x4.splat(c3)
  for (let i = 0; i < slots; i += 4) {
    const here = get(u, i)
    v128.store(g + (<usize>i << 2), mul(get(skin, i), add(v0, mul(here, add(v1, mul(here, add(v2, mul(here, v3))))))))
  }
}

/** The greatest figure of a field, over all slots. */
export function greatest(slots: i32, field: usize): f32 {
  let most = f32x4.splat(-Infinity)
  for (let i = 0; i < slots; i += 4) most = f32x4.max(most, get(field, i))
  return max(max(f32x4.extract_lane(most, 0), f32x4.extract_lane(most, 1)), max(f32x4.extract_lane(most, 2), f32x4.extract_lane(most, 3)))
}

/** Sum of a × b, each divided by the share of metal's inverse where cells are put together from finer ones. */
export function sumOfProducts(slots: i32, a: usize, b: usize): f64 {
  let sum: f64 = 0
  for (let i = 0; i < slots; i += 4) {
    let part = mul(get(a, i), get(b, i))
    if (inverseVolume) {
      const inverse = get(inverseVolume, i)
      part = v128.and(f32x4.div(part, inverse), f32x4.gt(inverse, f32x4.splat(0)))
    }
    sum += <f64>f32x4.extract_lane(part, 0) + <f64>f32x4.extract_lane(part, 1) + <f64>f32x4.extract_lane(part, 2) + <f64>f32x4.extract_lane(part, 3)
  }
  return sum
}
