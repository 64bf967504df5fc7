import { setBootScript } from '../boot'

const INLINE = /<script>(window\.__NUXT__[\s\S]*?)<\/script>/

/** The page's one inline script becomes a file of its own, so that the content security policy need allow none. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('render:html', (html) => {
    html.bodyAppend = html.bodyAppend.map(piece => piece.replace(INLINE, (_, script: string) => {
      setBootScript(script)
      return '<script src="/boot.js"></script>'
    }))
  })
  nitro.hooks.hook('beforeResponse', (event) => { removeResponseHeader(event, 'x-powered-by') })
})
