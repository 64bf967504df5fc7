import type { StationId } from './stations.table'

/** What a station is for, what is put in, and what a good answer looks like: for who stands there first. */
export interface StationHelp {
  readonly purpose: string
  readonly put: string
  readonly good: string
}

export const STATION_HELP: Readonly<Record<StationId, StationHelp>> = {
  'take-in': {
    purpose: 'What came in, what it does, why it broke, and what may not come to harm.',
    put: 'A picture with the card beside the break, what is broken, the wall at the break, and the sizes over all.',
    good: 'A cause that is put right too, and a wall that was measured, not guessed.',
  },
  know: {
    purpose: 'Which metal it is, from what can be seen and tried on it.',
    put: 'What it was made from, how the break looks, the two weighings, the drop on a filed spot.',
    good: 'One family well before the next. If none is, do the test that is marked, or say what it is.',
  },
  call: {
    purpose: 'Whether to mend it, by which process and filler, and what that costs.',
    put: 'Your own choice where you know better; what is asked for next where a figure is unsure.',
    good: 'A chance that you would tell the customer to their face, and a price that stands well under a new part.',
  },
  open: {
    purpose: 'How to clean it and cut the damage open, so that sound metal is left all round.',
    put: 'The length after dye or grinding, the angle you cut, how far past the ends.',
    good: 'Bright metal all along, holes past both ends, nothing dark left in the root.',
  },
  warm: {
    purpose: 'How warm it must be, with what flame, for how long; or that it needs none.',
    put: 'The torch, the heat you want, a reading of your thermometer at a known minute.',
    good: 'Warm through at the place, and nothing near it hotter than it stands.',
  },
  weld: {
    purpose: 'What to set, pass by pass, what to watch, and how long to wait between.',
    put: 'What the puddle did, pass by pass, as it happens; the clock does the waiting.',
    good: 'A bright puddle that wets at once. Pepper, soot or a skin that will not break: stop and clean.',
  },
  rebuild: {
    purpose: 'Threads, bosses, bores and faces, back to size and true.',
    put: 'The thread, the boss, heights over the face, readings round a turn.',
    good: 'The drill, fit or cut by its figure, and the part cold before anything is measured.',
  },
  prove: {
    purpose: 'Showing that it holds, by checks that fit what it does.',
    put: 'Each check as passed or failed, with its reading; a reason for one that is left out.',
    good: 'Nothing left open, and no check passed that was not made.',
  },
  'hand-over': {
    purpose: 'The price, the minutes that it really took, the limits, and the record that goes with the part.',
    put: 'Minutes by phase, extras, what is not perfect, whom it went to.',
    good: 'A record that says enough for somebody else to mend it next time.',
  },
}
