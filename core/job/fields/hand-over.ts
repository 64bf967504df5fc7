import { z } from 'zod'
import { LANGUAGES } from '../../words/languages.table'
import { idText, name } from '../text'
import { amount, count, list, map, maybePick, money, when, words } from './declared'
import { namesOf } from '../../field/names-of'

/** What it came to, and how it left. */
export const handOver = {
  other: list('Charged beside', 60, z.strictObject({ id: idText, name: name(80), price: money }), {
    knownBy: 'itself',
    order: 'as-put-in',
  }),
  actualMin: map('Minutes taken', z.number().min(0).max(1e5), true),
  /** What was really used up; null where nobody counted. */
  usedRods: amount('Rods used', z.number().min(0).max(1e5), 'rods'),
  usedGasL: amount('Gas used', z.number().min(0).max(1e7), 'L'),
  /** How many parts alike are mended together. */
  alike: count('Parts alike, mended together', 1, 1000, 1),
  notPerfect: words('What is not perfect', 1000, { long: true }),
  limits: words('Limits on use', 1000, { long: true }),
  handedTo: words('Handed to', 120),
  handedAt: when('Handed over'),
  /** The customer's own language, for the record; null, as the bench reads. */
  recordLanguage: maybePick('Language of the record', namesOf(LANGUAGES), {
    help: 'Empty: as this bench reads. Your own words stay as written.',
  }),
}
