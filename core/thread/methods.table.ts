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
/** What each way of rebuilding a thread is called at the bench. */
export const BOSS_WORDS: Readonly<Record<BossMethod, string>> = {
  'weld-and-tap': 'weld it up, drill and tap',
  'pressed-slug': 'press a slug in, weld its rims, tap',
  'new-boss': 'cut the boss off, weld a new one on',
  'wire-insert': 'wire insert',
  'solid-insert': 'solid insert',
  'cast-on-screw': 'weld round a stainless screw',
}
