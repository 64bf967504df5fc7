/** States a thread or boss may be in. */
export const STATES = {
  stripped: 'stripped',
  oversize: 'drilled or worn oversize',
  crooked: 'crooked',
  leaking: 'leaking',
  'failed-insert': 'holds an insert that failed',
  'broken-stud': 'holds a broken stud',
  cracked: 'cracked',
  gone: 'gone',
} as const
export type State = keyof typeof STATES

/** Ways of giving a thread back. */
export const WAYS = {
  'longer-bolt': 'use the sound thread below with a longer bolt',
  'wire-insert': 'wire insert',
  'solid-insert': 'solid insert',
  'cast-on-screw': 'weld round a stainless screw',
  'weld-and-tap': 'weld it up, drill and tap',
  'pressed-slug': 'press a slug in, weld its rims, tap',
  'new-boss': 'cut the boss off, weld a new one on',
} as const
export type Way = keyof typeof WAYS

/** Which ways each state rules out, and why, by code. Common practice, no source. */
export const RULED_OUT: Readonly<Record<State, Partial<Record<Way, string>>>> = {
  stripped: {},
  oversize: { 'wire-insert': 'hole-too-wide', 'cast-on-screw': 'hole-too-wide', 'longer-bolt': 'hole-too-wide' },
  crooked: {
    'wire-insert': 'follows-crooked',
    'solid-insert': 'follows-crooked',
    'cast-on-screw': 'follows-crooked',
    'longer-bolt': 'follows-crooked',
  },
  leaking: { 'wire-insert': 'insert-leaks', 'solid-insert': 'insert-leaks', 'longer-bolt': 'still-leaks' },
  'failed-insert': { 'wire-insert': 'insert-failed', 'cast-on-screw': 'hole-too-wide', 'longer-bolt': 'hole-too-wide' },
  'broken-stud': { 'longer-bolt': 'stud-in-it' },
  cracked: {
    'wire-insert': 'boss-cracked',
    'solid-insert': 'boss-cracked',
    'pressed-slug': 'press-splits',
    'cast-on-screw': 'boss-cracked',
    'longer-bolt': 'runs-on',
  },
  gone: {
    'wire-insert': 'nothing-left',
    'solid-insert': 'nothing-left',
    'pressed-slug': 'nothing-left',
    'cast-on-screw': 'nothing-left',
    'longer-bolt': 'nothing-left',
    'weld-and-tap': 'nothing-left',
  },
}
