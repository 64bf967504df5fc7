/** The whole application is kept on the device once it has been opened, and works with the server gone. */
export default defineNuxtPlugin(() => {
  if (import.meta.dev || !('serviceWorker' in navigator)) return
  const keep = () => {
    navigator.serviceWorker.register('/sw.js').catch(() => undefined)
  }
  // After the page is there: what it keeps must not hold up what is looked at.
  if (document.readyState === 'complete') keep()
  else window.addEventListener('load', keep, { once: true })
})
