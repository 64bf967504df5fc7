// Single-precision SIMD arithmetic of a part's pull, in AssemblyScript; its plain twin in double precision is ../lattice.ts.
// Corners hold four f32 each: x, y, z and nothing. `corner` holds eight byte offsets a cell, `blocks` the three columns of each
// class of moving as four f32. An entry that cannot move has 0 in `apart`.

const ZERO: v128 = f32x4.splat(0)

// @ts-ignore: decorator
@inline
function mul(a: v128, b: v128): v128 { return f32x4.mul(a, b) }

// @ts-ignore: decorator
@inline
function add(a: v128, b: v128): v128 { return f32x4.add(a, b) }

// @ts-ignore: decorator
@inline
function sub(a: v128, b: v128): v128 { return f32x4.sub(a, b) }

// A corner's side of the cell along each way; signed by it, component c of a way of moving lies in the class that mirrors alike.
// @ts-ignore: decorator
@inline
function side(n: i32): v128 {
  return n == 0 ? f32x4(-1, -1, -1, 0)
    : n == 1 ? f32x4(1, -1, -1, 0)
    : n == 2 ? f32x4(-1, 1, -1, 0)
    : n == 3 ? f32x4(1, 1, -1, 0)
    : n == 4 ? f32x4(-1, -1, 1, 0)
    : n == 5 ? f32x4(1, -1, 1, 0)
    : n == 6 ? f32x4(-1, 1, 1, 0)
    : f32x4(1, 1, 1, 0)
}

// @ts-ignore: decorator
@inline
function signed(u: usize, corner: usize, n: i32): v128 {
  return mul(v128.load(u + <usize>load<u32>(corner + (<usize>n << 2))), side(n))
}

// @ts-ignore: decorator
@inline
function through(blocks: usize, k: i32, t: v128): v128 {
  const at = blocks + <usize>k * 48
  return add(
    mul(v128.load(at), v128.shuffle<f32>(t, t, 0, 0, 0, 0)),
    add(mul(v128.load(at, 16), v128.shuffle<f32>(t, t, 1, 1, 1, 1)), mul(v128.load(at, 32), v128.shuffle<f32>(t, t, 2, 2, 2, 2))),
  )
}

// @ts-ignore: decorator
@inline
function gives(force: usize, corner: usize, n: i32, value: v128): void {
  const at = force + <usize>load<u32>(corner + (<usize>n << 2))
  v128.store(at, add(v128.load(at), mul(value, side(n))))
}

/** Force on every corner from its displacement: each cell goes through its own ways of moving. */
export function pull(cells: i32, corner: usize, blocks: usize, u: usize, force: usize, nodes: i32): void {
  memory.fill(force, 0, <usize>nodes << 4)
  for (let cell = 0; cell < cells; cell++, corner += 32) {
    const v0 = signed(u, corner, 0), v1 = signed(u, corner, 1), v2 = signed(u, corner, 2), v3 = signed(u, corner, 3)
    const v4 = signed(u, corner, 4), v5 = signed(u, corner, 5), v6 = signed(u, corner, 6), v7 = signed(u, corner, 7)
    const a = add(v0, v1), b = sub(v1, v0), c = add(v2, v3), d = sub(v3, v2)
    const e = add(v4, v5), f = sub(v5, v4), g = add(v6, v7), h = sub(v7, v6)
    const p = add(a, c), q = add(b, d), r = sub(c, a), s = sub(d, b)
    const t = add(e, g), o = add(f, h), w = sub(g, e), x = sub(h, f)
    const m0 = through(blocks, 0, add(p, t)), m1 = through(blocks, 1, add(q, o))
    const m2 = through(blocks, 2, add(r, w)), m3 = through(blocks, 3, add(s, x))
    const m4 = through(blocks, 4, sub(t, p)), m5 = through(blocks, 5, sub(o, q))
    const m6 = through(blocks, 6, sub(w, r)), m7 = through(blocks, 7, sub(x, s))
    const i0 = sub(m0, m1), i1 = add(m0, m1), i2 = sub(m2, m3), i3 = add(m2, m3)
    const i4 = sub(m4, m5), i5 = add(m4, m5), i6 = sub(m6, m7), i7 = add(m6, m7)
    const j0 = sub(i0, i2), j1 = sub(i1, i3), j2 = add(i0, i2), j3 = add(i1, i3)
    const j4 = sub(i4, i6), j5 = sub(i5, i7), j6 = add(i4, i6), j7 = add(i5, i7)
    gives(force, corner, 0, sub(j0, j4))
    gives(force, corner, 1, sub(j1, j5))
    gives(force, corner, 2, sub(j2, j6))
    gives(force, corner, 3, sub(j3, j7))
    gives(force, corner, 4, add(j0, j4))
    gives(force, corner, 5, add(j1, j5))
    gives(force, corner, 6, add(j2, j6))
    gives(force, corner, 7, add(j3, j7))
  }
}

