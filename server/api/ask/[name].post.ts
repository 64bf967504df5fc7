import { questions } from '../../../core/questions'

/** Largest question body, bytes. */
const LARGEST_BODY = 1024 * 1024
const STATUS = { 'invalid-input': 422, 'no-answer': 409, 'unknown-question': 404 } as const

/** Asks one question: the same answer as the command line's, as JSON. */
export default defineEventHandler(async (event) => {
  const name = decodeURIComponent(getRouterParam(event, 'name') ?? '')
  const invalid = (message: string, status = 422) => {
    setResponseStatus(event, status)
    return { error: { kind: 'invalid-input', issues: [{ path: '', message }] } }
  }
  if (Number(getRequestHeader(event, 'content-length') ?? 0) > LARGEST_BODY) return invalid('the body is larger than 1 MB', 413)
  const body = await readRawBody(event, 'utf8') ?? ''
  if (body.length > LARGEST_BODY) return invalid('the body is larger than 1 MB', 413)
  let input: unknown = {}
  try {
    if (body.trim() !== '') input = JSON.parse(body)
  }
  catch {
    if (questions.get(name)) return invalid('the body is not JSON')
  }
  const asked = questions.ask(name, input)
  if (!asked.ok) {
    setResponseStatus(event, STATUS[asked.error.kind])
    return { error: asked.error }
  }
  const { answer, working, cautions } = asked
  return { answer, working, cautions }
})
