/** Figures that a working shows: more says nothing that anyone can measure. */
const DIGITS = 5
/** Held to the figure before it, so that no line breaks between the two. */
const NO_BREAK = '\u00a0'
const UNITS = [
  'mm',
  'mm²',
  'mm³',
  'cm²',
  'cm³',
  'm²',
  'µm',
  'in',
  'thou',
  'g',
  'kg',
  'g/cm³',
  '°C',
  'K',
  'A',
  'V',
  'W',
  'kW',
  'J',
  'J/mm',
  'kJ',
  'N',
  'kN',
  'N·m',
  'MPa',
  'GPa',
  'kPa',
  's',
  'ms',
  'min',
  'h',
  'L',
  'L/min',
  'm/min',
  'mm/min',
  'mm/s',
  'Hz',
  '%',
  '°',
  'W/m²K',
  'W/m·K',
  'px',
  'kWh',
  'sccm',
]
const FIGURE_AND_UNIT = new RegExp(
  `(\\d[²³]?) (${UNITS.toSorted((a, b) => b.length - a.length).join('|')})(?![\\p{L}\\d])`,
  'gu',
)

/**
 * Text with its figures as a person writes them: five significant figures where a division or conversion left more than
 * six decimals (constants of a standard stand as the standard has them), and no break between a figure and its unit.
 * Whole figures, names such as 356.0 and words are left as they are.
 */
export function tidyFigures(text: string): string {
  return text
    .replace(/(?<![\d.])\d+\.\d{7,}(?:e[+-]?\d+)?/g, figure => String(Number(Number(figure).toPrecision(DIGITS))))
    .replace(FIGURE_AND_UNIT, `$1${NO_BREAK}$2`)
}