/** z = step = share × apart × r. */
export function begin(nodes: i32, apart: usize, r: usize, step: usize, z: usize, share: f32): void {
  const s = f32x4.splat(share)
  for (let n: usize = 0, end = <usize>nodes << 4; n < end; n += 16) {
    const value = mul(mul(v128.load(apart + n), v128.load(r + n)), s)
    v128.store(step + n, value)
    v128.store(z + n, value)
  }
}

/** step = keep × step + share × apart × (r − pulled), and z goes on by it. */
export function goOn(nodes: i32, apart: usize, r: usize, pulled: usize, step: usize, z: usize, keep: f32, share: f32): void {
  const k = f32x4.splat(keep), s = f32x4.splat(share)
  for (let n: usize = 0, end = <usize>nodes << 4; n < end; n += 16) {
    const left = sub(v128.load(r + n), v128.load(pulled + n))
    const value = add(mul(k, v128.load(step + n)), mul(mul(s, v128.load(apart + n)), left))
    v128.store(step + n, value)
    v128.store(z + n, add(v128.load(z + n), value))
  }
}

/** pulled = r − pulled where it can move, else 0. */
export function leftOver(nodes: i32, apart: usize, r: usize, pulled: usize): void {
  for (let n: usize = 0, end = <usize>nodes << 4; n < end; n += 16)
    v128.store(pulled + n, v128.and(sub(v128.load(r + n), v128.load(pulled + n)), f32x4.gt(v128.load(apart + n), ZERO)))
}

/** into = a + k × b. */
export function combine(nodes: i32, a: usize, b: usize, k: f32, into: usize): void {
  const s = f32x4.splat(k)
  for (let n: usize = 0, end = <usize>nodes << 4; n < end; n += 16)
    v128.store(into + n, add(v128.load(a + n), mul(s, v128.load(b + n))))
}

/** Sum of products where it can move, added up in double precision. */
export function sumOfProducts(nodes: i32, apart: usize, a: usize, b: usize): f64 {
  let low = f64x2.splat(0), high = f64x2.splat(0)
  for (let n: usize = 0, end = <usize>nodes << 4; n < end; n += 16) {
    const product = v128.and(mul(v128.load(a + n), v128.load(b + n)), f32x4.gt(v128.load(apart + n), ZERO))
    low = f64x2.add(low, f64x2.promote_low_f32x4(product))
    high = f64x2.add(high, f64x2.promote_low_f32x4(v128.shuffle<f32>(product, product, 2, 3, 2, 3)))
  }
  const all = f64x2.add(low, high)
  return f64x2.extract_lane(all, 0) + f64x2.extract_lane(all, 1)
}

/** Forces and moments on bodies that move rigidly, eight f32 each, from forces on their corners. */
export function gather(nodes: i32, body: usize, off: usize, force: usize, into: usize, bodies: i32): void {
  memory.fill(into, 0, <usize>bodies << 5)
  for (let n = 0; n < nodes; n++) {
    const at = <usize>n << 4, o = into + <usize>load<u32>(body + (<usize>n << 2))
    const x = load<f32>(off + at), y = load<f32>(off + at, 4), z = load<f32>(off + at, 8)
    const a = load<f32>(force + at), b = load<f32>(force + at, 4), c = load<f32>(force + at, 8)
    store<f32>(o, load<f32>(o) + a)
    store<f32>(o, load<f32>(o, 4) + b, 4)
    store<f32>(o, load<f32>(o, 8) + c, 8)
    store<f32>(o, load<f32>(o, 12) + y * c - z * b, 12)
    store<f32>(o, load<f32>(o, 16) + z * a - x * c, 16)
    store<f32>(o, load<f32>(o, 20) + x * b - y * a, 20)
  }
}

