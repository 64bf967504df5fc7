import { readFileSync, writeFileSync } from 'node:fs'
import asc from 'assemblyscript/asc'
import { KERNEL_OPTIONS } from '../core/heat/field/kernel-options'

// Compiles the heat field's arithmetic and writes it as a module that needs no file at run time.
const field = new URL('../core/heat/field/', import.meta.url)
const { error, binary, stderr } = await asc.compileString(
  readFileSync(new URL('assembly/kernel.ts', field), 'utf8'),
  KERNEL_OPTIONS,
)
if (error || !binary) throw new Error(stderr.toString() || String(error))
writeFileSync(
  new URL('kernel-bytes.ts', field),
  `/** Compiled from assembly/kernel.ts by \`npm run kernel\`; not written by hand. */\nexport const KERNEL_BASE64 = '${Buffer.from(binary).toString('base64')}'\n`,
)
