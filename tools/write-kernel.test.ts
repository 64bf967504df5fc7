import { readFileSync } from 'node:fs'
import asc from 'assemblyscript/asc'
import { expect, it } from 'vitest'
import { KERNEL_BASE64 as HEAT } from '../core/heat/field/kernel-bytes'
import { KERNEL_BASE64 as PUDDLE } from '../core/puddle/pool/kernel-bytes'
import { KERNEL_BASE64 as WARP } from '../core/warp/kernel-bytes'
import { KERNEL_OPTIONS } from '../core/kernel/options'

it.each([
  ['../core/heat/field/assembly/kernel.ts', HEAT],
  ['../core/puddle/pool/assembly/kernel.ts', PUDDLE],
  ['../core/warp/assembly/kernel.ts', WARP],
])('the kernel that ships is the one compiled from %s', async (source, shipped) => {
  const { error, binary } = await asc.compileString(
    readFileSync(new URL(source, import.meta.url), 'utf8'),
    KERNEL_OPTIONS,
  )
  expect(error).toBeNull()
  expect(Buffer.from(binary!).toString('base64')).toBe(shipped)
})