/** Corners go on by what their bodies move, so much larger; what cannot move stays. */
export function spread(nodes: i32, body: usize, off: usize, moves: usize, apart: usize, z: usize, over: f32): void {
  const s = f32x4.splat(over)
  for (let n = 0; n < nodes; n++) {
    const at = <usize>n << 4, o = moves + <usize>load<u32>(body + (<usize>n << 2))
    const x = load<f32>(off + at), y = load<f32>(off + at, 4), w = load<f32>(off + at, 8)
    const p = load<f32>(o, 12), q = load<f32>(o, 16), r = load<f32>(o, 20)
    const value = f32x4(load<f32>(o) + q * w - r * y, load<f32>(o, 4) + r * x - p * w, load<f32>(o, 8) + p * y - q * x, 0)
    const free = v128.and(mul(value, s), f32x4.gt(v128.load(apart + at), ZERO))
    v128.store(z + at, add(v128.load(z + at), free))
  }
}

// Bodies hold eight f32 each: shift, turn and two of nothing; blocks between them hold their six columns of eight.

// @ts-ignore: decorator
@inline
function firstOf(columns: usize, low: v128, high: v128): v128 {
  return add(
    add(
      mul(v128.load(columns), v128.shuffle<f32>(low, low, 0, 0, 0, 0)),
      mul(v128.load(columns, 32), v128.shuffle<f32>(low, low, 1, 1, 1, 1)),
    ),
    add(
      add(
        mul(v128.load(columns, 64), v128.shuffle<f32>(low, low, 2, 2, 2, 2)),
        mul(v128.load(columns, 96), v128.shuffle<f32>(low, low, 3, 3, 3, 3)),
      ),
      add(
        mul(v128.load(columns, 128), v128.shuffle<f32>(high, high, 0, 0, 0, 0)),
        mul(v128.load(columns, 160), v128.shuffle<f32>(high, high, 1, 1, 1, 1)),
      ),
    ),
  )
}

/** One pass over the bodies, each set so that its own forces balance; forwards, or backwards so that both are even. */
export function relax(bodies: i32, rows: usize, column: usize, block: usize, own: usize, right: usize, x: usize, back: i32): void {
  for (let step = 0; step < bodies; step++) {
    const n: usize = back ? bodies - 1 - step : step
    let low = v128.load(right + (n << 5)), high = v128.load(right + (n << 5), 16)
    const end = load<u32>(rows + (n << 2), 4)
    for (let at = load<u32>(rows + (n << 2)); at < end; at++) {
      const from = x + <usize>load<u32>(column + (<usize>at << 2)), columns = block + <usize>at * 192
      const a = v128.load(from), b = v128.load(from, 16)
      low = sub(low, firstOf(columns, a, b))
      high = sub(high, firstOf(columns + 16, a, b))
    }
    const to = x + (n << 5), inverse = own + n * 192
    v128.store(to, add(v128.load(to), firstOf(inverse, low, high)))
    v128.store(to, add(v128.load(to, 16), firstOf(inverse + 16, low, high)), 16)
  }
}

/** What is left of the forces on bodies as they move. */
export function bodiesLeft(bodies: i32, rows: usize, column: usize, block: usize, right: usize, x: usize, out: usize): void {
  for (let n: usize = 0; n < <usize>bodies; n++) {
    let low = v128.load(right + (n << 5)), high = v128.load(right + (n << 5), 16)
    const end = load<u32>(rows + (n << 2), 4)
    for (let at = load<u32>(rows + (n << 2)); at < end; at++) {
      const from = x + <usize>load<u32>(column + (<usize>at << 2)), columns = block + <usize>at * 192
      const a = v128.load(from), b = v128.load(from, 16)
      low = sub(low, firstOf(columns, a, b))
      high = sub(high, firstOf(columns + 16, a, b))
    }
    v128.store(out + (n << 5), low)
    v128.store(out + (n << 5), high, 16)
  }
}

