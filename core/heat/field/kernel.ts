import { KERNEL_BASE64 } from './kernel-bytes'

type Pointer = number

/** What assembly/kernel.ts exports; pointers are byte offsets into its memory. */
export interface KernelExports {
  memory: WebAssembly.Memory
  conduct(x: number, y: number, z: number, inverseVolume: Pointer, faceX: Pointer, faceY: Pointer, faceZ: Pointer): void
  ghosts(segments: Pointer, count: number, field: Pointer): void
  stage(
    runs: Pointer,
    count: number,
    one: Pointer,
    two: Pointer,
    f: Pointer,
    g: Pointer,
    mu: number,
    nu: number,
    m: number,
    c: number,
  ): void
  rate(runs: Pointer, count: number, u: Pointer, g: Pointer, q: Pointer, f: Pointer): void
  judge(runs: Pointer, count: number, v: Pointer, g: Pointer, q: Pointer, f: Pointer, d: Pointer, dt: number): number
  combine(slots: number, a: Pointer, b: Pointer, k: number, sum: Pointer): void
  losses(slots: number, u: Pointer, skin: Pointer, c0: number, c1: number, c2: number, c3: number, g: Pointer): void
  greatest(slots: number, field: Pointer): number
  sumOfProducts(slots: number, a: Pointer, b: Pointer): number
}

let compiled: WebAssembly.Module | undefined

/** A fresh instance with a memory of its own, of at least `bytes`; freed with the instance. */
export function startKernel(bytes: number): KernelExports {
  compiled ??= new WebAssembly.Module(Uint8Array.from(atob(KERNEL_BASE64), letter => letter.charCodeAt(0)))
  const kernel = new WebAssembly.Instance(compiled).exports as unknown as KernelExports
  const pages = Math.ceil(bytes / 65536) - kernel.memory.buffer.byteLength / 65536
  if (pages > 0) kernel.memory.grow(pages)
  return kernel
}
