import { expect, type Page } from '@playwright/test'
import { bringDemo, reading, saved, test } from './bench'

const WORKERS = '**/_nuxt/workers/**'

/** Ends every worker of a page from within, as a full memory would: nothing tells of it. */
const endWorkers = (page: Page) =>
  Promise.all(page.workers().map(worker => worker.evaluate(() => self.close()).catch(() => undefined)))

test('a worker that ends in silence is begun anew: the next reading is answered, nothing stands unmarked', async ({
  page,
}) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/open?mend=flange')
  await expect(page.getByTestId('call')).toContainText('from one side')
  for (const side of ['both', 'one'] as const) {
    await endWorkers(page)
    await page.getByRole('button', { name: side, exact: true }).click()
    await expect(page.getByTestId('call')).toContainText(`from ${side} side`)
  }
  await saved(page)
})

test('a script that cannot be had is said where the call would stand, and tried again by itself', async ({ page }) => {
  await bringDemo(page)
  let isShut = true
  await page.route(WORKERS, route => (isShut ? route.abort() : route.continue()))
  await page.goto('/job/gearbox-cover/open?mend=flange')
  await expect(page.getByTestId('plan-trouble')).toContainText('could not be fetched')
  isShut = false
  await expect(page.getByTestId('call')).not.toBeEmpty()
})

test('a call from before the last change is marked while its worker cannot be had', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/open?mend=flange')
  await expect(page.getByTestId('call')).not.toBeEmpty()
  await page.route(WORKERS, route => route.abort())
  await endWorkers(page)
  await reading(page, 'mends.#flange.readings.lengthMm').fill('139 mm')
  await expect(page.getByTestId('plan-trouble')).toContainText('from before the last change')
  await page.unroute(WORKERS)
  await page.getByRole('button', { name: 'Try now' }).click()
  await expect(page.getByTestId('plan-trouble')).toHaveCount(0)
})
