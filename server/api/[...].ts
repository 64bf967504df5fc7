/** What is not there under /api says so in JSON. */
export default defineEventHandler(event => {
  setResponseStatus(event, 404)
  return { error: { kind: 'unknown-path', path: event.path.slice(0, 200) } }
})
