import { readFileSync } from 'node:fs'
import asc from 'assemblyscript/asc'
import { expect, it } from 'vitest'
import { KERNEL_BASE64 } from './kernel-bytes'
import { KERNEL_OPTIONS } from './kernel-options'

it('the kernel that ships is the one compiled from its source', async () => {
  const { error, binary } = await asc.compileString(
    readFileSync(new URL('./assembly/kernel.ts', import.meta.url), 'utf8'),
    KERNEL_OPTIONS,
  )
  expect(error).toBeNull()
  expect(Buffer.from(binary!).toString('base64')).toBe(KERNEL_BASE64)
})
