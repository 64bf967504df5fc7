import { expect } from '@playwright/test'
import { askServer, bringDemo, pick, reading, saved, test, visit } from './bench'

test('evidence moves the odds; bad evidence is refused in words, and stays as entered', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/press-tray/know')
  await expect(page.getByTestId('call')).toContainText('Nothing seen yet')
  await pick(page, 'know.form', 'sheet or plate')
  await expect(page.getByTestId('call')).toContainText('Wrought Al-Mg')
  await reading(page, 'know.iacsPct').fill('300 %')
  await expect(page.getByLabel('Why')).toContainText('outside 1 to 65')
  await expect(reading(page, 'know.iacsPct')).toHaveValue('300 %')
  await reading(page, 'know.iacsPct').fill('35 %')
  await reading(page, 'know.dryG').fill('100 g')
  await reading(page, 'know.submergedG').fill('120 g')
  await expect(page.getByLabel('Why')).toContainText('no less under water')
  await reading(page, 'know.submergedG').fill('85 g')
  await expect(page.getByLabel('Why')).toContainText('does not fit the rest')
})

test("an analyser's reading comes typed, as CSV, or from the stand-in, and names the alloy", async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/press-tray/know')
  const field = page.getByLabel('Si 7.1, Mg 0.3, Cu 0.1')
  await field.fill('Si 0.1, Mg 2.5, Cr 0.25, Cu 0.05')
  await expect(page.getByLabel('Why')).toContainText('fits 5052 best')
  await field.fill('Si 300')
  await expect(page.getByLabel('Why')).toContainText('outside 0 to 100')
  await page
    .locator('[data-test="composition"] input[type="file"]')
    .setInputFiles({
      name: 'reading.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('element,percent\nSi,7.0\nMg,0.35\nCu,0.05\n'),
    })
  await expect(page.getByTestId('call')).toContainText('Cast Al-Si-Mg')
  await page.getByRole('button', { name: 'Stand-in analyser' }).click()
  await expect(field).toHaveValue(/Si,\d/)
})

test('the crack map shows the bead that the server reckons, and follows the dilution', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/dome-shutter/call')
  const index = async (dilutionPct: number, passes: number) => {
    const { beads } = await askServer<{ beads: { index: number }[] }>(page, 'weld.crackMap', {
      base: { alloy: '6061' },
      filler: '5356',
      dilutionPct,
      passes,
      points: 5,
    })
    return beads.at(-1)!.index.toFixed(2)
  }
  await expect(page.getByTestId('bead-index')).toHaveText(await index(30, 1))
  await reading(page, 'call.dilutionPct').fill('80 %')
  await expect(page.getByTestId('bead-index')).toHaveText(await index(80, 1))
  await page.getByRole('slider', { name: /Dilution/ }).focus()
  await page.keyboard.press('ArrowLeft')
  await expect(reading(page, 'call.dilutionPct')).toHaveValue('79 %')
  await page.getByRole('button', { name: '3', exact: true }).click()
  await expect(page.getByTestId('bead-index')).toHaveText(await index(79, 3))
  const handle = (await page.getByRole('slider', { name: /Dilution/ }).boundingBox())!
  await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2)
  await page.mouse.down()
  await page.mouse.move(handle.x - 20, handle.y - 140, { steps: 5 })
  await page.mouse.up()
  await expect(reading(page, 'call.dilutionPct')).not.toHaveValue('79 %')
})

test("a fillers' choice against the service is said out loud", async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/take-in')
  await reading(page, 'takeIn.hotC').fill('90 °C')
  await saved(page)
  await visit(page, '/job/gearbox-cover/call')
  await pick(page, 'call.filler', /5356 \(never\)/)
  await expect(page.getByLabel('Why')).toContainText('this service says never to')
  await expect(page.getByLabel('Why')).toContainText('65 °C')
})

test('every way stands with its price and chance; one is picked by the keys, taken, and undone as one deed', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/dome-shutter/call')
  const call = page.getByTestId('call')
  await expect(call).toContainText('£')
  const before = await call.innerText()
  await page.getByTestId('ways-look').click()
  const marks = page.getByTestId('ways').locator('.mark')
  await expect(marks.first()).toBeVisible()
  await marks.first().focus()
  for (let n = 0; n < (await marks.count()) && !(await page.getByTestId('way-take').isVisible()); n++)
    await page.keyboard.press('ArrowRight')
  const price = /£[\d.]+/.exec(await page.getByTestId('way-picked').innerText())![0]
  await page.getByTestId('way-take').click()
  await expect(call).toContainText(price)
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(call).toHaveText(before)
})

test('a reading that is guessed makes the price less sure, and is named to be measured', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/dome-shutter/call')
  const range = page.getByTestId('matters-range')
  const breadth = async () => {
    const [low, high] = [...(await range.innerText()).matchAll(/£([\d.]+)/g)].map(([, figure]) => Number(figure))
    return high! - low!
  }
  await expect(range).toBeVisible()
  const measured = await breadth()
  await page.getByTestId('matters-table').locator('summary').click()
  await pick(page, 'call.sure.part--wallMm', 'guessed')
  await expect.poll(breadth).toBeGreaterThan(measured)
  await expect(page.getByTestId('measure-next')).toContainText(/Measure next|Good enough/)
})
