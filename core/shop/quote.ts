import type { Step } from '../ask/question'

export interface QuoteInput {
  phases: { name: string; minutes: number }[]
  ratePerHour: number
  filler: { rods: number; pricePerRod: number }
  gas: { litres: number; pricePerL: number }
  power: { kWh: number; pricePerKWh: number }
  other: { name: string; price: number }[]
  newPrice?: number | undefined
}

export interface QuoteLine {
  name: string
  kind: 'labour' | 'material'
  quantity: number
  unit: string
  price: number
}
export interface Quote {
  labour: number
  materials: number
  total: number
  ofNewPct?: number
  lines: QuoteLine[]
  working: Step[]
}

/**
 * Price of a repair: hours by phase and what is used up, in the shop's own currency.
 * Arithmetic only; nothing is rounded but what is shown. All that is not labour counts as materials.
 */
export function quote({ phases, ratePerHour, filler, gas, power, other, newPrice }: QuoteInput): Quote {
  const lines: QuoteLine[] = [
    ...phases.map(({ name, minutes }): QuoteLine => ({
      name,
      kind: 'labour',
      quantity: minutes,
      unit: 'min',
      price: (minutes / 60) * ratePerHour,
    })),
    {
      name: 'Filler',
      kind: 'material',
      quantity: filler.rods,
      unit: filler.rods === 1 ? 'rod' : 'rods',
      price: filler.rods * filler.pricePerRod,
    },
    { name: 'Gas', kind: 'material', quantity: gas.litres, unit: 'L', price: gas.litres * gas.pricePerL },
    { name: 'Power', kind: 'material', quantity: power.kWh, unit: 'kWh', price: power.kWh * power.pricePerKWh },
    ...other.map(({ name, price }): QuoteLine => ({ name, kind: 'material', quantity: 1, unit: '', price })),
  ]
  const sum = (kind: QuoteLine['kind']) =>
    lines.filter(line => line.kind === kind).reduce((total, line) => total + line.price, 0)
  const labour = sum('labour')
  const materials = sum('material')
  const total = labour + materials
  const minutes = phases.reduce((all, phase) => all + phase.minutes, 0)
  const working: Step[] = [
    {
      label: 'Labour',
      formula: `${minutes.toFixed(0)} min ÷ 60 × ${ratePerHour}`,
      value: labour,
      unit: 'money',
      source: "the shop's rate",
    },
    {
      label: 'Materials',
      formula: lines
        .filter(line => line.kind === 'material')
        .map(line => line.price.toFixed(2))
        .join(' + '),
      value: materials,
      unit: 'money',
      source: "the shop's prices",
    },
    { label: 'Total', formula: 'labour + materials', value: total, unit: 'money', source: 'sum' },
  ]
  if (!newPrice) return { labour, materials, total, lines, working }
  const ofNewPct = (total / newPrice) * 100
  return {
    labour,
    materials,
    total,
    ofNewPct,
    lines,
    working: [
      ...working,
      {
        label: 'Share of a new one',
        formula: `÷ ${newPrice}`,
        value: ofNewPct,
        unit: '%',
        source: 'a fifth to a third is usual: common practice, no source',
      },
    ],
  }
}
