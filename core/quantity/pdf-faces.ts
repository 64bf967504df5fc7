import fontkit from '@pdf-lib/fontkit'
import type { PDFDocument, PDFFont } from 'pdf-lib'

/** The files of a shipped typeface, plain and bold. */
export interface FaceFiles {
  readonly plain: Uint8Array
  readonly bold: Uint8Array
}
export interface Faces {
  readonly plain: PDFFont
  readonly bold: PDFFont
  /** Text as these faces draw it: in one line, a letter that they lack as a box. */
  readonly drawn: (text: string) => string
  /** Letters that it was asked for so far and lacks, each once. */
  readonly lacked: () => string[]
}

/** Scripts that run from left to right, a letter at a time; others are put together by a page alone. */
const LAID_OUT = /^[\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}\p{Script=Common}\p{Script=Inherited}]$/u
const LACKING = '□'
const inOneLine = (text: string) => text.normalize('NFC').replace(/[\s\p{Cc}\p{Cf}]+/gu, ' ')

/** Puts the letters of a shipped typeface that a document uses into it, so that every reader draws them. */
export async function embedFaces(document: PDFDocument, files: FaceFiles): Promise<Faces> {
  document.registerFontkit(fontkit)
  const [plain, bold] = [
    await document.embedFont(files.plain, { subset: true }),
    await document.embedFont(files.bold, { subset: true }),
  ]
  const letters = new Set(plain.getCharacterSet())
  const lacked = new Set<string>()
  const drawn = (letter: string) => {
    if (LAID_OUT.test(letter) && letters.has(letter.codePointAt(0)!)) return letter
    lacked.add(letter)
    return LACKING
  }
  return { plain, bold, drawn: text => Array.from(inOneLine(text), drawn).join(''), lacked: () => [...lacked] }
}
