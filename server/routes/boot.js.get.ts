import { bootScript } from '../boot'

/** What the page would otherwise carry inline: the framework's own settings. */
export default defineEventHandler(async event => {
  if (bootScript() === null) await event.$fetch('/')
  setResponseHeaders(event, { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' })
  return bootScript() ?? ''
})
