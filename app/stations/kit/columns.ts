import { ARC_IDS, isTig, PROCESSES, USUAL_ARC } from '#core/process/registry'
import { DIAL_READINGS } from '#core/arc/balance'
import { DIAL_WORDS } from '#core/station/weld/arc-set'
import type { KitColumn } from '~/composables/use-kit'

/** A gun has no AC to set. */
const hasAc = (row: Record<string, unknown>) => isTig(String(row.process))

export const MACHINE_GROUPS = ['What it is', 'What it gives', 'Its dials', 'What it hangs on'] as const

/** What is asked of a machine, by group. */
export const MACHINES: KitColumn[] = [
  { key: 'name', label: 'Machine', blank: 'AC TIG', group: 'What it is' },
  {
    key: 'process',
    label: 'Process',
    choices: Object.fromEntries(ARC_IDS.map(id => [id, PROCESSES[id].name])),
    blank: USUAL_ARC,
    group: 'What it is',
  },
  { key: 'paid', label: 'It cost', unit: 'number', blank: null, group: 'What it is' },
  { key: 'lowA', label: 'From', unit: 'a', blank: 5, group: 'What it gives' },
  { key: 'highA', label: 'To', unit: 'a', blank: 200, group: 'What it gives' },
  { key: 'ratedA', label: 'Rated at', unit: 'a', blank: 200, group: 'What it gives' },
  { key: 'ratedPct', label: 'for this much of ten minutes', unit: 'pct', blank: 25, group: 'What it gives' },
  { key: 'torchA', label: 'Torch or gun bears', unit: 'a', blank: 150, group: 'What it gives' },
  { key: 'lowHz', label: 'AC from', unit: 'hz', blank: 50, only: hasAc, group: 'What it gives' },
  { key: 'highHz', label: 'AC to', unit: 'hz', blank: 200, only: hasAc, group: 'What it gives' },
  { key: 'ranges', label: 'Ranges on it', placeholder: '5-60, 40-200', blank: '', group: 'Its dials' },
  {
    key: 'currentDial',
    label: 'Current dial reads',
    choices: { amps: 'ampere', percent: 'per cent' },
    blank: 'amps',
    group: 'Its dials',
  },
  {
    key: 'dialReads',
    label: 'Balance dial reads',
    choices: Object.fromEntries(DIAL_READINGS.map(id => [id, DIAL_WORDS[id]])),
    blank: 'cleaning-share',
    only: hasAc,
    group: 'Its dials',
  },
  {
    key: 'halves',
    label: 'Two halves',
    choices: { together: 'one for both', apart: 'set apart' },
    blank: 'together',
    only: hasAc,
    group: 'Its dials',
  },
  { key: 'supplyV', label: 'Mains', placeholder: '230 V', unit: 'v', blank: null, group: 'What it hangs on' },
  { key: 'breakerA', label: 'Breaker', placeholder: '16 A', unit: 'a', blank: null, group: 'What it hangs on' },
]
export const TORCHES: KitColumn[] = [
  { key: 'name', label: 'Torch', blank: 'propane torch' },
  { key: 'gas', label: 'Gas', placeholder: 'propane, oxy-propane', blank: 'propane' },
  { key: 'powerW', label: 'Power', unit: 'w', blank: 2000 },
  { key: 'efficiencyPct', label: 'goes in', unit: 'pct', blank: 30 },
]
export const RODS: KitColumn[] = [
  { key: 'filler', label: 'Filler', blank: '4043' },
  { key: 'diameterMm', label: 'Thick', unit: 'mm', blank: 2.4 },
  { key: 'lengthMm', label: 'Long', unit: 'mm', blank: 914 },
  { key: 'price', label: 'Price each', unit: 'number', blank: 0.6 },
  { key: 'count', label: 'In stock', unit: 'number', blank: 10 },
]
export const SPOOLS: KitColumn[] = [
  { key: 'filler', label: 'Wire', blank: '4043' },
  { key: 'diameterMm', label: 'Thick', unit: 'mm', blank: 0.9 },
  { key: 'leftKg', label: 'Left on it', unit: 'kg', blank: 0.5 },
  { key: 'pricePerKg', label: 'Price per kg', unit: 'number', blank: 30 },
]
export const GASES: KitColumn[] = [
  { key: 'name', label: 'Gas', blank: 'argon' },
  { key: 'cylinderL', label: 'Full cylinder', unit: 'number', suffix: 'L of gas', blank: 2000 },
  { key: 'leftL', label: 'Left in it', unit: 'number', suffix: 'L of gas', blank: null },
  { key: 'price', label: 'Price of one', unit: 'number', blank: 45 },
]
