import { expect, type Page } from '@playwright/test'
import { bringDemo, reading, saved, test } from './bench'
import { killableBrowser } from './killable'

const crack = (page: Page) => reading(page, 'mends.#flange.readings.lengthMm')
/** Of the only mend of a part. */
const length = (page: Page) => page.locator('input[data-path$=".readings.lengthMm"]')

test('keeps what is typed over a reload, and takes it back with undo', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/open?mend=flange')
  await crack(page).fill('137 mm')
  await saved(page)
  await page.reload()
  await expect(crack(page)).toHaveValue('137 mm')
  await page.getByRole('button', { name: 'both', exact: true }).click()
  await expect(page.getByTestId('call')).toContainText('from both sides')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('call')).toContainText('from one side')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(page.getByTestId('call')).toContainText('from both sides')
  await page.keyboard.press('Control+z')
  await expect(page.getByTestId('call')).toContainText('from one side')
})

test('keeps what it does not understand as it was typed, and says so', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/open?mend=flange')
  for (const odd of ['3 furlongs', '-5 mm', '1e9 m', '4 3/0 in']) {
    await crack(page).fill(odd)
    await expect(page.getByTestId('call')).toContainText(/Crack you can see/i)
  }
  await crack(page).fill('3 furlongs')
  await expect(page.getByText('"furlongs" is not a unit known here')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(crack(page)).toHaveValue('3 furlongs')
})

test('two tabs do not overwrite each other', async ({ page, context }) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/open?mend=flange')
  const other = await context.newPage()
  await other.goto('/job/gearbox-cover/open?mend=flange')
  await crack(page).fill('120 mm')
  await reading(other, 'mends.#flange.readings.pastTipMm').fill('6 mm')
  await expect(crack(other)).toHaveValue('120 mm')
  await expect(reading(page, 'mends.#flange.readings.pastTipMm')).toHaveValue('6 mm')
})

test('clocks run on over a reload', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/')
  await page.locator('[data-job]').first().waitFor()
  await page.keyboard.press('c')
  await page.getByLabel('Name', { exact: true }).fill('Bake the cover')
  await page.getByLabel(/Time, such as/).fill('45 min')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByLabel('Clocks')).toContainText(/Bake the cover\s*00:4[45]:\d\d/)
  await page.reload()
  await expect(page.getByLabel('Clocks')).toContainText(/Bake the cover\s*00:4[0-4]:\d\d/)
})

test.describe('a killed browser', () => {
  const browserOf = killableBrowser(9377)
  test.afterAll(() => browserOf.clear())

  test('loses nothing that is said to be stored', async ({ baseURL }) => {
    const browser = await browserOf.start()
    const page = await browser.contexts()[0]!.newPage()
    await page.goto(`${baseURL}/`)
    await page.getByTestId('new-title').getByRole('textbox').fill('Killed part')
    await page.getByRole('button', { name: 'Take it in' }).click()
    await expect(page.getByTestId('call')).toBeVisible()
    await page.keyboard.press('4')
    await page.getByTestId('add-mend').click()
    await page.locator('[data-kind="crack"]').click()
    await length(page).fill('88 mm')
    await reading(page, 'takeIn.wallMm').fill('7 mm')
    await saved(page)
    const url = page.url()
    await browserOf.kill()
    const again = await browserOf.start()
    const back = await again.contexts()[0]!.newPage()
    await back.goto(url)
    await expect(length(back)).toHaveValue('88 mm')
    await expect(reading(back, 'takeIn.wallMm')).toHaveValue('7 mm')
    await again.close()
  })
})
