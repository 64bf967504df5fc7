import { existsSync } from 'node:fs'
import sought from '../tools/chromium.json' with { type: 'json' }

/** Debian's Chromium: the one without a window where it is installed, else the one with. */
export const CHROMIUM =
  process.env.CHROMIUM ?? (sought.packages.find(({ path }) => existsSync(path)) ?? sought.packages[0]!).path

/** Keeps it from reaching for anything outside this machine, and has it draw without a graphics card. */
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

/**
 * For tests of what the application does, not of how fast: a page that lives for seconds is gone before it has any good
 * of scripts being optimised and memory tidied beside it, and that took a third of two cores from the tests.
 */
export const TEST_ARGS = [
  ...CHROMIUM_ARGS,
  '--js-flags=--single-threaded --no-turbofan --min-semi-space-size=32 --max-semi-space-size=64',
]
