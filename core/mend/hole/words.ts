/** What this mend says, by code. */
export const words = {
  'open-hole': 'Clean the hole to bright metal and round its far edge.',
  'drill-plating': 'Drill the plating out one size and chamfer it; grinding smears it in.',
  cone: 'Open it to a cone from the side it is filled from; run right round the base before closing in.',
  root: 'Run right round the base first, then close in',
  'true-hole': 'True the hole round.',
  'cut-disc': 'Cut a disc of the same alloy and wall to a saw cut of gap.',
  'bevel-disc': 'Bevel both all round.',
  'tack-disc': 'Tack the disc opposite and turn about; it must stand flush.',
  'no-groove': 'There is no wall to bevel.',
} as const
