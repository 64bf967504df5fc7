import type { H3Event } from 'h3'

/** A request's body as text, or null once it is larger than allowed: what is too long is not even gathered. */
export async function readLimited(event: H3Event, mostBytes: number): Promise<string | null> {
  if (Number(event.node.req.headers['content-length'] ?? 0) > mostBytes) return null
  const pieces: Buffer[] = []
  let bytes = 0
  for await (const piece of event.node.req) {
    bytes += (piece as Buffer).length
    if (bytes > mostBytes) return null
    pieces.push(piece as Buffer)
  }
  return Buffer.concat(pieces).toString('utf8')
}
