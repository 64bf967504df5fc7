/** What a worker can be started for; each role's script is read by the worker that takes it on. */
export const ROLES = {
  day: () => import('./day'),
  files: () => import('./files'),
  heat: () => import('./heat'),
  hold: () => import('./hold'),
  lessons: () => import('./lessons'),
  photo: () => import('./photo'),
  plan: () => import('./plan'),
  puddle: () => import('./puddle'),
  pull: () => import('./pull'),
  shelf: () => import('./shelf'),
  ways: () => import('./ways'),
}
export type Role = keyof typeof ROLES
export type BenchOf<R extends Role> = Awaited<ReturnType<(typeof ROLES)[R]>>['bench']
