import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'
import { bringDemo } from './bench'

const STATIONS = ['take-in', 'know', 'call', 'open', 'warm', 'weld', 'rebuild', 'prove', 'hand-over'].map(
  id => `/job/gearbox-cover/${id}`,
)
const VIEWS = [
  '/',
  '/kit',
  '/ask?q=boss.compare',
  ...STATIONS,
  '/job/dome-shutter/hand-over',
  '/job/signal-bracket/weld',
  '/job/dome-shutter/record',
  '/day',
  '/threads',
  '/job/gearbox-cover/heat',
  '/job/signal-bracket/pictures',
  '/job/gearbox-cover/bench',
  '/lessons',
  '/job/signal-bracket/rebuild',
  '/job/gearbox-cover/shape',
  '/job/gearbox-cover/pull',
  '/job/gearbox-cover/puddle',
  '/puddle',
]

/** What axe finds serious or critical on a page. */
export async function serious(page: Page): Promise<string[]> {
  // No frames from elsewhere, so no page of its own is wanted to put findings together; what passed is not listed.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'], preload: false })
    .analyze()
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

const LOOKS = (['light', 'dark'] as const).flatMap(light => [1280, 390].map(width => ({ light, width })))

/** As if another window of this browser had chosen it. */
const setLight = (page: Page, light: 'light' | 'dark') =>
  page.evaluate(value => {
    localStorage.setItem('ws-light', value)
    window.dispatchEvent(new StorageEvent('storage', { key: 'ws-light', newValue: value, storageArea: localStorage }))
  }, light)

/** Every view of the made-up shop is without serious findings in both lights and widths, and no wider than a phone. */
export async function expectSound(page: Page) {
  await bringDemo(page)
  for (const view of VIEWS) {
    await page.goto(view)
    await page.waitForSelector('h1')
    if (view.startsWith('/ask')) {
      await page.getByTestId('example').click()
      await page.getByTestId('answer-chart').waitFor()
    }
    for (const { light, width } of LOOKS) {
      await page.setViewportSize({ width, height: 844 })
      await setLight(page, light)
      // Colours that fade over would be measured half way.
      await page.waitForTimeout(250)
      const looked = `${view}, ${light}, ${width} wide`
      await expect(page.locator('.v-application')).toHaveClass(new RegExp(`v-theme--${light}`))
      // What is still being worked out may hold the new layout up.
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: looked })
        .toBeLessThanOrEqual(width)
      expect(await serious(page), looked).toEqual([])
    }
  }
}
