/** A point in a picture, px, x right and y down, the middle of the first pixel at 0.5, 0.5; or on a plane, mm. */
export type Point = readonly [x: number, y: number]
