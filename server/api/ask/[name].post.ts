import { leftBy, notDone } from '../../limits/outcome'
import { readLimited } from '../../limits/read-body'
import { askApart } from '../../pool/ask'

/** Largest question body, bytes; a picture comes as the text of its file. */
const LARGEST_BODY = 1024 * 1024
const LARGEST_PICTURE = 24 * LARGEST_BODY
const STATUS = { 'invalid-input': 422, 'no-answer': 409, 'unknown-question': 404, fault: 500 } as const

/** Asks one question: the same answer as the command line's, as JSON. */
export default defineEventHandler(async event => {
  const name = getRouterParam(event, 'name', { decode: false }) ?? ''
  const largest = name.startsWith('photo.') && name !== 'photo.measure' ? LARGEST_PICTURE : LARGEST_BODY
  const body = await readLimited(event, largest)
  if (body === null) {
    setResponseStatus(event, 413)
    const message = `the body is larger than ${largest / LARGEST_BODY} MB`
    return { error: { kind: 'invalid-input', issues: [{ path: '', message }] } }
  }
  const outcome = await askApart(name, body, leftBy(event))
  if (outcome.kind !== 'found') return notDone(event, outcome)
  const { found } = outcome
  if (!found.ok) {
    setResponseStatus(event, STATUS[found.error.kind])
    return { error: found.error }
  }
  const { answer, working, cautions } = found
  return { answer, working, cautions }
})
