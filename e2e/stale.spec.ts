import { expect } from '@playwright/test'
import { bringDemo, reading, saved, test, visit } from './bench'

test('an answer changed upstream marks what depends on it, and says what changed', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/warm')
  await expect(page.getByText('Wall at the damage was 6.3 mm, now 8.0 mm')).toBeVisible()
  await page.getByTestId('settle').click()
  await expect(page.getByText('Settled on something else')).toHaveCount(0)
  await reading(page, 'takeIn.wallMm').fill('12 mm')
  const strip = page.getByRole('navigation', { name: 'Stations' })
  for (const name of ['Take in', 'Call', 'Warm'])
    await expect(strip.getByRole('link', { name: new RegExp(`${name} stale`) })).toBeVisible()
  await expect(strip.getByRole('link', { name: /Know stale/ })).toHaveCount(0)
  await expect(page.getByText('Wall at the damage was 8.0 mm, now 12.0 mm')).toBeVisible()
})

test('dragging the groove changes the readings, by hand and by key', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/open?mend=flange')
  const lip = page.getByRole('slider', { name: /included angle/ })
  await lip.focus()
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight')
  await expect(reading(page, 'mends.#flange.readings.includedDeg')).toHaveValue('75 °')
  const box = (await page.getByRole('slider', { name: /the depth/ }).boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y - 30, { steps: 4 })
  await page.mouse.up()
  await expect(reading(page, 'mends.#flange.readings.landMm')).not.toHaveValue('2 mm')
  await saved(page)
  await visit(page, '/job/gearbox-cover/weld?mend=flange')
  await page.getByRole('slider', { name: /Balance/ }).focus()
  await page.keyboard.press('ArrowRight')
  await expect(reading(page, 'weld.enPct')).toHaveValue('69 %')
})

test('u swaps the reading system everywhere and changes nothing stored', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/open?mend=flange')
  await expect(page.getByTestId('call')).toContainText('6.0 mm deep')
  await page.keyboard.press('u')
  await expect(page.getByTestId('call')).toContainText('0.236 in deep')
  await expect(reading(page, 'mends.#flange.readings.lengthMm')).toHaveValue('4 3/8 in')
})
