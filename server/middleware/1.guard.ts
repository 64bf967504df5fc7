import { refusedRequest } from '../limits/guard'

/** Requests of other pages and for other machines' names are refused before anything is read. */
export default defineEventHandler(event => {
  const reason = refusedRequest(event.method, event.path, event.node.req.headers, process.env.HOST)
  if (!reason) return
  setResponseStatus(event, 403)
  return { error: { kind: 'refused', reason } }
})
