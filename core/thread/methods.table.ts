/** Ways of giving a stripped boss its thread back. */
export const BOSS_METHODS = [
  'weld-and-tap',
  'pressed-slug',
  'new-boss',
  'wire-insert',
  'solid-insert',
  'cast-on-screw',
] as const
export type BossMethod = (typeof BOSS_METHODS)[number]
