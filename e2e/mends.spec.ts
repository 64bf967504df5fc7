import { expect, type Page } from '@playwright/test'
import { askOnCommandLine, askServer, bringDemo, demoText, saved, test, visit } from './bench'

const field = (page: Page, end: string) => page.locator(`input[data-path$=".readings.${end}"]`)

test('a stripped drain boss, and nothing else, reaches a price with no field about cracks on the way', async ({
  page,
}) => {
  await page.goto('/')
  await page.getByTestId('new-title').getByRole('textbox').fill('Drain boss of a press')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await page.getByTestId('broken').click()
  await page.getByRole('option', { name: 'Thread', exact: true }).click()
  await expect(page.getByTestId('mend-wants')).toContainText('how deep it is')
  await page.getByLabel('Thread', { exact: true }).fill('M10')
  await field(page, 'deepMm').fill('18 mm')
  await expect(page.getByTestId('mend-call')).toContainText('wire insert')
  await expect(page.getByTestId('section')).toBeVisible()
  expect((await page.locator('main').innerText()).toLowerCase()).not.toMatch(/stop-hole|both ends of the crack/)
  await saved(page)
  await page.getByRole('link', { name: /Hand over/ }).click()
  await expect(page.getByTestId('call')).toContainText('in all')
})

test('a wide hole takes a patch, is filled when that is picked, and left to the plan again', async ({ page }) => {
  await page.goto('/')
  await page.getByTestId('new-title').getByRole('textbox').fill('Bin with a hole')
  await page.getByRole('button', { name: 'Take it in' }).click()
  await page.getByTestId('broken').click()
  await page.getByRole('option', { name: 'Hole to fill', exact: true }).click()
  await field(page, 'diameterMm').fill('40 mm')
  await expect(page.getByTestId('mend-call')).toContainText('a round patch let in')
  await expect(page.getByText('filled where it carries load')).toBeVisible()
  await page.getByRole('button', { name: 'filled solid' }).click()
  await expect(page.getByTestId('mend-call')).not.toContainText('patch')
  await page.getByRole('button', { name: 'filled solid' }).click()
  await expect(page.getByTestId('mend-call')).toContainText('a round patch let in')
  await saved(page)
})

test('three damages of three kinds on one part: each drawn, planned, laid, rebuilt, proved and priced; a wall changed marks what is stale', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/press-tray/open')
  for (const [kind, fill] of [
    ['overlay', { wideMm: '120 mm', highMm: '80 mm' }],
    ['hole', { diameterMm: '8 mm' }],
    ['joint', { lengthMm: '90 mm' }],
  ] as const) {
    await page.getByTestId('add-mend').click()
    await page.locator(`[data-kind="${kind}"]`).click()
    await expect(page.locator(`[data-mend="${kind}"]`)).toHaveAttribute('aria-current', 'true')
    for (const [key, value] of Object.entries(fill)) await field(page, key).fill(value)
    if (kind === 'joint') {
      await page.locator('[data-path$=".readings.joint"]').first().click()
      await page.getByRole('option', { name: 'at a corner' }).click()
    }
    await expect(page.getByTestId('section')).toBeVisible()
    await expect(page.getByTestId('mend-call')).toContainText('in 100 last')
    await expect(page.getByTestId('mend-price')).toContainText('£')
  }
  await saved(page)
  await visit(page, '/job/press-tray/weld')
  await page.locator('[data-mend="overlay"]').click()
  await expect(page.getByTestId('lays')).toContainText('1')
  const laid = await page.locator('.takes').innerText()
  await visit(page, '/job/press-tray/rebuild')
  await page.getByTestId('settle').click()
  await saved(page)
  await visit(page, '/job/press-tray/take-in')
  await page.locator('[data-path="takeIn.wallMm"]').fill('4 mm')
  await expect(page.getByRole('link', { name: /Rebuild stale/ })).toBeVisible()
  await visit(page, '/job/press-tray/weld')
  await page.locator('[data-mend="overlay"]').click()
  await expect(page.locator('.takes')).not.toHaveText(laid)
  // The command line says the same of the same mend.
  const answer = askOnCommandLine<{ mends: { depositG: number }[] }>('job.plan', {
    part: { does: 'seal', soak: 'dry', massG: 1500, bodies: [{ id: 'a', alloy: '356', wallMm: 4 }] },
    mends: [{ id: 'o', kind: 'overlay', wideMm: 120, highMm: 80 }],
  })
  await expect(page.locator('.takes')).toContainText(answer.mends[0]!.depositG.toPrecision(3))
  // Taken off, and brought back by undo.
  await page.getByTestId('drop-mend').click()
  await expect(page.locator('[data-mend="overlay"]')).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(page.locator('[data-mend="overlay"]')).toHaveCount(1)
  await visit(page, '/job/press-tray/prove')
  await expect(page.locator('main')).toContainText('Fit with the real part')
})

