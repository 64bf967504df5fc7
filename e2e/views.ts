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
  const { violations } = await new AxeBuilder({ page }).analyze()
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

export interface Looked {
  light: 'light' | 'dark'
  width: 1280 | 390
}

/** Every view of the made-up shop is without serious findings, and no wider than a phone. */
export async function expectSound(page: Page, { light, width }: Looked) {
  await bringDemo(page)
  await page.setViewportSize({ width, height: 844 })
  await page.evaluate(value => localStorage.setItem('ws-light', value), light)
  for (const view of VIEWS) {
    await page.goto(view)
    await page.waitForSelector('h1')
    if (view.startsWith('/ask')) {
      await page.getByTestId('example').click()
      await page.getByTestId('answer-chart').waitFor()
    }
    await page.waitForTimeout(250)
    expect(await serious(page), view).toEqual([])
    if (width < 500)
      expect(await page.evaluate(() => document.documentElement.scrollWidth), view).toBeLessThanOrEqual(width)
  }
}
