import { leftBy, notDone } from '../../limits/outcome'
import { readLimited } from '../../limits/read-body'
import { skinApart } from '../../pool/solid'

/** Largest shape that is put together, bytes: an outline of thousands of points fits. */
const LARGEST_BODY = 512 * 1024

/** The closed skin of a solid in triangles, nine 32-bit figures each, for files that other programs read. */
export default defineEventHandler(async event => {
  const refuse = (status: number, message: string) => {
    setResponseStatus(event, status)
    return { error: { kind: 'invalid-input', issues: [{ path: 'shape', message }] } }
  }
  const body = await readLimited(event, LARGEST_BODY)
  if (body === null) return refuse(413, 'the shape is larger than 512 kB')
  const outcome = await skinApart(body, leftBy(event))
  if (outcome.kind !== 'found') return notDone(event, outcome)
  const { found } = outcome
  if (!('triangles' in found)) return refuse(found.status, found.reason)
  setResponseHeader(event, 'content-type', 'application/octet-stream')
  return new Uint8Array(found.triangles.buffer)
})
