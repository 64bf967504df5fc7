import { z } from 'zod'
import { fields as part } from '../../part/fields'
import { CAUSES, COATINGS, COMEBACKS, MUST_NOT_MOVE, PROTECT_NAMES } from '../words.table'
import { DOES, MINDS, MOVES, STAKES } from '../../part/words.table'
import { storedReading } from '../reading.schema'
import { idText, text } from '../text'
import { EARLIER_WORDS, SAFETY_WORDS } from '../../call/judge.table'
import { SOAK_WORDS } from '../../call/process.table'
import { amount, askedPick, flag, list, maybePick, money, pick, picks, reading, sameAs, when, words } from './declared'

/** What is taken for the wall where something must be drawn or judged before anyone has measured it, mm. */
export const ASSUMED_WALL_MM = 6
/** As long and wide as this, mm, where a set-up is begun on a part of no size yet. */
export const [ASSUMED_LONG_MM, ASSUMED_WIDE_MM] = [180, 120]

const NOT_SAID = { typed: '', value: null }

/** What is noted of the part as it comes in. */
export const takeIn = {
  does: askedPick(part.does.label, DOES, part.does.usual),
  moves: pick(part.moves.label, MOVES, part.moves.usual),
  soak: askedPick(part.soak.label, SOAK_WORDS, part.soak.usual),
  earlierRepair: pick(part.earlierRepair.label, EARLIER_WORDS, part.earlierRepair.usual),
  coating: pick('Coating on it', COATINGS, 'none'),
  finishAfter: pick('Finish afterwards', COATINGS, 'none'),
  saltWater: flag(part.saltWater.label, part.saltWater.usual),
  stakes: pick(part.stakes.label, STAKES, part.stakes.usual),
  minds: picks(part.minds.label, MINDS, 4),
  pressureMPa: sameAs(part.pressureMPa),
  keptOn: list(
    'Stays on the part',
    20,
    z.strictObject({ id: idText, name: text(60), limitC: storedReading.default(NOT_SAID) }),
    { knownBy: 'itself', order: 'as-put-in' },
    { limitC: reading('c', 'Stands', { min: -60, max: 500 }), name: words('What it is', 60) },
  ),
  safetyCritical: pick(part.safetyCritical.label, SAFETY_WORDS, part.safetyCritical.usual),
  cause: pick('Why it broke', CAUSES, 'unknown'),
  causeCure: words('What is done about that'),
  damage: words('The damage, as seen', 400, { long: true }),
  mustNotMove: picks('May not move', MUST_NOT_MOVE, 10),
  protect: picks('Keep from harm', PROTECT_NAMES, 20),
  hotC: sameAs(part.hotC, { usual: part.hotC.usual }),
  lengthMm: sameAs(part.lengthMm),
  widthMm: sameAs(part.widthMm),
  heightMm: sameAs(part.heightMm, { help: 'a flat plate: leave empty' }),
  wallMm: reading('mm', 'Wall at the damage', { above: 0, max: 2000 }),
  newPrice: amount('Price of a new one', money),
  newWeeks: amount('A new one takes', z.number().min(0).max(520), 'weeks'),
  /** When it is promised for. */
  dueAt: when('Promised for'),
  /** A part that came back: the job it was mended in first, and why it came back. */
  comebackOf: {
    kind: 'text' as const,
    label: 'Mended here before',
    schema: z.string().max(64).nullable().default(null),
    resolve: (held: string | null) => held,
  },
  comebackWhy: maybePick('Why it came back', COMEBACKS),
}
