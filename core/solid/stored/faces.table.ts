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
