import { expect, type Locator, type Page } from '@playwright/test'
import { test } from './bench'
import { Hand } from './hand'

/** Whether a station stands whole within the strip. */
const wholeInStrip = (link: Locator) =>
  link.evaluate(element => {
    const [own, strip] = [element.getBoundingClientRect(), element.parentElement!.getBoundingClientRect()]
    return own.left >= strip.left - 1 && own.right <= strip.right + 1
  })
const price = (page: Page) => page.getByRole('navigation', { name: 'Stations' }).getByText(/about £\d/)
const handedPrice = async (page: Page) => expect(price(page)).toBeVisible()

test('a stripped M10 in a boss, from an empty shelf to a price: 4 presses and 60 keys or fewer', async ({ page }) => {
  await page.goto('/')
  const hand = new Hand(page)
  await hand.press(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' }))
  await expect(page.getByLabel('An hour of work')).toBeFocused()
  await hand.type('48')
  await hand.key('Enter')
  await expect(page.getByLabel('What is it')).toBeFocused()
  await hand.type('Cast pump foot')
  await hand.key('Enter')
  await hand.press(page.getByRole('button', { name: 'Thread' }))
  await expect(page.getByLabel('Thread', { exact: true })).toBeFocused()
  await hand.type('M10')
  await hand.key('Tab')
  await hand.type('20')
  await hand.key('Tab')
  await handedPrice(page)
  await hand.press(page.getByRole('link', { name: /Hand over/ }))
  // What nobody said is said, and what was said is not.
  await expect(page.getByTestId('assumed')).toContainText('a wall of')
  await expect(page.getByTestId('assumed')).not.toContainText('an hour at')
  expect(hand.presses).toBeLessThanOrEqual(4)
  expect(hand.keys).toBeLessThanOrEqual(60)
})

test('the same with keys alone: 25 or fewer beyond the typing', async ({ page }) => {
  await page.goto('/')
  const hand = new Hand(page)
  await expect(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' })).toBeFocused()
  await hand.key('Enter')
  await expect(page.getByLabel('An hour of work')).toBeFocused()
  await page.keyboard.type('48')
  await hand.key('Enter')
  await expect(page.getByLabel('What is it')).toBeFocused()
  await page.keyboard.type('Cast pump foot')
  await hand.key('Enter')
  await expect(page.getByRole('button', { name: 'Crack', exact: true })).toBeFocused()
  const thread = page.getByRole('button', { name: 'Thread' })
  const focused = () => thread.evaluate(element => element === document.activeElement)
  while (!(await focused()) && hand.keys < 25) await hand.key('Tab')
  await hand.key('Enter')
  await expect(page.getByLabel('Thread', { exact: true })).toBeFocused()
  await page.keyboard.type('M10')
  await hand.key('Tab')
  await page.keyboard.type('20')
  await hand.key('Tab')
  await handedPrice(page)
  expect(hand.keys).toBeLessThanOrEqual(25)
})

test('a sheet bracket with a crack, to its plan: 15 presses and 90 keys or fewer', async ({ page }) => {
  await page.goto('/')
  const hand = new Hand(page)
  await hand.press(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' }))
  await hand.press(page.getByLabel('What is it'))
  await hand.type('Sheet bracket')
  await hand.key('Enter')
  await hand.press(page.getByRole('button', { name: 'Crack', exact: true }))
  await expect(page.getByLabel('Crack you can see')).toBeFocused()
  await hand.type('45')
  await hand.key('Tab')
  await hand.press(page.getByRole('link', { name: /Take in/ }))
  // Its name has said what it was made from.
  await expect(page.getByText('as its name says')).toBeVisible()
  await hand.press(page.getByRole('button', { name: 'repeated load' }))
  await hand.press(page.locator('.v-select', { hasText: 'Oil in the metal' }))
  await hand.press(page.getByRole('option', { name: /handled/ }))
  await hand.press(page.getByLabel('Wall at the damage'))
  for (const size of ['4', '160', '60']) {
    await hand.type(size)
    await hand.key('Tab')
  }
  await hand.press(page.getByRole('link', { name: /Call/ }))
  await expect(page.getByTestId('call')).toContainText(/Mend it/)
  await hand.press(page.getByRole('link', { name: /Weld/ }))
  await expect(page.getByTestId('call')).toContainText(/\d+ A/)
  expect(hand.presses).toBeLessThanOrEqual(15)
  expect(hand.keys).toBeLessThanOrEqual(90)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  test('a crack, from an empty shelf to a price: 8 taps or fewer', async ({ page }) => {
    await page.goto('/')
    const hand = new Hand(page, true)
    await hand.press(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' }))
    await hand.press(page.getByLabel('What is it'))
    await hand.type('Lamp foot')
    await hand.press(page.getByRole('button', { name: 'Take it in' }))
    await hand.press(page.getByRole('button', { name: 'Crack', exact: true }))
    await hand.press(page.getByLabel('Crack you can see'))
    await hand.type('60')
    await hand.key('Enter')
    const handOver = page.getByRole('link', { name: /Hand over/ })
    await hand.press(page.getByRole('button', { name: 'Stations after' }))
    await expect.poll(() => wholeInStrip(handOver)).toBe(true)
    await hand.press(handOver)
    await expect(page.getByTestId('call')).toContainText(/£\d/)
    expect(hand.presses).toBeLessThanOrEqual(8)
  })
})

test('every station says what it is for, and all of them stand on one sheet', async ({ page }) => {
  await page.goto('/')
  await page.getByTestId('skip-steps').click()
  await page.getByLabel('What is it').fill('Lamp foot')
  await page.keyboard.press('Enter')
  for (const name of ['Take in', 'Know', 'Call', 'Open', 'Warm', 'Weld', 'Rebuild', 'Prove', 'Hand over']) {
    await page
      .getByRole('navigation', { name: 'Stations' })
      .getByRole('link', { name: new RegExp(name) })
      .click()
    await page.getByRole('button', { name: `What ${name} is for` }).click()
    await expect(page.getByTestId('station-help-text')).toContainText('A good answer:')
  }
  await page.getByRole('link', { name: 'All nine on one sheet, to hang up' }).click()
  await expect(page.locator('main li')).toHaveCount(9)
  await expect(page.getByTestId('print-strip')).toBeVisible()
})
