import { box, fillet, type Section } from './shapes'

/** A sheet lapped over another, or one over each of its faces, with fillets at its edges. */
export function lapped(title: string, belowMm: number, patchMm: number, wideMm: number, sides: 1 | 2 = 1): Section {
  const leg = Math.min(belowMm, patchMm)
  const shown = Math.min(wideMm, 5 * (belowMm + patchMm))
  const beyond = shown * 0.3 + 2 * leg
  const under = belowMm + (sides === 2 ? patchMm : 0) + leg * 1.6
  return {
    title,
    shapes: [
      box('metal', -shown / 2 - beyond, 0, shown + 2 * beyond, belowMm),
      box('other', -shown / 2, -patchMm, shown, patchMm),
      fillet(-shown / 2, 0, leg, -1),
      fillet(shown / 2, 0, leg, 1),
      ...(sides === 2
        ? [
            box('other', -shown / 2, belowMm, shown, patchMm),
            fillet(-shown / 2, belowMm, leg, -1, -1),
            fillet(shown / 2, belowMm, leg, 1, -1),
          ]
        : []),
    ],
    sizes: [
      { from: [shown / 2, under], to: [shown / 2 + leg, under], mm: leg },
      { from: [shown / 2 + beyond + leg, 0], to: [shown / 2 + beyond + leg, belowMm], mm: belowMm },
    ],
  }
}
