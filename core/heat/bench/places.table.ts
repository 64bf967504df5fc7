interface Row {
  readonly name: string
  readonly limitC: number | null
}

/**
 * Places on the part that are watched, and what each stands, °C. Limits: common practice, no source; the maker's come
 * first.
 */
export const PLACE_KINDS = {
  'weld-zone': { name: 'weld zone', limitC: null },
  seal: { name: 'lip seal', limitC: 100 },
  'fluoro-seal': { name: 'fluoroelastomer seal', limitC: 200 },
  bush: { name: 'bush', limitC: 150 },
  'bearing-seat': { name: 'bearing seat', limitC: 120 },
  'finished-face': { name: 'finished face', limitC: 180 },
  held: { name: 'where it is held', limitC: 60 },
} as const satisfies Record<string, Row>
export type PlaceKind = keyof typeof PLACE_KINDS
