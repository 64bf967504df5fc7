/** Whether the browser has no room left. */
export const isFull = (error: unknown): boolean =>
  /quota/i.test(`${(error as Error | null)?.name} ${(error as Error | null)?.message}`)

/** Why the browser would not store something, in words. */
export const refusalWords = (error: unknown): string =>
  isFull(error)
    ? 'the browser has no room left; take the shop out as a file, then take old jobs off'
    : error instanceof Error
      ? error.message
      : 'the browser refused to store it'

/** What could not be stored is tried again after this time, ms, and with the next change. */
export const TRY_AGAIN_MS = 4000
