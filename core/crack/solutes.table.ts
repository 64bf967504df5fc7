/**
 * Solutes that shape freezing.
 * Columns: liquidus slope m in K per wt %; partition coefficient k; back-diffusion parameter α (Brody–Flemings).
 * Source of m and k: Easton and StJohn, Metall. Mater. Trans. A 30 (1999) 1613, table of growth-restriction data,
 * recalled from memory; zinc and silver from the binary diagrams (ASM Handbook vol. 3), recalled from memory.
 * α is judgement for a weld's dendrites (D·t/λ² of order a tenth for all of them).
 */
export interface Solute {
  readonly m: number
  readonly k: number
  readonly alpha: number
}

export const SOLUTES: Readonly<Record<string, Solute>> = {
  Si: { m: -6.6, k: 0.11, alpha: 0.12 },
  Cu: { m: -3.4, k: 0.17, alpha: 0.12 },
  Mg: { m: -6.2, k: 0.51, alpha: 0.12 },
  Zn: { m: -1.65, k: 0.43, alpha: 0.12 },
  Mn: { m: -1.6, k: 0.94, alpha: 0.05 },
  Ag: { m: -2.9, k: 0.35, alpha: 0.12 },
}

export const SOLUTE_NAMES = Object.keys(SOLUTES)

/** Melting point of aluminium, °C (ITS-90 fixed point). */
export const PURE_MELTING_C = 660.32

/** Places of the solutes in a liquid's composition, in the order of SOLUTE_NAMES. */
const at = (name: string) => SOLUTE_NAMES.indexOf(name)
const SI = at('Si')
const CU = at('Cu')
const MG = at('Mg')
const ZN = at('Zn')

/**
 * Second phases, each with the surface in liquid composition (wt %, in the order of SOLUTE_NAMES) at which it begins to
 * form, written so that the excess is positive when the liquid holds too much, and the share of each solute the phase
 * takes away.
 * Fitted to the published invariant points named on each line (ASM Handbook vol. 3; Mondolfo 1976; recalled from
 * memory).
 */
export interface SecondPhase {
  readonly name: string
  readonly contains: Readonly<Record<string, number>>
  readonly excess: (liquid: ArrayLike<number>) => number
}

export const SECOND_PHASES: readonly SecondPhase[] = [
  // Al-Si eutectic 12.6 % Si at 577 °C; Al-Si-Cu 26.7 Cu, 5.3 Si at 525 °C.
  { name: 'silicon', contains: { Si: 100 }, excess: c => c[SI]! / (12.6 - 0.27 * Math.min(40, c[CU]!)) - 1 },
  // Al-Cu eutectic 33.2 % Cu at 548 °C; with silicon 26.7 % at 525 °C.
  { name: 'Al2Cu', contains: { Cu: 53.5 }, excess: c => c[CU]! / (33.2 - 1.23 * Math.min(15, c[SI]!)) - 1 },
  // Mg²·Si is nearly the same at the three invariant points: 8.15 Mg, 4.75 Si (595 °C); 4.96, 12.95 (555 °C); 33, 0.37
  // (449 °C).
  { name: 'Mg2Si', contains: { Mg: 63.4, Si: 36.6 }, excess: c => (c[MG]! ** 2 * c[SI]!) / 320 - 1 },
  // Al-Al2CuMg 24.5 Cu, 10.1 Mg (518 °C); Al-Al2Cu-Al2CuMg 33, 6.1 (507 °C).
  { name: 'Al2CuMg', contains: { Cu: 43.7, Mg: 16.9 }, excess: c => (c[CU]! * c[MG]!) / 225 - 1 },
  // Al-Mg eutectic 35 % Mg at 450 °C.
  { name: 'Al3Mg2', contains: { Mg: 37 }, excess: c => c[MG]! / 35 - 1 },
  // Al-Mg-Zn: 20 Mg, 30 Zn (489 °C) and 11 Mg, 61 Zn (475 °C).
  { name: 'MgZn2', contains: { Mg: 15.7, Zn: 84.3 }, excess: c => (c[MG]! * c[ZN]!) / 640 - 1 },
]
