import { startModule } from '../../kernel/start'
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

/** A fresh instance with a memory of its own, of at least `bytes`; freed with the instance. */
export const startKernel = (bytes: number): KernelExports => startModule<KernelExports>(KERNEL_BASE64, bytes)
