import { onKept, recall, type Kept } from '#core/ask/kept'

let begin: () => void
/** Resolves once what earlier pages worked out has been taken back: nothing that takes long is answered before. */
export const takenBack = new Promise<void>(resolve => {
  begin = resolve
})

/** What every worker that plans whole jobs lends to the page that started it. */
export const keptWork = {
  /** Takes back what is known, and tells of what is worked out from now on. */
  takeBack: (known: readonly Kept[], tell: (kept: Kept) => void): void => {
    recall(known)
    onKept(tell)
    begin()
  },
}
export type KeptWork = typeof keptWork
