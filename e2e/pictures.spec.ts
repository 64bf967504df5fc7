import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, type Page } from '@playwright/test'
import { FLANGE, LOST_MM2, lengthMm, type Mm } from '../demo/make-pictures'
import { bringDemo, reading, saved, test, visit } from './bench'

const picture = (id: string) => fileURLToPath(new URL(`../demo/pictures/${id}.jpg`, import.meta.url))

/** Taps a place of the flange on the picture as it lies on the screen. */
async function tap(page: Page, at: Mm) {
  const point = await page.getByTestId('desk').evaluate((svg, [x, y]) => {
    const { x: left, y: top } = new DOMPoint(x, y).matrixTransform((svg as unknown as SVGSVGElement).getScreenCTM()!)
    return [left, top] as const
  }, FLANGE.view.toPx(at))
  await page.mouse.click(...point)
}

test('traces a crack in a picture taken at a slant, within a hundredth of its true length', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/open')
  await page.getByTestId('to-pictures').click()
  await page.getByTestId('add-picture').setInputFiles(picture(FLANGE.id))
  await expect(page.getByRole('button', { name: 'demo-flange.jpg' })).toBeVisible()
  await page.getByRole('button', { name: 'four corners' }).click()
  await expect(page.getByTestId('scale-wants')).toContainText('the four corners')
  await page.getByTestId('desk').scrollIntoViewIfNeeded()
  for (const corner of FLANGE.card) await tap(page, corner)
  await reading(page, 'pictures.1.scale.wideMm').fill('85.6 mm')
  await reading(page, 'pictures.1.scale.highMm').fill('54 mm')
  await page.getByTestId('new-crack').click()
  for (const point of FLANGE.crack) await tap(page, point)
  const length = async () => Number(/([\d.]+) mm/.exec(await page.getByTestId('trace-0').innerText())?.[1])
  await expect.poll(length).toBeGreaterThan(lengthMm(FLANGE.crack) * 0.99)
  expect(await length()).toBeLessThan(lengthMm(FLANGE.crack) * 1.01)

  // The last point is picked: ten pixels away and back again by the keys.
  const before = await length()
  await page.getByTestId('desk').press('Shift+ArrowRight')
  await expect.poll(length).not.toBe(before)
  await page.getByTestId('desk').press('Shift+ArrowLeft')
  await expect.poll(length).toBe(before)

  await page.getByTestId('use-crack').click()
  await saved(page)
  await visit(page, '/job/gearbox-cover/open?mend=flange')
  await expect(reading(page, 'mends.#flange.readings.lengthMm')).toHaveValue(`${before.toFixed(1)} mm`)
})

test('pictures travel in the export and come back; a file that is none is refused', async ({ page, browser }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/pictures')
  await page
    .getByTestId('add-picture')
    .setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('not a picture') })
  await expect(page.getByRole('alert')).toContainText('notes.txt: not a picture this browser can read')
  await page.getByTestId('add-picture').setInputFiles(picture(FLANGE.id))
  await expect(page.getByRole('button', { name: 'demo-flange.jpg' })).toBeVisible()
  await saved(page)
  await page.goto('/')
  const downloading = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Take the whole shop out' }).click()
  const download = await downloading
  expect(download.suggestedFilename()).toBe('wild-sparrow-shop.zip')
  const zip = readFileSync((await download.path())!)

  const other = await browser.newPage()
  await other.goto('/')
  await other
    .getByTestId('import')
    .setInputFiles({ name: 'shop.zip', mimeType: 'application/zip', buffer: zip.subarray(0, zip.length - 40) })
  await expect(other.getByRole('status')).toContainText('nothing was changed')
  await other.getByTestId('import').setInputFiles({ name: 'shop.zip', mimeType: 'application/zip', buffer: zip })
  await expect(other.getByRole('status')).toContainText('32 new')
  await other.goto('/job/gearbox-cover/pictures')
  await other.getByRole('button', { name: 'demo-flange.jpg before' }).click()
  await expect(other.getByTestId('desk').locator('image')).toHaveCount(1)
  await other.close()
})

test('lays the sound lug on the broken one and gives what is missing on paper and as DXF', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/pictures')
  await expect(page.getByRole('button', { name: 'broken lug.jpg' })).toBeVisible()
  const missing = await page.getByTestId('missing').innerText()
  expect(Number(/([\d.]+) cm²/.exec(missing)?.[1])).toBeCloseTo(LOST_MM2 / 100, 1)
  for (const [button, ending, start] of [
    ['template-pdf', '.pdf', '%PDF'],
    ['template-dxf', '.dxf', '0\nSECTION'],
  ] as const) {
    const downloading = page.waitForEvent('download')
    await page.getByTestId(button).click()
    const download = await downloading
    expect(download.suggestedFilename()).toContain(ending)
    const text = readFileSync((await download.path())!, 'latin1')
    expect(text.trimStart().startsWith(start)).toBe(true)
    if (ending === '.dxf') expect(text).toContain('MISSING_1')
  }
})

test('a picture that is still being read when its job is left goes to that job and no other', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/press-tray/pictures')
  // As slow as a large one on a phone, and let go by hand.
  await page.evaluate(() => {
    const read = createImageBitmap as (...given: unknown[]) => Promise<ImageBitmap>
    const held = new Promise<void>(go => Object.assign(window, { go }))
    Object.assign(window, { createImageBitmap: (...given: unknown[]) => held.then(() => read(...given)) })
  })
  await page.getByTestId('add-picture').setInputFiles(picture(FLANGE.id))
  await visit(page, '/job/vent-fan/pictures')
  await expect(page.getByTestId('add-picture')).toBeAttached()
  await page.evaluate(() => (window as unknown as { go: () => void }).go())
  await visit(page, '/job/press-tray/pictures')
  await expect(page.getByRole('button', { name: 'demo-flange.jpg' })).toBeVisible()
  await visit(page, '/job/vent-fan/pictures')
  await expect(page.getByTestId('add-picture')).toBeAttached()
  await expect(page.getByRole('button', { name: 'demo-flange.jpg' })).toHaveCount(0)
})
