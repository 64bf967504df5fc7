/**
 * Tap drills of taper pipe threads, before tapping without a reamer: size, hole in mm, what is on the drill.
 * Sources: NPT and NPTF, the tap drills that go with ASME B1.20.1 (and B1.20.3), from memory; R, those that go with ISO
 * 7-1, from memory.
 */
export const TAPER_DRILLS: Readonly<
  Record<'NPT' | 'R', Readonly<Record<string, readonly [mm: number, name: string]>>>
> = {
  NPT: {
    '1/16': [6.147, 'letter C'],
    '1/8': [8.433, 'letter Q'],
    '1/4': [11.1125, '7/16 in'],
    '3/8': [14.2875, '9/16 in'],
    '1/2': [17.8594, '45/64 in'],
    '3/4': [23.0188, '29/32 in'],
    '1': [28.9719, '1 9/64 in'],
    '1-1/4': [37.7031, '1 31/64 in'],
    '1-1/2': [43.6563, '1 23/32 in'],
    '2': [55.5625, '2 3/16 in'],
  },
  R: {
    '1/16': [6.4, '6.4 mm'],
    '1/8': [8.4, '8.4 mm'],
    '1/4': [11.2, '11.2 mm'],
    '3/8': [14.75, '14.75 mm'],
    '1/2': [18.25, '18.25 mm'],
    '3/4': [23.75, '23.75 mm'],
    '1': [30, '30 mm'],
    '1-1/4': [38.5, '38.5 mm'],
    '1-1/2': [44.5, '44.5 mm'],
    '2': [56, '56 mm'],
  },
}
