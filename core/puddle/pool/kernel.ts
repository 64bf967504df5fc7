import { startModule } from '../../kernel/start'
import type { Cells, Fields } from './conduct'
import { KERNEL_BASE64 } from './kernel-bytes'

type Pointer = number

/** What assembly/kernel.ts exports; pointers are byte offsets into its memory. */
interface KernelExports {
  memory: WebAssembly.Memory
  conduct(
    T: Pointer,
    metal: Pointer,
    gained: Pointer,
    nx: number,
    ny: number,
    nz: number,
    gx: number,
    gy: number,
    gz: number,
  ): void
  warm(
    h: Pointer,
    gained: Pointer,
    T: Pointer,
    metal: Pointer,
    count: number,
    begins: number,
    half: number,
    zeroC: number,
    perJ: number,
    listed: Pointer,
  ): number
}

/** The kernel's own constants lie below this, bytes. */
const FREE_FROM = 1024

/** The fields of a plate in the kernel's memory, two cells at a time. @throws where there are no vectors */
export function kernelFields({ nx, ny, nz }: Cells): Fields {
  const count = nx * ny * nz
  const bytes = 8 * count
  const at = [0, 1, 2, 3, 4].map(n => FREE_FROM + n * bytes) as [number, number, number, number, number]
  const [h, T, gained, metal, listed] = at
  const kernel = startModule<KernelExports>(KERNEL_BASE64, listed + 4 * count)
  const { buffer } = kernel.memory
  const doubles = (from: Pointer) => new Float64Array(buffer, from, count)
  const isMetal = new Int32Array(buffer, metal, 2 * count)
  const list = new Int32Array(buffer, listed, count)
  const present = new Uint8Array(count)
  return {
    enthalpy: doubles(h),
    temperature: doubles(T),
    gained: doubles(gained),
    present,
    setMetal: (cell, isThere) => {
      present[cell] = isThere ? 1 : 0
      isMetal.fill(isThere ? -1 : 0, 2 * cell, 2 * cell + 2)
    },
    conduct: ([gx, gy, gz]) => kernel.conduct(T, metal, gained, nx, ny, nz, gx, gy, gz),
    warm: ({ beginsJ, halfJ, zeroC, perSolidJ }) =>
      list.subarray(0, kernel.warm(h, gained, T, metal, count, beginsJ, halfJ, zeroC, perSolidJ, listed)),
  }
}
