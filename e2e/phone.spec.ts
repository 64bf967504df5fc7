import { expect, type Page } from '@playwright/test'
import { reading, test } from './bench'

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

const tapPick = async (page: Page, path: string, words: RegExp) => {
  await page.locator(`[data-path="${path}"]`).first().tap()
  await page.getByRole('option', { name: words }).first().tap()
  await expect(page.getByRole('option')).toHaveCount(0)
}
const station = async (page: Page, name: string) => {
  const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(name) })
  for (let turns = 0; turns < 4 && !(await whole(page, name)); turns++) {
    await page.getByRole('button', { name: 'Stations after' }).tap()
    await atRest(page)
  }
  await link.tap()
}
/** Resolves once the strip has come to rest: the same place for some pictures on end. */
const atRest = (page: Page) =>
  page.getByRole('navigation', { name: 'Stations' }).evaluate(async strip => {
    const places = () =>
      [strip, ...strip.querySelectorAll('*')]
        .map(each => `${each.scrollLeft} ${each.getBoundingClientRect().left}`)
        .join()
    for (let [before, still] = ['', 0]; still < 6;) {
      await new Promise(done => requestAnimationFrame(done))
      const now = places()
      still = now === before ? still + 1 : 0
      before = now
    }
  })
/** Whether a station stands whole within the strip. */
const whole = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: new RegExp(name) })
    .evaluate(link => {
      const [own, strip] = [link.getBoundingClientRect(), link.parentElement!.getBoundingClientRect()]
      return own.left >= strip.left - 1 && own.right <= strip.right + 1
    })

/** Buttons and fields on the screen that a thumb would miss. */
const tooSmall = (page: Page, least: number) =>
  page.evaluate(
    most =>
      [...document.querySelectorAll<HTMLElement>('main .plain-button, main .v-field, footer button, .turn')]
        .filter(each => each.offsetParent !== null)
        .map(each => ({ text: each.innerText.slice(0, 30), high: Math.round(each.getBoundingClientRect().height) }))
        .filter(({ high }) => high > 0 && high < most),
    least,
  )

for (const gloves of [false, true])
  test(`the main job by phone, one-handed${gloves ? ' and in gloves' : ''}`, async ({ page }) => {
    await page.goto('/')
    await page.getByTestId('skip-steps').tap()
    await page.getByTestId('menu').tap()
    if (gloves) await page.getByRole('button', { name: /^gloves/ }).tap()
    await expect(page.getByRole('button', { name: /keys/ })).toBeHidden()
    await page.keyboard.press('Escape')
    await page.getByTestId('new-title').getByRole('textbox').fill('Pump foot')
    await page.getByRole('button', { name: 'Take it in' }).tap()
    await page.locator('[data-pick="takeIn.does:static"]').tap()
    await tapPick(page, 'takeIn.soak', /handled/)
    await tapPick(page, 'takeIn.cause', /dropped/)
    await page.getByLabel('What is done about that').fill('told')
    await reading(page, 'takeIn.wallMm').fill('8')
    await reading(page, 'takeIn.lengthMm').fill('200')
    await reading(page, 'takeIn.widthMm').fill('120')
    await reading(page, 'takeIn.widthMm').blur()
    // No key's letter where there are no keys.
    await expect(page.locator('footer')).toContainText('new clock')
    await expect(page.locator('footer')).not.toContainText(/\bc new|\bm instr/, { useInnerText: true })
    await station(page, 'Open')
    await expect.poll(() => whole(page, 'Open')).toBe(true)
    await page.getByTestId('add-mend').tap()
    await page.locator('[data-kind="crack"]').tap()
    const length = page.locator('input[data-path$=".readings.lengthMm"]')
    await length.fill('60')
    await length.blur()
    await expect(page.getByTestId('call')).toContainText('Groove it from one side')
    // The piece on top, the readings under it, what settles under the thumb.
    const order = await page.evaluate(() =>
      ['.piece', '.readings', '.actions'].map(css => document.querySelector(css)!.getBoundingClientRect().top),
    )
    expect(order[0]).toBeLessThan(order[1]!)
    const settle = page.getByTestId('settle')
    const box = (await settle.boundingBox())!
    expect(box.y).toBeGreaterThan(844 / 2)
    expect(await tooSmall(page, gloves ? 58 : 40)).toEqual([])
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await page.getByRole('button', { name: 'All of the piece' }).tap()
    await expect(page.locator('.readings')).toBeHidden()
    await page.getByRole('button', { name: 'Readings and call' }).tap()
    await page.getByLabel('Your name').first().fill('A hand')
    await page.getByRole('button', { name: 'I have read it' }).first().tap()
    await expect(settle).toBeEnabled()
    await settle.tap()
    await expect(page.getByRole('button', { name: 'Open again' })).toBeVisible()
    await station(page, 'Prove')
    await expect.poll(() => whole(page, 'Prove')).toBe(true)
    await page.locator('[data-check="look"]').getByRole('button', { name: 'passed' }).tap()
    await expect(page.getByTestId('call')).toContainText('1 passed')
    await page.getByTestId('menu').tap()
    await page.getByRole('link', { name: 'Day' }).tap()
    await expect(page).toHaveURL(/\/day$/)
  })
