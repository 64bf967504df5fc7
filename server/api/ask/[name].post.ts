import { questions } from '../../../core/questions'
import { tooMuchJson } from '../../../core/ask/depth'
import { readLimited } from '../../limits/read-body'
import { askApart } from '../../pool/ask'

/** Largest question body, bytes; a picture comes as the text of its file. */
const LARGEST_BODY = 1024 * 1024
const LARGEST_PICTURE = 24 * LARGEST_BODY
/** More values than the largest question takes. */
const MOST_VALUES = 400_000
const STATUS = { 'invalid-input': 422, 'no-answer': 409, 'unknown-question': 404, fault: 500 } as const

/** Asks one question: the same answer as the command line's, as JSON. */
export default defineEventHandler(async event => {
  const name = getRouterParam(event, 'name', { decode: false }) ?? ''
  const invalid = (message: string, status = 422) => {
    setResponseStatus(event, status)
    return { error: { kind: 'invalid-input', issues: [{ path: '', message }] } }
  }
  const none = (status: number, reason: string) => {
    setResponseStatus(event, status)
    return { error: { kind: 'no-answer', reason } }
  }
  const largest = name.startsWith('photo.') && name !== 'photo.measure' ? LARGEST_PICTURE : LARGEST_BODY
  const body = await readLimited(event, largest)
  if (body === null) return invalid(`the body is larger than ${largest / LARGEST_BODY} MB`, 413)
  const tooMuch = tooMuchJson(body, MOST_VALUES)
  if (tooMuch) return invalid(`the body is too much: ${tooMuch}`)
  let input: unknown = {}
  try {
    if (body.trim() !== '') input = JSON.parse(body)
  } catch {
    if (questions.get(name)) return invalid('the body is not JSON')
  }
  const left = new AbortController()
  const { res } = event.node
  res.once('close', () => {
    if (!res.writableEnded) left.abort()
  })
  const outcome = await askApart(name, input, body.length, left.signal)
  if (outcome.kind === 'left') return null
  if (outcome.kind === 'full') {
    setResponseHeader(event, 'retry-after', 5)
    return none(503, 'too many questions wait already: ask again in a few seconds')
  }
  if (outcome.kind === 'too-long')
    return none(504, `it takes longer than ${outcome.seconds} s here: ask on the command line, or for less`)
  if (outcome.kind === 'broke') return none(500, 'it could not be worked out here')
  const { asked } = outcome
  if (!asked.ok) {
    setResponseStatus(event, STATUS[asked.error.kind])
    return { error: asked.error }
  }
  const { answer, working, cautions } = asked
  return { answer, working, cautions }
})
