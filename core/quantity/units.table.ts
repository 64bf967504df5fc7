import { MM_PER_INCH } from './constants'

/**
 * Every unit the application reads, by dimension.
 *
 * Columns: the spellings accepted, and `scale` (with `offset` for temperatures), such that
 *   base value = (written value + offset) × scale.
 * Source: exact definitions (inch 25.4 mm, pound 0.45359237 kg, standard gravity 9.80665 m/s²: NIST SP 811, app. B);
 * everything else is derived from those on its own line.
 */
export interface UnitDefinition {
  readonly spellings: readonly string[]
  readonly scale: number
  readonly offset?: number
}

const KG_PER_POUND = 0.45359237
const N_PER_POUND_FORCE = KG_PER_POUND * 9.80665
const MPA_PER_PSI = N_PER_POUND_FORCE / MM_PER_INCH ** 2
const LITRES_PER_CUBIC_FOOT = (12 * MM_PER_INCH) ** 3 / 1e6
const LITRES_PER_US_GALLON = (231 * MM_PER_INCH ** 3) / 1e6
const J_PER_BTU = 1055.05585262
const KPA_PER_INHG = 3.386389

export type Dimension =
  | 'length'
  | 'area'
  | 'volume'
  | 'mass'
  | 'temperature'
  | 'time'
  | 'current'
  | 'voltage'
  | 'power'
  | 'energy'
  | 'force'
  | 'torque'
  | 'stress'
  | 'flow'
  | 'speed'
  | 'frequency'
  | 'angle'
  | 'share'
  | 'density'
  | 'film'
  | 'removal'
  | 'deposit'
  | 'leak'
  | 'pitchRate'
  | 'number'

/**
 * Base units: mm, mm², mm³, g, °C, s, A, V, W, J, N, N·m, MPa, L/min, m/min, Hz, °, %, g/cm³, W/m²K, mm³/min, g/min,
 * cm³/min at 0 °C.
 */
