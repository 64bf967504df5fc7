import { box, fillet, type Section } from './shapes'

/** A sheet lapped over another with fillets at its edges. */
export function lapped(title: string, belowMm: number, patchMm: number, wideMm: number): Section {
  const leg = Math.min(belowMm, patchMm)
  const shown = Math.min(wideMm, 5 * (belowMm + patchMm))
  const beyond = shown * 0.3 + 2 * leg
  return {
    title,
    shapes: [
      box('metal', -shown / 2 - beyond, 0, shown + 2 * beyond, belowMm),
      box('other', -shown / 2, -patchMm, shown, patchMm),
      fillet(-shown / 2, 0, leg, -1),
      fillet(shown / 2, 0, leg, 1),
    ],
    sizes: [
      { from: [shown / 2, leg * 1.6 + belowMm], to: [shown / 2 + leg, leg * 1.6 + belowMm], mm: leg },
      { from: [shown / 2 + beyond + leg, 0], to: [shown / 2 + beyond + leg, belowMm], mm: belowMm },
    ],
  }
}
