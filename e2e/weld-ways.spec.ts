import { expect, type Page } from '@playwright/test'
import { askServer, bringDemo, kitHolds, pick, reading, saved, test, visit } from './bench'

const process = async (page: Page, words: string | RegExp) => {
  await visit(page, '/job/signal-bracket/call')
  await page.locator('[data-path="call.process"]').first().waitFor()
  await pick(page, 'call.process', words)
  await saved(page)
  await visit(page, '/job/signal-bracket/weld?mend=lug')
}

test('brazing: rod, part and flame on one scale, a flame that is too small, and the clock of the cooling', async ({
  page,
}) => {
  await bringDemo(page)
  await process(page, /zinc-aluminium rod/)
  // What was laid by the arc is ticked; the rod runs in anew.
  await expect(page.getByRole('list').getByRole('checkbox', { checked: true }).first()).toBeVisible()
  for (const box of await page.getByRole('list').getByRole('checkbox').all()) await box.uncheck()
  await expect(page.getByTestId('call')).toContainText('Braze it with the zinc-aluminium rod at 400 °C')
  await expect(page.getByRole('img', { name: /Room between the rod/ })).toBeVisible()
  await page.getByTestId('start-clock').filter({ hasText: 'Slow cool' }).click()
  await expect(page.getByLabel('Clocks')).toContainText('Slow cool')
  await page.locator('[data-pick="warm.torch:hot-air"]').click()
  // The part's shape says what has to be warmed: a plate far wider than the flame can keep hot.
  await visit(page, '/job/signal-bracket/shape')
  await page.locator('[data-piece="p1"]').click()
  await reading(page, 'shape.pieces.#p1.size.widthMm').fill('600 mm')
  await saved(page)
  await visit(page, '/job/signal-bracket/weld?mend=lug')
  await expect(page.getByTestId('call')).toContainText('never brings it')
  await page.locator('[data-pick="warm.torch:propylene"]').click()
  await reading(page, 'takeIn.hotC').fill('180 °C')
  await expect(page.getByTestId('call')).toContainText('Do not braze it')
})

test('a flame: a torch that draws its own air makes no puddle, one fed with oxygen does, and the log holds the torch', async ({
  page,
}) => {
  await bringDemo(page)
  await process(page, /oxy-fuel/)
  await expect(page.getByTestId('call')).toContainText('The propylene torch makes no puddle')
  await visit(page, '/kit')
  await page.getByLabel('Gas', { exact: true }).first().fill('oxy-acetylene')
  await page.getByLabel('Power', { exact: true }).first().fill('9 kW')
  await page.getByLabel('Power', { exact: true }).first().blur()
  await kitHolds(page, '"powerW":9000')
  await visit(page, '/job/signal-bracket/weld?mend=lug')
  await expect(page.getByTestId('call')).toContainText(/a puddle in about \d+ s/)
  await expect(page.getByRole('img', { name: /Temperature under the flame/ })).toBeVisible()
  await page.locator('[data-saw="wets-clean"]').click()
  await expect(page.getByText(/propylene torch, part from/).first()).toBeVisible()
})

test("a gun: wire and volts are the server's, and the output is turned down as the part soaks up heat", async ({
  page,
}) => {
  await bringDemo(page)
  await process(page, /spool-gun MIG/)
  // What was laid by rod is ticked; the gun's own beads are fewer, and begin anew.
  await expect(page.getByRole('list').getByRole('checkbox', { checked: true }).first()).toBeVisible()
  for (const box of await page.getByRole('list').getByRole('checkbox').all()) await box.uncheck()
  await expect(page.getByTestId('call')).toContainText(/Weld at \d+ A, spray: wire/)
  const { wireMMin } = await askServer<{ wireMMin: number }>(page, 'mig.setup', {
    wallMm: 6,
    wireMm: 0.9,
    filler: '4043',
    mode: 'spray',
    startC: 95,
  })
  await expect(page.getByTestId('call')).toContainText(`${wireMMin.toPrecision(3)} m/min`)
  await visit(page, '/job/signal-bracket/warm')
  await reading(page, 'warm.massG').fill('300 g')
  await saved(page)
  await visit(page, '/job/signal-bracket/open?mend=lug')
  await reading(page, 'mends.#lug.readings.lengthMm').fill('500 mm')
  await saved(page)
  await visit(page, '/job/signal-bracket/weld?mend=lug')
  await expect(page.getByTestId('turn-down')).toContainText('100 %')
  expect(await page.getByTestId('turn-down').locator('tbody tr').count()).toBeGreaterThan(2)
})

test('halves set apart and a copied balance: the wave follows, and the trap is named', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/weld?mend=lug')
  await reading(page, 'weld.epA').fill('120 A')
  await expect(page.getByText(/Set apart: .* negative, 120 A positive/)).toBeVisible()
  await reading(page, 'weld.copiedDial').fill('70')
  await expect(page.getByText(/Trap: the copied 70 was the share electrode negative/)).toBeVisible()
  await reading(page, 'weld.copiedDial').fill('900')
  await expect(page.getByText(/no setting for aluminium/)).toBeVisible()
})
