import { randomBytes } from 'node:crypto'
import { setBootScript } from '../boot'
import { isPage } from '../limits/pages'

const INLINE = /<script>(window\.__NUXT__[\s\S]*?)<\/script>/
const POLICY = 'content-security-policy'

/**
 * The page's one inline script becomes a file of its own, so that the content security policy need allow none. The
 * style sheet that the controls write for their theme is let in by a figure drawn anew for each page.
 */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64url')
    event.context.nonce = nonce
    html.head.push(`<meta property="style-nonce" content="${nonce}">`)
    html.bodyAppend = html.bodyAppend.map(piece =>
      piece.replace(INLINE, (_, script: string) => {
        setBootScript(script)
        return '<script src="/boot.js"></script>'
      }),
    )
  })
  nitro.hooks.hook('render:response', (response, { event }) => {
    if (!isPage(event.path)) response.statusCode = 404
  })
  nitro.hooks.hook('beforeResponse', event => {
    removeResponseHeader(event, 'x-powered-by')
    const policy = getResponseHeader(event, POLICY)
    const { nonce } = event.context
    if (typeof policy === 'string' && typeof nonce === 'string')
      setResponseHeader(event, POLICY, policy.replace("style-src 'self'", `style-src 'self' 'nonce-${nonce}'`))
  })
})