/** Forces on bodies of bodies from forces on their parts; `lever` is where each part lies from its body, four f32. */
export function gatherBodies(bodies: i32, parent: usize, lever: usize, fine: usize, coarse: usize, next: i32): void {
  memory.fill(coarse, 0, <usize>next << 5)
  for (let n: usize = 0; n < <usize>bodies; n++) {
    const from = fine + (n << 5), o = coarse + <usize>load<u32>(parent + (n << 2)), off = lever + (n << 4)
    const x = load<f32>(off), y = load<f32>(off, 4), z = load<f32>(off, 8)
    const a = load<f32>(from), b = load<f32>(from, 4), c = load<f32>(from, 8)
    store<f32>(o, load<f32>(o) + a)
    store<f32>(o, load<f32>(o, 4) + b, 4)
    store<f32>(o, load<f32>(o, 8) + c, 8)
    store<f32>(o, load<f32>(o, 12) + load<f32>(from, 12) + y * c - z * b, 12)
    store<f32>(o, load<f32>(o, 16) + load<f32>(from, 16) + z * a - x * c, 16)
    store<f32>(o, load<f32>(o, 20) + load<f32>(from, 20) + x * b - y * a, 20)
  }
}

/** Parts go on by what their bodies move, so much larger. */
export function spreadBodies(bodies: i32, parent: usize, lever: usize, coarse: usize, fine: usize, over: f32): void {
  for (let n: usize = 0; n < <usize>bodies; n++) {
    const to = fine + (n << 5), o = coarse + <usize>load<u32>(parent + (n << 2)), off = lever + (n << 4)
    const x = load<f32>(off), y = load<f32>(off, 4), z = load<f32>(off, 8)
    const p = load<f32>(o, 12), q = load<f32>(o, 16), r = load<f32>(o, 20)
    store<f32>(to, load<f32>(to) + over * (load<f32>(o) + q * z - r * y))
    store<f32>(to, load<f32>(to, 4) + over * (load<f32>(o, 4) + r * x - p * z), 4)
    store<f32>(to, load<f32>(to, 8) + over * (load<f32>(o, 8) + p * y - q * x), 8)
    store<f32>(to, load<f32>(to, 12) + over * p, 12)
    store<f32>(to, load<f32>(to, 16) + over * q, 16)
    store<f32>(to, load<f32>(to, 20) + over * r, 20)
  }
}

export function clear(bodies: i32, x: usize): void { memory.fill(x, 0, <usize>bodies << 5) }

/** x = A⁻¹ x, A given by its Cholesky factor in double precision, row by row. */
export function solveFactored(size: i32, factor: usize, x: usize): void {
  for (let n = 0; n < size; n++) {
    const row = factor + (<usize>(n * size) << 3)
    let even = f64x2.splat(0), odd = f64x2.splat(0)
    let k = 0
    for (; k + 3 < n; k += 4) {
      const o = <usize>k << 3
      even = f64x2.add(even, f64x2.mul(v128.load(row + o), v128.load(x + o)))
      odd = f64x2.add(odd, f64x2.mul(v128.load(row + o, 16), v128.load(x + o, 16)))
    }
    even = f64x2.add(even, odd)
    let sum = f64x2.extract_lane(even, 0) + f64x2.extract_lane(even, 1)
    for (; k < n; k++) sum += load<f64>(row + (<usize>k << 3)) * load<f64>(x + (<usize>k << 3))
    const at = <usize>n << 3
    store<f64>(x + at, (load<f64>(x + at) - sum) / load<f64>(row + at))
  }
  // Along the rows again: down a column of a matrix this large every entry is another line of the cache.
  for (let n = size - 1; n >= 0; n--) {
    const row = factor + (<usize>(n * size) << 3), at = <usize>n << 3
    const value = load<f64>(x + at) / load<f64>(row + at)
    store<f64>(x + at, value)
    const both = f64x2.splat(value)
    let k = 0
    for (; k + 1 < n; k += 2) {
      const o = <usize>k << 3
      v128.store(x + o, f64x2.sub(v128.load(x + o), f64x2.mul(both, v128.load(row + o))))
    }
    for (; k < n; k++) {
      const o = <usize>k << 3
      store<f64>(x + o, load<f64>(x + o) - value * load<f64>(row + o))
    }
  }
}
