import bold from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf?url'
import plain from 'dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf?url'
import type { FaceFiles } from '#core/quantity/pdf-faces'

const bytes = async (url: string) => {
  const answer = await fetch(url)
  if (!answer.ok) throw new Error('the typeface for the PDF could not be fetched')
  return new Uint8Array(await answer.arrayBuffer())
}

/** The typeface that goes into every PDF; it ships with the program. */
export async function pdfFaces(): Promise<FaceFiles> {
  const [plainBytes, boldBytes] = await Promise.all([bytes(plain), bytes(bold)])
  return { plain: plainBytes, bold: boldBytes }
}
