/** What this mend says, by code. */
export const words = {
  'bevel-joint': 'Bevel both edges, leaving a straight land of a millimetre or two.',
  square: 'butted square',
  'fit-joint': 'Fit the two, clamp and tack them; hold the arc on the thicker and flow the thinner in.',
  'no-groove': 'There is no wall to join.',
} as const
