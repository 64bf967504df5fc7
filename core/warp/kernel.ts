import { startModule } from '../kernel/start'
import { KERNEL_BASE64 } from './kernel-bytes'

type Pointer = number

/** What assembly/kernel.ts exports; pointers are byte offsets into its memory. */
export interface KernelExports {
  memory: WebAssembly.Memory
  pull(cells: number, corner: Pointer, blocks: Pointer, u: Pointer, force: Pointer, nodes: number): void
  begin(nodes: number, apart: Pointer, r: Pointer, step: Pointer, z: Pointer, share: number): void
  goOn(
    nodes: number,
    apart: Pointer,
    r: Pointer,
    pulled: Pointer,
    step: Pointer,
    z: Pointer,
    keep: number,
    share: number,
  ): void
  leftOver(nodes: number, apart: Pointer, r: Pointer, pulled: Pointer): void
  combine(nodes: number, a: Pointer, b: Pointer, k: number, into: Pointer): void
  sumOfProducts(nodes: number, apart: Pointer, a: Pointer, b: Pointer): number
  gather(nodes: number, body: Pointer, off: Pointer, force: Pointer, into: Pointer, bodies: number): void
  solveFactored(size: number, factor: Pointer, x: Pointer): void
  clear(bodies: number, x: Pointer): void
  relax(
    bodies: number,
    rows: Pointer,
    column: Pointer,
    block: Pointer,
    own: Pointer,
    right: Pointer,
    x: Pointer,
    back: 0 | 1,
  ): void
  bodiesLeft(
    bodies: number,
    rows: Pointer,
    column: Pointer,
    block: Pointer,
    right: Pointer,
    x: Pointer,
    out: Pointer,
  ): void
  gatherBodies(bodies: number, parent: Pointer, lever: Pointer, fine: Pointer, coarse: Pointer, next: number): void
  spreadBodies(bodies: number, parent: Pointer, lever: Pointer, coarse: Pointer, fine: Pointer, over: number): void
  spread(nodes: number, body: Pointer, off: Pointer, moves: Pointer, apart: Pointer, z: Pointer, over: number): void
}

/** A fresh instance with a memory of its own, of at least `bytes`; freed with the instance. */
export const startKernel = (bytes: number): KernelExports => startModule<KernelExports>(KERNEL_BASE64, bytes)
