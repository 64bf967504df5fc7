import { readFileSync } from 'node:fs'
import type { FaceFiles } from './pdf-faces'

const file = (name: string) =>
  new Uint8Array(readFileSync(new URL(`../../node_modules/dejavu-fonts-ttf/ttf/${name}.ttf`, import.meta.url)))

/** The typeface that ships with the program. */
export const FACES: FaceFiles = { plain: file('DejaVuSansCondensed'), bold: file('DejaVuSansCondensed-Bold') }
