import axe, { type RunOptions } from 'axe-core'
import { expect, type Page } from '@playwright/test'
import { bringDemo, visit } from './bench'

const STATIONS = ['take-in', 'know', 'call', 'open', 'warm', 'weld', 'rebuild', 'prove', 'hand-over'].map(
  id => `/job/gearbox-cover/${id}`,
)
const VIEWS = [
  '/',
  '/kit',
  '/ask?q=boss.compare',
  ...STATIONS,
  '/job/dome-shutter/hand-over',
  '/job/dome-shutter/weld',
  '/job/dome-shutter/record',
  '/day',
  '/threads',
  '/job/gearbox-cover/weld?mend=drain',
  '/job/signal-bracket/rebuild?mend=bolt',
  '/job/dome-shutter/open',
  '/job/gearbox-cover/heat',
  '/job/signal-bracket/pictures',
  '/job/gearbox-cover/bench',
  '/lessons',
  '/job/signal-bracket/rebuild',
  '/job/gearbox-cover/shape',
  '/job/gearbox-cover/pull',
  '/job/gearbox-cover/hold',
  '/job/gearbox-cover/puddle',
  '/puddle',
  '/join',
  '/trust',
  '/share',
]

const COLOURS = 'color-contrast'

/** What axe finds serious or critical on a page; of colours alone, or of all but them, where that is enough. */
export async function serious(page: Page, of: 'all' | 'colours' | 'all but colours' = 'all'): Promise<string[]> {
  // It stays in the page, which a press on a link does not load anew.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  const { violations } = await page.evaluate(
    options => (window as unknown as { axe: typeof axe }).axe.run(document, options),
    {
      resultTypes: ['violations'],
      preload: false,
      iframes: false,
      ...(of === 'colours' ? { runOnly: [COLOURS] } : {}),
      ...(of === 'all but colours' ? { rules: { [COLOURS]: { enabled: false } } } : {}),
    } satisfies RunOptions,
  )
  return violations
    .filter(found => found.impact === 'serious' || found.impact === 'critical')
    .map(
      found =>
        `${found.id}: ${found.nodes
          .map(node => node.target.join(' '))
          .slice(0, 4)
          .join(' | ')}`,
    )
}

/** As if another window of this browser had chosen it. */
export const setLight = (page: Page, light: 'light' | 'dark') =>
  page.evaluate(value => {
    localStorage.setItem('ws-light', value)
    window.dispatchEvent(new StorageEvent('storage', { key: 'ws-light', newValue: value, storageArea: localStorage }))
  }, light)

/** Two frames on: what was changed is laid out and painted. */
export const drawn = () => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))

/** What a browser remembers that speaks German. */
export const GERMAN = { 'ws-language': 'de' }

const PHONE = 390
const LOOKS = (['light', 'dark'] as const).flatMap(light => [1280, PHONE].map(width => ({ light, width })))
type Look = (typeof LOOKS)[number]

/**
 * What is asked of each look: the dark differs from the light in its colours alone, a phone's width from a desk's in
 * what stands where (and in the colours of what frames every view alike, seen on one), and a language in neither
 * colours nor in what the dark looks like; what has no name in it has none at either width. Nothing is asked twice.
 */
function askedOf(said: 'english' | 'translated', { light, width }: Look, frameToo: boolean) {
  if (said === 'translated') {
    if (light === 'dark') return null
    return width === PHONE ? 'all but colours' : 'width alone'
  }
  if (light === 'light') return width === PHONE && !frameToo ? 'all but colours' : 'all'
  return width === PHONE && !frameToo ? null : 'colours'
}

/** Parts that the views are looked at in, each a test of its own, so that they are shared out among workers. */
export const VIEW_PARTS = [0, 1, 2, 3].map(part => VIEWS.filter((_, n) => n % 4 === part))

/** Views of the made-up shop are without serious findings in both lights and widths, and no wider than a phone. */
export async function expectSound(page: Page, views: readonly string[], said: 'english' | 'translated') {
  await bringDemo(page, said === 'translated' ? GERMAN : {})
  for (const view of views) {
    await visit(page, view)
    await page.waitForSelector('h1')
    if (view.startsWith('/ask')) {
      await page.getByTestId('example').click()
      await page.getByTestId('answer-chart').waitFor()
    }
    for (const look of LOOKS) {
      const asked = askedOf(said, look, view === views[0])
      if (!asked) continue
      const { light, width } = look
      await page.setViewportSize({ width, height: 844 })
      await setLight(page, light)
      await page.evaluate(drawn)
      const looked = `${view}, ${light}, ${width} wide`
      await expect(page.locator('.v-application')).toHaveClass(new RegExp(`v-theme--${light}`))
      // What is still being worked out may hold the new layout up.
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: looked })
        .toBeLessThanOrEqual(width)
      if (asked !== 'width alone') expect(await serious(page, asked), looked).toEqual([])
    }
  }
}
