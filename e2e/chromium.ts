/** Debian's Chromium, kept from reaching for anything outside this machine. */
export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium'
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
  '--disable-gpu-compositing',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
