/** Ways a part is looked at and pointed at. */
export const FACES = {
  top: 'from above',
  bottom: 'from below',
  front: 'from the front',
  back: 'from behind',
  left: 'from the left',
  right: 'from the right',
} as const
export type Face = keyof typeof FACES

/** The axis a face lies across. */
export const FACE_AXIS: Record<Face, 0 | 1 | 2> = { top: 2, bottom: 2, front: 1, back: 1, left: 0, right: 0 }
/** Which way along that axis the metal lies under it. */
export const INWARD: Record<Face, 1 | -1> = { top: -1, bottom: 1, front: 1, back: -1, left: 1, right: -1 }
export const OPPOSITE: Record<Face, Face> = {
  top: 'bottom',
  bottom: 'top',
  front: 'back',
  back: 'front',
  left: 'right',
  right: 'left',
}
