import { expect } from '@playwright/test'
import { bringDemo, saved, test, visit } from './bench'

test('the part is bolted and pressed by a tap, and bears its load new, cracked and mended', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/call')
  await page.getByTestId('to-hold-bench').click()
  await expect(page.getByTestId('hold-wants')).toContainText('bolted or clamped')
  const canvas = page.getByTestId('part-turned').locator('canvas')
  await expect(canvas).toBeVisible()
  const list = page.locator('section.readings ol li')
  const put = async (what: string, x: number, y: number, count: number) => {
    await page.getByTestId(`put-${what}`).click()
    await canvas.scrollIntoViewIfNeeded()
    const box = (await canvas.boundingBox())!
    await canvas.click({ position: { x: box.width * x, y: box.height * y } })
    await expect(list).toHaveCount(count)
  }
  await put('held', 0.38, 0.5, 1)
  await expect(page.getByTestId('hold-wants')).toContainText('what pulls on it')
  await put('held', 0.5, 0.38, 2)
  await put('held', 0.5, 0.62, 3)
  await put('pressed', 0.62, 0.5, 4)
  await page.getByTestId('run-hold').click()
  const rows = page.getByTestId('held').locator('tbody tr')
  await expect(page.getByTestId('held')).toContainText('a plate as thick as the wall over it', { timeout: 120_000 })
  await expect(page.getByTestId('run-hold')).toBeVisible({ timeout: 60_000 })
  await expect(page.getByTestId('hold-call')).toContainText('times that load')
  const bears = async (state: string) => Number(await rows.filter({ hasText: state }).locator('td').nth(1).innerText())
  expect(await bears('mended as planned')).toBeLessThanOrEqual(await bears('as it was new'))
  await saved(page)
  await page.reload()
  await expect(list).toHaveCount(4)
  await page.getByLabel('How hard: pressed in here').fill('900')
  await page.getByLabel('How hard: pressed in here').blur()
  await saved(page)
  await list.last().getByRole('button', { name: 'Take off' }).click()
  await expect(list).toHaveCount(3)
})
