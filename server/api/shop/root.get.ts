/** The root certificate that this machine's own is signed with, for a phone to trust. */
export default defineEventHandler(event => {
  const root = process.env.WILD_SPARROW_ROOT
  if (!root) {
    setResponseStatus(event, 404)
    return { error: { kind: 'not-found', reason: 'this server is on this machine alone: start it with --shop' } }
  }
  setResponseHeaders(event, {
    'content-type': 'application/x-x509-ca-cert',
    'content-disposition': 'attachment; filename="wild-sparrow-root.crt"',
    'cache-control': 'no-store',
  })
  return root
})
