import { expect } from '@playwright/test'
import { bringDemo, test, visit } from './bench'
import { misplaced } from './layout'
import { drawn, setLight, VIEW_PARTS } from './views'

test.describe.configure({ mode: 'parallel' })

/** Desks, tablets, a phone, and half of the first two: a reader at 200 %. */
const SIZES = [
  [1280, 800],
  [1024, 768],
  [768, 1024],
  [640, 400],
  [512, 384],
  [390, 844],
] as const

VIEW_PARTS.forEach((views, part) =>
  test(`nothing is cut, on one another or faint at any width, at 100 and 200 %, in either light: part ${part + 1}`, async ({
    page,
  }) => {
    await bringDemo(page)
    for (const view of views) {
      await visit(page, view)
      await page.waitForSelector('h1')
      await expect(page.getByText('Working it out…')).toHaveCount(0)
      for (const [width, height] of SIZES)
        for (const light of width === 1280 ? (['light', 'dark'] as const) : (['light'] as const)) {
          await page.setViewportSize({ width, height })
          await setLight(page, light)
          await page.evaluate(drawn)
          await expect.poll(() => misplaced(page), { message: `${view}, ${light}, ${width} wide` }).toEqual([])
        }
    }
  }),
)
