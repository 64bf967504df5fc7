import type { PhotoMeasure } from '#core/photo/measure'
import type { Picture } from '#core/job/picture.schema'
import { knownOf } from '#core/station/take-in/pictures'
import { coreWorker } from '~/composables/core-worker'

/** Points of a scaled picture on the part, mm. @throws Error that says what the picture still wants */
export async function onPart(
  picture: Picture,
  px: readonly (readonly [number, number])[],
  what: string,
): Promise<[number, number][]> {
  const known = knownOf(picture)
  if ('wants' in known) throw new Error(`${picture.name || 'a picture'} wants ${known.wants}`)
  if (px.length < 2) throw new Error(`${picture.name || 'a picture'} wants ${what}`)
  const asked = await coreWorker().ask('photo.measure', { known: known.known, trace: px })
  if (!asked.ok) throw new Error(asked.error.kind === 'no-answer' ? asked.error.reason : 'not understood')
  return (asked.answer as PhotoMeasure).pointsMm
}
