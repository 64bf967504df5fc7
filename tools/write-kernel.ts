import { readFileSync, writeFileSync } from 'node:fs'
import asc from 'assemblyscript/asc'
import { KERNEL_OPTIONS } from '../core/kernel/options'

/** Compiles a room's arithmetic and writes it as a module that needs no file at run time. */
for (const room of ['../core/heat/field/', '../core/puddle/pool/', '../core/warp/']) {
  const at = new URL(room, import.meta.url)
  const source = readFileSync(new URL('assembly/kernel.ts', at), 'utf8')
  const { error, binary, stderr } = await asc.compileString(source, KERNEL_OPTIONS)
  if (error || !binary) throw new Error(stderr.toString() || String(error))
  writeFileSync(
    new URL('kernel-bytes.ts', at),
    `/** Compiled from assembly/kernel.ts by \`npm run kernel\`; not written by hand. */\nexport const KERNEL_BASE64 =\n  '${Buffer.from(binary).toString('base64')}'\n`,
  )
}
