export const SOAKS = ['dry', 'handled', 'oily', 'oil-soaked'] as const
export type Soak = (typeof SOAKS)[number]
export const SOAK_WORDS: Readonly<Record<Soak, string>> = {
  dry: 'never held oil',
  handled: 'handled, a little greasy',
  oily: 'oily',
  'oil-soaked': 'soaked: held oil for years',
}

export const FUSION_OFF = { good: 0, fair: 0.08, poor: 0.22, never: 1 } as const
export const NEEDS_PREHEAT_OFF = 0.08
/** A duty under this share is short. */
export const SHORT_DUTY_PCT = 25
export const SHORT_DUTY_OFF = 0.12
/** A usual preheat for finding out whether a small machine reaches a wall, °C, and the minutes it costs. */
export const USUAL_PREHEAT_C = 120
export const PREHEAT_MIN = 8
/** Below these scores a process works only with doubt, or not at all. */
export const VERDICT_AT = { works: 0.5, avoid: 0.2 } as const