test('each mend has its passes to tick and its own log, at Weld and in gloves, and the record names it', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/lamp-yoke/weld?mend=ear')
  const first = page.locator('.passes input').first()
  await first.check()
  await expect(page.getByText(/^What pass 2 did/)).toBeVisible()
  await page.locator('[data-saw="black-specks"]').click()
  await expect(page.getByRole('status').filter({ hasText: 'Next move' })).toBeVisible()
  await saved(page)
  await page.getByTestId('to-bench').click()
  await expect(page.locator('.pass')).toContainText('Pass 2')
  await page.getByTestId('pass-laid').click()
  await page.getByRole('link', { name: 'Back' }).click()
  await expect(page).toHaveURL(/weld\?mend=ear/)
  await saved(page)
  await page.reload()
  await expect(page.locator('.passes input').nth(1)).toBeChecked()
  // The other mends know nothing of it.
  await visit(page, '/job/lamp-yoke/weld?mend=clamp')
  await expect(page.locator('.passes input').first()).not.toBeChecked()
  await visit(page, '/job/lamp-yoke/record')
  await expect(page.getByRole('row', { name: /black specks/ })).toContainText(/ear|lug|joint/i)
})

test("a mend's groove is dragged, its machine set and its thread tapped by the list, and all of it is kept", async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/mill-cover/open')
  await page.getByRole('slider', { name: /included angle/ }).focus()
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight')
  await expect(field(page, 'includedDeg')).toHaveValue(/^75/)
  await visit(page, '/job/gearbox-cover/weld?mend=drain')
  const setUp = page.locator('[data-set-up="ac-tig"]')
  await expect(setUp.getByTestId('amps')).toHaveText(/^\d+(\.\d)? A$/)
  await setUp.getByTestId('amps').click()
  await expect(page.getByRole('dialog', { name: 'Working' })).toContainText('Current for this wall')
  await page.getByRole('button', { name: 'Close' }).click()
  await visit(page, '/job/gearbox-cover/rebuild?mend=drain')
  await page.getByTestId('machining').getByRole('checkbox', { name: 'zero' }).check()
  await expect(page.getByText('At the machine, 1 of')).toBeVisible()
  await expect(page.getByRole('region', { name: 'Ways of giving the thread back' })).toContainText('weld it up')
  await saved(page)
  await page.reload()
  await expect(page.getByText('At the machine, 1 of')).toBeVisible()
})

test('what is to pay at Hand over is what the route answers of the stored job, step by step', async ({ page }) => {
  await bringDemo(page)
  const { jobs, kit } = JSON.parse(demoText()) as { jobs: { id: string }[]; kit: unknown }
  for (const id of ['gearbox-cover', 'cider-tray', 'lamp-yoke', 'finder-ring', 'bar-hanger']) {
    const stored = jobs.find(job => job.id === id)
    const { totals, steps } = await askServer<{ totals: { price: number }; steps: { price: number }[] }>(
      page,
      'job.plan',
      { kit, stored },
    )
    await visit(page, `/job/${id}/hand-over`)
    await expect(page.getByTestId('price-total')).toHaveText(`£${totals.price.toFixed(2)}`)
    expect(steps.reduce((sum, { price }) => sum + price, 0)).toBeCloseTo(totals.price, 6)
    await page.getByText('All that is done, in order').click()
    await expect(page.getByTestId('all-steps').locator('tbody tr').first()).toBeVisible()
  }
})

test('Call says what was decided and what else was open', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/call')
  await page.getByText('What was decided, and what else was open').click()
  const decided = page.getByTestId('decisions')
  await expect(decided).toContainText('AC TIG')
  await expect(decided).toContainText('not in the kit')
  await expect(decided).toContainText('First in rank of what is there')
})
