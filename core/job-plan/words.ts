import { wordsFor } from '../mend/registry'
import { WARM_WHY } from '../warm/words'

/** What a whole job says of its warming and of what stands in the way, by code. */
export const WHOLE_WORDS: Readonly<Record<string, string>> = {
  'straight-first': 'Straight first: what is bent decides where the rest must come to.',
  'most-heat-first': 'Most heat first: the next is then laid on a warm part.',
  'true-places-after': 'After the others: their pull moves it.',
  'covers-after': 'After what lies under it: that is finished first.',
  'flush-first': 'Weld first the side that must end flush: the side of the root wants less dressing.',
  'cold-last': 'Cold work last.',
  ...WARM_WHY,
  'no-machine': 'There is no machine of that kind in the kit.',
  'does-not-melt-in':
    'No machine here melts in on this wall, even warmed as far as this torch and metal bear: a stronger one does, or a bigger torch.',
  'mains-too-small':
    'The mains here do not carry the current that this wall wants, even warmed: on a stronger supply the same machine does it.',
  'torch-too-small': 'The torch of that machine does not stand the current that this wall wants: a bigger one does.',
  'not-under-load':
    'This metal cracks as it is welded, or later under its load: it is not welded where it carries any. Bolt it, or make it new.',
  'made-to-break': 'It was made to break on purpose: ask its maker before it is made stronger.',
  'pressure-port': 'A port under pressure: ask what it holds, and write that down, before it is touched.',
  'hollow-bolt': 'A hollow bolt holds less than a solid one: tighten it by its own figure.',
  'nothing-reaches': 'Nothing in the kit does it.',
  'not-mended-so': 'This metal is not mended with an arc or a flame.',
  'not-fusion-welded': 'This metal is not fusion welded.',
  'process-never': 'What was picked to lay it is never the way on this wall, metal, dirt and load.',
  'filler-never': 'What was picked to fill it is never for this metal and service.',
  'kept-on-limit': 'What stays on the part does not stand the heat: take it off.',
  'too-many-passes': 'It would take over a thousand passes: take another way.',
  limit: 'It would have to wait for hours between passes.',
  'too-dear': 'It comes too near the price of a new one.',
  person: 'Somebody is hurt if it breaks: prove it with dye, and say what it may carry.',
  'under-pressure': 'It holds pressure at its work: prove it with water, never with air at that pressure.',
  odds: 'The odds are against it.',
  chance: 'By its chance.',
  'repeated-load': 'Repeated load: look at it again after a short run.',
  'along-weld': 'It runs along an old weld, whose soft edge is what breaks.',
  'ranked-first': 'First in rank of what is there.',
  'saves-minutes': 'A gun lays it in a small part of the time, and the metal is clean.',
  'school-magnesium-first': 'By your school: magnesium first.',
  'by-kind': 'As such a mend usually is.',
  'on-seat': 'It lies on a seat.',
  'no-torch': 'There is no torch in the kit to do it with.',
  'braze-refused': 'That rod is not for this metal.',
  'never-melts-rod': 'This flame never brings the place to where the rod flows.',
}

/** What a code says of a mend of a kind: the plan's own words, else its kind's. */
export const saidOf = (kind: string, code: string): string => WHOLE_WORDS[code] ?? wordsFor(kind, code)
