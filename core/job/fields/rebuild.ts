import { z } from 'zod'
import { DRESSING_WORDS } from '../../face/finish.table'
import { COLD } from '../../fit/cold.table'
import { USUAL_CHAMFER_MM, USUAL_FACED_MM } from '../../fit/weld-groove'
import { SEALS } from '../../flat/sealing.table'
import { fields as bent } from '../../mend/bent/fields'
import { fields as face } from '../../mend/face/fields'
import { fields as thread } from '../../mend/thread/fields'
import { BOSS_WORDS } from '../../thread/methods.table'
import { idText } from '../text'
import { done, flag, group, list, maybePick, pick, reading, sameAs, schemaOf, words } from './declared'
import { namesOf } from './names-of'

const placeMm = z.number().min(-1e5).max(1e5)
const holeAt = { xMm: reading('mm', 'x'), yMm: reading('mm', 'y') }
const facePoint = { z: reading('mm', 'Height there') }

/** What is given back at the machine: faces, a thread, holes, a bend. */
export const rebuild = {
  machined: flag('Afterwards', true),
  /** Over-built before machining by about 1.5 mm (1/16 in): common practice, no source. */
  proudMm: reading('mm', 'Built proud by', { usual: 1.5, min: 0, max: 100, help: 'about 1.5 mm, 1/16 in' }),
  faceWidthMm: reading('mm', 'Width of the face', { above: 0, max: 5000, help: "empty: the groove's own width" }),
  dressed: flag('Dressed to size', false),
  /** A stripped thread, as people write it; empty where there is none. */
  thread: words('Stripped thread, such as M8 or 3/8-16 UNC', 40),
  threadDeepMm: sameAs(thread.deepMm, { label: 'Thread deep' }),
  bossMm: sameAs(thread.bossMm, { help: undefined }),
  torqueNm: sameAs(thread.torqueNm, { help: 'empty: as usual for the bolt' }),
  beneathMm: sameAs(thread.beneathMm),
  way: maybePick('The way taken; empty: the best', BOSS_WORDS),
  /** The slug: empty readings are worked out. */
  slugAlloy: words('Slug of', 40, { usual: '6061' }),
  slugMm: reading('mm', 'Bore for it', { above: 0, max: 1000, help: 'empty: worked out' }),
  interferenceMm: reading('mm', 'Interference', { min: 0, max: 10, help: 'empty: by wall and alloy' }),
  clearanceMm: reading('mm', 'Loose by, going in', { usual: 0.02, min: 0, max: 10 }),
  cold: pick('The slug is cooled in', namesOf(COLD), 'freezer'),
  hubC: reading('c', 'Body heated to', { min: -100, max: 500, help: 'empty: as it must be' }),
  chamferMm: reading('mm', 'Chamfers', { usual: USUAL_CHAMFER_MM, min: 0, max: 100 }),
  facedMm: reading('mm', 'Faced off after', { usual: USUAL_FACED_MM, min: 0, max: 100 }),
  listDone: done('Done at the machine'),
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
  bentMm: sameAs(bent.bentMm, { label: 'Bent out by', help: 'a flange or rim to press back' }),
  bentOverMm: sameAs(bent.overMm),
  dressing: pick('It must end', DRESSING_WORDS, 'flush'),
}
