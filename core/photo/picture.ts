/** A picture as its pixels: red, green, blue and cover of each, row by row from the top left. */
export interface Picture {
  readonly wide: number
  readonly high: number
  readonly rgba: Uint8ClampedArray
}