export const UNITS: Readonly<Record<Dimension, readonly UnitDefinition[]>> = {
  length: [
    { spellings: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'], scale: 1 },
    { spellings: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'], scale: 10 },
    { spellings: ['m', 'metre', 'metres', 'meter', 'meters'], scale: 1000 },
    { spellings: ['um', 'µm', 'μm', 'micron', 'microns'], scale: 0.001 },
    { spellings: ['in', '"', '″', '”', '“', "''", 'inch', 'inches', 'in.', 'zoll'], scale: MM_PER_INCH },
    { spellings: ['thou', 'thousandth', 'thousandths', 'mil', 'mils'], scale: MM_PER_INCH / 1000 },
    { spellings: ['tenth', 'tenths'], scale: MM_PER_INCH / 10000 },
    { spellings: ['ft', "'", '′', 'foot', 'feet'], scale: 12 * MM_PER_INCH },
  ],
  area: [
    { spellings: ['mm2', 'mm²', 'mm^2', 'sq mm'], scale: 1 },
    { spellings: ['cm2', 'cm²', 'cm^2', 'sq cm'], scale: 100 },
    { spellings: ['m2', 'm²', 'm^2', 'sq m'], scale: 1e6 },
    { spellings: ['in2', 'in²', 'in^2', 'sq in'], scale: MM_PER_INCH ** 2 },
    { spellings: ['ft2', 'ft²', 'ft^2', 'sq ft'], scale: (12 * MM_PER_INCH) ** 2 },
  ],
  volume: [
    { spellings: ['mm3', 'mm³', 'mm^3', 'cu mm'], scale: 1 },
    { spellings: ['cm3', 'cm³', 'cm^3', 'cc', 'ml', 'cu cm'], scale: 1000 },
    { spellings: ['l', 'litre', 'litres', 'liter', 'liters', 'dm3', 'dm³'], scale: 1e6 },
    { spellings: ['m3', 'm³', 'm^3'], scale: 1e9 },
    { spellings: ['in3', 'in³', 'in^3', 'cu in'], scale: MM_PER_INCH ** 3 },
    { spellings: ['ft3', 'ft³', 'ft^3', 'cu ft', 'cf'], scale: (12 * MM_PER_INCH) ** 3 },
    { spellings: ['gal', 'us gal'], scale: LITRES_PER_US_GALLON * 1e6 },
  ],
  mass: [
    { spellings: ['g', 'gram', 'grams', 'gr'], scale: 1 },
    { spellings: ['mg'], scale: 0.001 },
    { spellings: ['kg', 'kilo', 'kilos'], scale: 1000 },
    { spellings: ['t', 'tonne', 'tonnes'], scale: 1e6 },
    { spellings: ['lb', 'lbs', 'lbm', 'pound', 'pounds'], scale: KG_PER_POUND * 1000 },
    { spellings: ['oz', 'ounce', 'ounces'], scale: (KG_PER_POUND * 1000) / 16 },
  ],
  temperature: [
    { spellings: ['c', '°c', 'ºc', 'degc', 'deg c', 'celsius'], scale: 1 },
    { spellings: ['f', '°f', 'ºf', 'degf', 'deg f', 'fahrenheit'], scale: 5 / 9, offset: -32 },
    { spellings: ['k', 'kelvin'], scale: 1, offset: -273.15 },
  ],
  time: [
    { spellings: ['s', 'sec', 'secs', 'second', 'seconds'], scale: 1 },
    { spellings: ['ms'], scale: 0.001 },
    { spellings: ['min', 'mins', 'minute', 'minutes'], scale: 60 },
    { spellings: ['h', 'hr', 'hrs', 'hour', 'hours'], scale: 3600 },
    { spellings: ['d', 'day', 'days'], scale: 86400 },
  ],
  current: [
    { spellings: ['a', 'amp', 'amps', 'ampere', 'amperes'], scale: 1 },
    { spellings: ['ma'], scale: 0.001 },
    { spellings: ['ka'], scale: 1000 },
  ],
  voltage: [
    { spellings: ['v', 'volt', 'volts'], scale: 1 },
    { spellings: ['mv'], scale: 0.001 },
  ],
  power: [
    { spellings: ['w', 'watt', 'watts'], scale: 1 },
    { spellings: ['kw'], scale: 1000 },
    { spellings: ['btu/h', 'btuh', 'btu/hr'], scale: J_PER_BTU / 3600 },
    { spellings: ['hp'], scale: 745.69987158227 },
  ],
  energy: [
    { spellings: ['j', 'joule', 'joules'], scale: 1 },
    { spellings: ['kj'], scale: 1000 },
    { spellings: ['mj'], scale: 1e6 },
    { spellings: ['kwh'], scale: 3.6e6 },
    { spellings: ['btu'], scale: J_PER_BTU },
    { spellings: ['ft.lbf', 'ft-lbf', 'ft·lbf'], scale: N_PER_POUND_FORCE * 0.3048 },
  ],
  force: [
    { spellings: ['n', 'newton', 'newtons'], scale: 1 },
    { spellings: ['kn'], scale: 1000 },
    { spellings: ['lbf', 'lb'], scale: N_PER_POUND_FORCE },
    { spellings: ['kgf'], scale: 9.80665 },
    { spellings: ['kip'], scale: 1000 * N_PER_POUND_FORCE },
  ],
  torque: [
    { spellings: ['nm', 'n.m', 'n·m', 'n-m', 'n m'], scale: 1 },
    {
      spellings: [
        'lbf.ft',
        'lbf·ft',
        'lbf-ft',
        'lb.ft',
        'lb-ft',
        'lb ft',
        'lbf ft',
        'ft.lb',
        'ft-lb',
        'ft lb',
        'ft.lbf',
        'ft-lbf',
        'ft lbf',
        'ft·lbf',
      ],
      scale: N_PER_POUND_FORCE * 0.3048,
    },
    {
      spellings: [
        'lbf.in',
        'lbf·in',
        'lbf-in',
        'lb.in',
        'lb-in',
        'lb in',
        'lbf in',
        'in.lb',
        'in-lb',
        'in lb',
        'in.lbf',
        'in-lbf',
        'in lbf',
      ],
      scale: N_PER_POUND_FORCE * 0.0254,
    },
    { spellings: ['kgf.m', 'kgm'], scale: 9.80665 },
  ],
  stress: [
    { spellings: ['mpa', 'n/mm2', 'n/mm²'], scale: 1 },
    { spellings: ['kpa'], scale: 0.001 },
    { spellings: ['pa'], scale: 1e-6 },
    { spellings: ['gpa'], scale: 1000 },
    { spellings: ['bar'], scale: 0.1 },
    { spellings: ['mbar', 'hpa'], scale: 1e-4 },
    { spellings: ['psi', 'lbf/in2'], scale: MPA_PER_PSI },
    { spellings: ['ksi'], scale: MPA_PER_PSI * 1000 },
    { spellings: ['inhg', 'in hg'], scale: KPA_PER_INHG / 1000 },
    { spellings: ['atm'], scale: 0.101325 },
  ],
  flow: [
    { spellings: ['l/min', 'lpm', 'lmin', 'litres/min'], scale: 1 },
    { spellings: ['cfh', 'scfh', 'ft3/h', 'ft³/h', 'cuft/h'], scale: LITRES_PER_CUBIC_FOOT / 60 },
    { spellings: ['cfm', 'ft3/min'], scale: LITRES_PER_CUBIC_FOOT },
    { spellings: ['l/h'], scale: 1 / 60 },
    { spellings: ['m3/h', 'm³/h'], scale: 1000 / 60 },
  ],
  speed: [
    { spellings: ['m/min', 'mpm'], scale: 1 },
    { spellings: ['mm/min'], scale: 0.001 },
    { spellings: ['mm/s'], scale: 0.06 },
    { spellings: ['cm/min'], scale: 0.01 },
    { spellings: ['m/s'], scale: 60 },
    { spellings: ['ipm', 'in/min', '"/min'], scale: MM_PER_INCH / 1000 },
    { spellings: ['sfm', 'ft/min', 'fpm'], scale: 0.3048 },
  ],
  frequency: [
    { spellings: ['hz', 'hertz'], scale: 1 },
    { spellings: ['khz'], scale: 1000 },
    { spellings: ['rpm'], scale: 1 / 60 },
  ],
  angle: [
    { spellings: ['deg', '°', 'º', 'degree', 'degrees'], scale: 1 },
    { spellings: ['rad', 'radian', 'radians'], scale: 180 / Math.PI },
  ],
  share: [
    { spellings: ['%', 'pct', 'percent', 'per cent'], scale: 1 },
    { spellings: ['%iacs', '% iacs'], scale: 1 },
  ],
  density: [
    { spellings: ['g/cm3', 'g/cm³', 'g/cc', 'g/ml', 'gcm3'], scale: 1 },
    { spellings: ['kg/m3', 'kg/m³'], scale: 0.001 },
    { spellings: ['lb/in3', 'lb/in³'], scale: (KG_PER_POUND * 1000) / (MM_PER_INCH / 10) ** 3 },
  ],
  film: [{ spellings: ['w/m2k', 'w/m²k', 'w/(m2k)', 'w/m2.k'], scale: 1 }],
  removal: [
    { spellings: ['mm3/min', 'mm³/min'], scale: 1 },
    { spellings: ['cm3/min', 'cm³/min'], scale: 1000 },
    { spellings: ['in3/min', 'in³/min'], scale: MM_PER_INCH ** 3 },
  ],
  deposit: [
    { spellings: ['g/min'], scale: 1 },
    { spellings: ['kg/h'], scale: 1000 / 60 },
    { spellings: ['lb/h', 'lb/hr'], scale: (KG_PER_POUND * 1000) / 60 },
  ],
  leak: [
    { spellings: ['sccm', 'scc/min', 'cm3/min', 'cc/min', 'ml/min'], scale: 1 },
    { spellings: ['l/min'], scale: 1000 },
  ],
  pitchRate: [{ spellings: ['tpi', '/in', 'per inch'], scale: 1 }],
  number: [],
}

/** The unit a key's suffix promises (contract: "a key says its unit"), as base value ÷ `perBase`. */
export interface KeyUnit {
  readonly dimension: Dimension
  /** Base units in one of this unit. */
  readonly baseScale: number
  readonly symbol: string
}

export const KEY_UNITS = {
  mm: { dimension: 'length', baseScale: 1, symbol: 'mm' },
  um: { dimension: 'length', baseScale: 0.001, symbol: 'µm' },
  mm2: { dimension: 'area', baseScale: 1, symbol: 'mm²' },
  mm3: { dimension: 'volume', baseScale: 1, symbol: 'mm³' },
  l: { dimension: 'volume', baseScale: 1e6, symbol: 'L' },
  g: { dimension: 'mass', baseScale: 1, symbol: 'g' },
  kg: { dimension: 'mass', baseScale: 1000, symbol: 'kg' },
  c: { dimension: 'temperature', baseScale: 1, symbol: '°C' },
  s: { dimension: 'time', baseScale: 1, symbol: 's' },
  min: { dimension: 'time', baseScale: 60, symbol: 'min' },
  ms: { dimension: 'time', baseScale: 0.001, symbol: 'ms' },
  a: { dimension: 'current', baseScale: 1, symbol: 'A' },
  v: { dimension: 'voltage', baseScale: 1, symbol: 'V' },
  w: { dimension: 'power', baseScale: 1, symbol: 'W' },
  j: { dimension: 'energy', baseScale: 1, symbol: 'J' },
  kWh: { dimension: 'energy', baseScale: 3.6e6, symbol: 'kWh' },
  n: { dimension: 'force', baseScale: 1, symbol: 'N' },
  nm: { dimension: 'torque', baseScale: 1, symbol: 'N·m' },
  mPa: { dimension: 'stress', baseScale: 1, symbol: 'MPa' },
  kPa: { dimension: 'stress', baseScale: 0.001, symbol: 'kPa' },
  lMin: { dimension: 'flow', baseScale: 1, symbol: 'L/min' },
  mMin: { dimension: 'speed', baseScale: 1, symbol: 'm/min' },
  mmS: { dimension: 'speed', baseScale: 0.06, symbol: 'mm/s' },
  hz: { dimension: 'frequency', baseScale: 1, symbol: 'Hz' },
  deg: { dimension: 'angle', baseScale: 1, symbol: '°' },
  pct: { dimension: 'share', baseScale: 1, symbol: '%' },
  gcm3: { dimension: 'density', baseScale: 1, symbol: 'g/cm³' },
  wm2K: { dimension: 'film', baseScale: 1, symbol: 'W/m²K' },
  mm3Min: { dimension: 'removal', baseScale: 1, symbol: 'mm³/min' },
  gMin: { dimension: 'deposit', baseScale: 1, symbol: 'g/min' },
  sccm: { dimension: 'leak', baseScale: 1, symbol: 'sccm' },
  tpi: { dimension: 'pitchRate', baseScale: 1, symbol: 'tpi' },
  number: { dimension: 'number', baseScale: 1, symbol: '' },
} as const satisfies Record<string, KeyUnit>

export type UnitKey = keyof typeof KEY_UNITS
