import type { H3Event } from 'h3'
import type { Outcome } from '../pool/lane'

/** What a lane could not do, as an answer in words with its status. Whoever left hears nothing. */
export function notDone(event: H3Event, outcome: Exclude<Outcome<unknown>, { kind: 'found' }>) {
  const none = (status: number, reason: string) => {
    setResponseStatus(event, status)
    return { error: { kind: 'no-answer', reason } }
  }
  switch (outcome.kind) {
    case 'left':
      return null
    case 'full':
      setResponseHeader(event, 'retry-after', 5)
      return none(503, 'too many questions wait already: ask again in a few seconds')
    case 'too-long':
      return none(504, `it takes longer than ${outcome.seconds} s here: ask on the command line, or for less`)
    case 'too-large':
      return none(504, 'it takes more memory than there is for it here: ask on the command line, or for less')
    case 'broke':
      return none(500, 'it could not be worked out here')
  }
}

/** Tells when whoever asked has left before the answer. */
export function leftBy(event: H3Event): AbortSignal {
  const left = new AbortController()
  const { res } = event.node
  res.once('close', () => {
    if (!res.writableEnded) left.abort()
  })
  return left.signal
}
