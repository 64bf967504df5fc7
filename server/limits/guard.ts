import type { IncomingHttpHeaders } from 'node:http'

/** Names that mean this machine. */
const OWN_NAMES = new Set(['localhost', '127.0.0.1', '[::1]', '::1'])

const hostName = (host: string) => host.replace(/:\d+$/, '').toLowerCase()

/**
 * Why a request is refused, in words; null where it is let in. A page of another origin may not ask, nor a name that is
 * led to this machine (rebinding), unless the server was told to listen for others by `HOST`.
 * @param listens what `HOST` was set to
 */
export function refusedRequest(
  method: string,
  path: string,
  headers: IncomingHttpHeaders,
  listens: string | undefined,
): string | null {
  const host = headers.host ?? ''
  const local = listens === undefined || listens === '' || OWN_NAMES.has(listens)
  if (local && !OWN_NAMES.has(hostName(host))) return 'this machine is asked by another name: set HOST to let others in'
  if (!path.startsWith('/api/')) return null
  const site = headers['sec-fetch-site']
  if (site === 'cross-site' || site === 'same-site') return 'asked from a page of another origin'
  if (headers.origin !== undefined && headers.origin !== `http://${host}` && headers.origin !== `https://${host}`)
    return 'asked from a page of another origin'
  const fromPage = site !== undefined || headers.origin !== undefined
  if (method === 'POST' && fromPage && !/^application\/json\b/i.test(headers['content-type'] ?? ''))
    return 'a page must say that it sends application/json'
  return null
}
