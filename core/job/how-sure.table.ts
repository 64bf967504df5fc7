/** How sure somebody says a reading is; measured, by how such things are. Judgement. */
export const HOW_SURE = {
  guessed: { name: 'guessed', pct: 30 },
  'by-eye': { name: 'by eye', pct: 12 },
  measured: { name: 'measured' },
  exact: { name: 'exact', pct: 0 },
} as const
export type HowSure = keyof typeof HOW_SURE
