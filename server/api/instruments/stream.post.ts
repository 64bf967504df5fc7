import { setupTrouble, standInRun, streamRequestSchema } from '../../../core/instrument/stand-in/run'
import { toJsonLine } from '../../../core/instrument/lines'
import { readLimited } from '../../limits/read-body'

const LARGEST_BODY = 256 * 1024
/** Streams at once; a bench has half a dozen instruments and a few tabs. */
const MOST_STREAMS = 32
/** How often what is due is sent, ms. */
const TICK_MS = 50
/** Readings sent in one go when a stream is taken up again, so that other requests get their turn. */
const MOST_AT_ONCE = 2000
let open = 0

/**
 * A stand-in instrument's readings as lines of JSON, as they fall due; taken up again from any reading on. Format:
 * docs/formats.md.
 */
export default defineEventHandler(async event => {
  const refuse = (status: number, path: string, message: string) => {
    setResponseStatus(event, status)
    return { error: { kind: 'invalid-input', issues: [{ path, message }] } }
  }
  const body = await readLimited(event, LARGEST_BODY)
  if (body === null) return refuse(413, '', 'the body is larger than 256 kB')
  let asked: unknown
  try {
    asked = JSON.parse(body)
  } catch {
    return refuse(422, '', 'the body is not JSON')
  }
  const parsed = streamRequestSchema.safeParse(asked)
  if (!parsed.success) return refuse(422, parsed.error.issues[0]!.path.join('.'), parsed.error.issues[0]!.message)
  const trouble = setupTrouble(parsed.data)
  if (trouble) return refuse(422, trouble.path, trouble.message)
  if (open >= MOST_STREAMS) return refuse(503, '', `more than ${MOST_STREAMS} streams at once: close one`)

  const { startedAt, perSecond, dropsAfterS } = parsed.data
  const run = standInRun(parsed.data)
  const startMs = Date.parse(startedAt)
  const openedMs = Date.now()
  const encoder = new TextEncoder()
  let timer: ReturnType<typeof setInterval> | undefined
  const end = () => {
    if (timer === undefined) return
    clearInterval(timer)
    timer = undefined
    open -= 1
  }
  open += 1
  setResponseHeaders(event, {
    'content-type': 'application/x-ndjson; charset=utf-8',
    'cache-control': 'no-store',
    'x-accel-buffering': 'no',
  })
  // The answer's own line: the request is closed as soon as its body has been read.
  event.node.res.on('close', end)
  return new ReadableStream<Uint8Array>(
    {
      start(controller) {
        timer = setInterval(() => {
          // A reader that does not keep up gets the same readings later: each belongs to its number, not to when it is
          // sent.
          if ((controller.desiredSize ?? 1) <= 0) return
          const due = Math.min(run.n() + MOST_AT_ONCE, Math.floor(((Date.now() - startMs) / 1000) * perSecond) + 1)
          let text = ''
          while (run.n() < due)
            text += run
              .next()
              .map(line => `${toJsonLine(line)}\n`)
              .join('')
          if (text) controller.enqueue(encoder.encode(text))
          if (dropsAfterS !== undefined && Date.now() - openedMs > dropsAfterS * 1000) {
            end()
            controller.close()
          }
        }, TICK_MS)
      },
      cancel: end,
    },
    { highWaterMark: 64 },
  )
})
