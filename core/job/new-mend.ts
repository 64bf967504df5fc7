import type { StoredMend } from './mend.schema'

/** So many mends a part may be given. */
export const MOST_MENDS = 40

/** A mend just put on the part, with nothing said of it yet. */
export const newMend = (id: string, kind: StoredMend['kind']): StoredMend => ({
  id,
  kind,
  name: '',
  opened: false,
  order: 'alternate',
  lays: [],
  other: { alloy: '', wallMm: { typed: '', value: null } },
  readings: {},
  done: [],
})
