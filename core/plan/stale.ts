export interface Change { readonly what: string, readonly before: string, readonly after: string }

/** What differs between the basis a station was settled on and the basis now. */
export function changesSince(settled: Readonly<Record<string, string>>, now: Readonly<Record<string, string>>): Change[] {
  return Object.keys({ ...settled, ...now })
    .filter(what => (settled[what] ?? '') !== (now[what] ?? ''))
    .map(what => ({ what, before: settled[what] ?? '', after: now[what] ?? '' }))
}
