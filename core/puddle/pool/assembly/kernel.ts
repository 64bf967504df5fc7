// Double-precision SIMD arithmetic of the puddle's plate, in AssemblyScript; its plain twin is ../plain.ts. Every sum is taken in
// the twin's own order, so that both give the same run to the last bit. A cell without metal has 0 in `metal`, any other all ones.

// @ts-ignore: decorator
@inline
function mul(a: v128, b: v128): v128 { return f64x2.mul(a, b) }

// @ts-ignore: decorator
@inline
function add(a: v128, b: v128): v128 { return f64x2.add(a, b) }

// A neighbour's temperature, or one's own where it holds no metal.
// @ts-ignore: decorator
@inline
function beside(T: usize, metal: usize, off: isize, own: v128): v128 {
  return v128.bitselect(v128.load(T + off), own, v128.load(metal + off))
}

// @ts-ignore: decorator
@inline
function besideOne(T: usize, metal: usize, off: isize, own: f64): f64 {
  return load<i64>(metal + off) ? load<f64>(T + off) : own
}

/** Heat that every cell gains by conduction. */
export function conduct(T: usize, metal: usize, gained: usize, nx: i32, ny: i32, nz: i32, gx: f64, gy: f64, gz: f64): void {
  const row: isize = <isize>nx << 3
  const layer: isize = row * ny
  const out: f64 = 2 * (gx + gy + gz)
  const GX = f64x2.splat(gx), GY = f64x2.splat(gy), GZ = f64x2.splat(gz), OUT = f64x2.splat(out)
  for (let k = 0; k < nz; k++) {
    const below: isize = k > 0 ? -layer : 0
    const above: isize = k + 1 < nz ? layer : 0
    for (let j = 0; j < ny; j++) {
      const front: isize = j > 0 ? -row : 0
      const back: isize = j + 1 < ny ? row : 0
      let i = 0
      while (i < nx) {
        if (i > 0 && i + 2 < nx) {
          const own = v128.load(T)
          const sum = f64x2.sub(
            add(
              add(
                mul(GX, add(beside(T, metal, -8, own), beside(T, metal, 8, own))),
                mul(GY, add(beside(T, metal, front, own), beside(T, metal, back, own))),
              ),
              mul(GZ, add(beside(T, metal, below, own), beside(T, metal, above, own))),
            ),
            mul(OUT, own),
          )
          v128.store(gained, v128.and(sum, v128.load(metal)))
          T += 16
          metal += 16
          gained += 16
          i += 2
          continue
        }
        const own = load<f64>(T)
        const left = i > 0 ? besideOne(T, metal, -8, own) : own
        const right = i + 1 < nx ? besideOne(T, metal, 8, own) : own
        const sum =
          gx * (left + right) +
          gy * (besideOne(T, metal, front, own) + besideOne(T, metal, back, own)) +
          gz * (besideOne(T, metal, below, own) + besideOne(T, metal, above, own)) -
          out * own
        store<f64>(gained, load<i64>(metal) ? sum : 0)
        T += 8
        metal += 8
        gained += 8
        i += 1
      }
    }
  }
}

/**
 * Takes up what was gained where a cell stays solid, and lists the others for the caller; returns how many those are.
 * A cell stays solid that was not past half molten and is not past where it begins to melt.
 */
export function warm(
  h: usize,
  gained: usize,
  T: usize,
  metal: usize,
  count: i32,
  begins: f64,
  half: f64,
  zeroC: f64,
  perJ: f64,
  listed: usize,
): i32 {
  const BEGINS = f64x2.splat(begins), HALF = f64x2.splat(half), ZERO = f64x2.splat(zeroC), PER = f64x2.splat(perJ)
  const from = listed
  let n = 0
  for (; n + 1 < count; n += 2, h += 16, gained += 16, T += 16, metal += 16) {
    const before = v128.load(h)
    const after = add(before, v128.load(gained))
    const solid = v128.and(f64x2.le(after, BEGINS), f64x2.le(before, HALF))
    const is = v128.load(metal)
    if (v128.any_true(v128.andnot(is, solid))) {
      for (let m = 0; m < 2; m++) {
        if (!load<i64>(metal + (<usize>m << 3))) continue
        const was = load<f64>(h + (<usize>m << 3))
        const now = was + load<f64>(gained + (<usize>m << 3))
        if (now <= begins && was <= half) {
          store<f64>(h + (<usize>m << 3), now)
          store<f64>(T + (<usize>m << 3), zeroC + now * perJ)
        } else {
          store<i32>(listed, n + m)
          listed += 4
        }
      }
      continue
    }
    v128.store(h, after)
    v128.store(T, v128.bitselect(add(ZERO, mul(after, PER)), v128.load(T), is))
  }
  if (n < count && load<i64>(metal)) {
    const was = load<f64>(h)
    const now = was + load<f64>(gained)
    if (now <= begins && was <= half) {
      store<f64>(h, now)
      store<f64>(T, zeroC + now * perJ)
    } else {
      store<i32>(listed, n)
      listed += 4
    }
  }
  return <i32>((listed - from) >> 2)
}
