import { z } from 'zod'
import { DRESSING_WORDS } from '../../face/finish.table'
import { SEALS } from '../../flat/sealing.table'
import { fields as face } from '../../mend/face/fields'
import { idText } from '../text'
import { flag, group, list, pick, reading, sameAs, schemaOf } from './declared'
import { namesOf } from '../../field/names-of'

const placeMm = z.number().min(-1e5).max(1e5)
const holeAt = { xMm: reading('mm', 'x'), yMm: reading('mm', 'y') }
const facePoint = { z: reading('mm', 'Height there') }

/** What is given back at the machine beside the mends: faces and holes. */
export const rebuild = {
  dressed: flag('Dressed to size', false),
  holes: list(
    'Holes measured',
    60,
    z.strictObject({ id: idText, ...schemaOf(holeAt).shape }),
    { knownBy: 'itself', order: 'as-put-in' },
    holeAt,
  ),
  holePlaces: {
    kind: 'count' as const,
    label: 'Places on the circle',
    schema: z.number().int().min(3).max(120).nullable().default(null),
    resolve: (held: number | null) => held,
  },
  face: group('The sealing face', {
    points: list(
      'Heights measured on it',
      2000,
      z.strictObject({ xMm: placeMm, yMm: placeMm, ...schemaOf(facePoint).shape }),
      { knownBy: 'itself', order: 'as-put-in' },
      facePoint,
    ),
    wideMm: sameAs(face.wideMm, { label: 'Face, wide' }),
    longMm: sameAs(face.longMm, { label: 'Face, long' }),
    thickMm: reading('mm', 'Flange thick', { above: 0, max: 1000, help: 'for what bolting it locks in' }),
    toMm: reading('mm', 'Lap to within', { usual: 0.05, min: 0, max: 10 }),
    seal: pick('What seals it', namesOf(SEALS), 'fibre'),
    school: pick('A flange that rocks', { flatten: 'flatten it free', bolt: 'bolt it flat' }, 'flatten'),
  }),
  dressing: pick('It must end', DRESSING_WORDS, 'flush'),
}
