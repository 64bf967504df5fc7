import type { Triple } from '#core/solid/forms'

/** A mark as it is drawn on the part: where, what it is called, and how it is shown. */
export interface DrawnMark {
  id: string
  /** Its number on the drawing; none, it has nothing to say here. */
  number: number | null
  name: string
  path: Triple[]
  acrossMm: number | null
  /** A place being mended, something kept from harm or in place, or another. */
  role: 'mend' | 'guard' | 'plain'
  /** Metal is laid there already. */
  laid: boolean
}
