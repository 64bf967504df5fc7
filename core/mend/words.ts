/** Sentences that several kinds of mend share, by code. */
export const SHARED_WORDS: Readonly<Record<string, string>> = {
  uncoat: 'Take the coating off for 12 mm each side.',
  'buy-piece': 'Get the bought piece ready to hand.',
  wipe: 'Wipe it, 25 mm each side and the rods, with acetone or isopropyl; let it dry.',
  bare: 'Bare bright metal for 12 mm each side with a stainless brush kept for aluminium.',
  'dress-rough': 'Knock the high spots off; weld left proud is the best metal.',
  'dress-blend': 'Blend it: flap disc almost down, 80 grit to touch, a knotted wheel pressed hard for a cast skin.',
  'dress-seat': 'Dress the seat by hand to size, with blue and a straightedge; leave the rest proud.',
  'face-cuts': 'Face it in light cuts, the last a quarter of a millimetre.',
  'drill-tap': 'Drill under, open with an end mill, tap slowly in line, chamfer the first thread.',
  'copper-behind': 'Hold copper behind it, and under its edges: thin metal then neither drops nor burns away.',
  locate: 'Set the piece by its break, clamp it, tack it hot at both ends.',
  'back-grind': 'Grind the far side back to sound weld, and look for what is left before filling it.',
  'thin-wall': 'a thin wall',
  'heavy-wall': 'a heavy wall',
  'lap-face': 'Lap it on abrasive over a true plate until the marks reach every edge.',
  skim: 'Skim it: as little as brings it true.',
  'machine-down': 'Machine it down to below the damage; mind what that takes of its height.',
  'nothing-low': 'Where metal is laid, it wants how much is missing.',
  'nothing-welded': 'All of it is left unwelded.',
  'two-metals': 'two metals in one joint',
}

/** Where a crack or a break begins and ends. */
export const WHERE_IT_ENDS = { tip: 'at a tip in sound metal', hole: 'in a hole', edge: 'at an edge' } as const
