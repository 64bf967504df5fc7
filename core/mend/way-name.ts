import { kindOf, type KindId } from './registry'

/** What a way of mending is called: by the words of its kind's own field. */
export const wayName = (kind: KindId, way: string): string =>
  kindOf(kind).fields.way?.words?.[way] ?? kindOf(kind).fields.how?.words?.[way] ?? kindOf(kind).words[way] ?? way
