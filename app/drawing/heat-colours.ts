/** From bare metal over warm brass and chestnut to soot: lightness falls all the way, so that it reads in grey too. */
const STOPS = [
  [0, 0xe4, 0xe8, 0xea],
  [0.2, 0xea, 0xd9, 0xb8],
  [0.45, 0xd6, 0x9b, 0x63],
  [0.7, 0x9c, 0x4a, 0x2c],
  [1, 0x3a, 0x17, 0x14],
] as const
/** How much darker faces to each side are drawn: left, right, front, back, bottom, top. */
const SHADE = [0.84, 0.88, 0.92, 0.86, 0.78, 1] as const

/** Where a temperature stands on a scale, 0 … 1. */
export const shareOfScale = (c: number, { lowC, highC }: { lowC: number; highC: number }) =>
  Math.min(1, Math.max(0, (c - lowC) / Math.max(1, highC - lowC)))

/** Colour at a share 0 … 1 of the scale, as red, green and blue 0 … 1. */
export function heatColour(share: number): [number, number, number] {
  const at = Math.min(1, Math.max(0, share))
  const next = Math.max(
    1,
    STOPS.findIndex(stop => stop[0] >= at),
  )
  const [a, b] = [STOPS[next - 1]!, STOPS[next]!]
  const x = (at - a[0]) / (b[0] - a[0])
  return [1, 2, 3].map(channel => (a[channel]! + (b[channel]! - a[channel]!) * x) / 255) as [number, number, number]
}

export const heatCss = (share: number) =>
  `rgb(${heatColour(share)
    .map(channel => Math.round(channel * 255))
    .join(' ')})`

/** Colours of a surface's corners in linear light, four a face, from a frame in tenths of a degree. */
export function paint(
  slots: Int32Array,
  sides: Uint8Array,
  frame: Int16Array | null,
  lowC: number,
  highC: number,
): Float32Array {
  const colours = new Float32Array(slots.length * 12)
  const table = Array.from({ length: 257 }, (_, n) => heatColour(n / 256).map(channel => channel ** 2.2))
  for (let face = 0; face < slots.length; face++) {
    const share = frame ? shareOfScale(frame[slots[face]!]! / 10, { lowC, highC }) : 0
    const colour = table[Math.round(share * 256)]!
    const shade = SHADE[sides[face]!]! ** 2.2
    for (let corner = 0; corner < 4; corner++)
      for (let channel = 0; channel < 3; channel++) colours[face * 12 + corner * 3 + channel] = colour[channel]! * shade
  }
  return colours
}
