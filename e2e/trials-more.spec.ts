import { expect, type Page } from '@playwright/test'
import { addDays, format } from 'date-fns'
import { encode } from 'fast-png'
import { lens, SHOT, take } from '../core/photo/camera.fixture'
import { cardScene } from '../core/photo/card/card.fixture'
import { crackBetween, crackScene, lengthOf } from '../core/photo/lines.fixture'
import type { Point } from '../core/photo/point'
import { test } from './bench'
import { Hand } from './hand'

/** From an empty shelf to a new job, as anybody begins: a machine, the hour, what it is. */
async function takeIn(hand: Hand, title: string) {
  const { page } = hand
  await page.goto('/')
  await hand.press(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' }))
  await expect(page.getByLabel('An hour of work')).toBeFocused()
  await hand.type('48')
  await hand.key('Enter')
  await expect(page.getByLabel('What is it')).toBeFocused()
  await hand.type(title)
  await hand.key('Enter')
  await expect(page.getByRole('button', { name: 'Crack', exact: true })).toBeVisible()
}
const station = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: new RegExp(name) })

test('a tank by Friday: its promise stands on the day, kept or not, within 13 presses and 60 keys', async ({
  page,
}) => {
  const hand = new Hand(page)
  await takeIn(hand, 'Sheet tank')
  await hand.press(page.getByRole('button', { name: 'Crack', exact: true }))
  await expect(page.getByLabel('Crack you can see')).toBeFocused()
  await hand.type('90')
  await hand.key('Tab')
  await hand.press(station(page, 'Take in'))
  await hand.press(page.getByRole('button', { name: 'seals', exact: true }))
  await hand.press(page.locator('.v-select', { hasText: 'Oil in the metal' }))
  await hand.press(page.getByRole('option', { name: /handled/ }))
  await hand.press(page.getByLabel('Wall at the damage'))
  for (const size of ['3', '600', '400']) {
    await hand.type(size)
    await hand.key('Tab')
  }
  await page.getByLabel('Promised for').fill(format(addDays(new Date(), 9), 'yyyy-MM-dd'))
  await hand.press(station(page, 'Call'))
  await expect(page.getByTestId('call')).toContainText(/Mend it/)
  await hand.press(page.getByRole('link', { name: 'Day' }))
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/done .*of your hands in it/)
  await expect(page.getByRole('main')).toContainText('Sheet tank')
  await expect(page.getByText(/do not hold/)).toHaveCount(0)
  expect(hand.presses).toBeLessThanOrEqual(13)
  expect(hand.keys).toBeLessThanOrEqual(60)
})

test('the next day: the job is where it was left, with its price, and goes on at its station', async ({ page }) => {
  const hand = new Hand(page)
  await takeIn(hand, 'Cast lamp foot')
  await hand.press(page.getByRole('button', { name: 'Thread' }))
  await expect(page.getByLabel('Thread', { exact: true })).toBeFocused()
  await hand.type('M8')
  await hand.key('Tab')
  await hand.type('16')
  await hand.key('Tab')
  const price = page.getByRole('navigation', { name: 'Stations' }).getByText(/about £\d/)
  await expect(price).toBeVisible()
  const was = await price.innerText()
  await expect(page.locator('main')).toHaveAttribute('data-saving', 'false')
  await page.goto('/')
  const before = hand.presses
  await hand.press(page.getByRole('link', { name: /Cast lamp foot/ }))
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible()
  await expect(price).toHaveText(was)
  expect(hand.presses - before).toBe(1)
})

test('plain words at Ask: a drill for a tap, in one line and one key', async ({ page }) => {
  await page.goto('/')
  const hand = new Hand(page)
  await hand.press(page.getByRole('button', { name: /skip|later|without/i }).first())
  await hand.press(page.getByRole('link', { name: 'Ask' }))
  await hand.press(page.getByRole('searchbox', { name: 'Ask in plain words' }))
  await hand.type('what drill for an M8 tap')
  await hand.key('Enter')
  await expect(page.getByRole('region', { name: 'Answer' })).toContainText('6.8 mm')
  expect(hand.presses).toBeLessThanOrEqual(3)
})

test('in German from the first screen to a price, by its own labels', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('ws-language', 'de'))
  await page.goto('/')
  const hand = new Hand(page)
  await hand.press(page.getByRole('button', { name: 'AC-WIG mit 200 A, ein Handbrenner' }))
  await hand.type('48')
  await hand.key('Enter')
  await expect(page.getByLabel('Was ist es')).toBeFocused()
  await hand.type('Pumpenfuß aus Guss')
  await hand.key('Enter')
  await hand.press(page.getByRole('button', { name: 'Gewinde' }))
  await expect(page.getByLabel('Gewinde', { exact: true })).toBeFocused()
  await hand.type('M10')
  await hand.key('Tab')
  await hand.type('20,5')
  await hand.key('Tab')
  await expect(
    page
      .getByRole('navigation')
      .getByText(/etwa .*\d/)
      .first(),
  ).toBeVisible()
  await hand.press(page.getByRole('link', { name: /Übergabe|Übergeben|Herausgeben/ }))
  await expect(page.getByTestId('assumed')).toBeVisible()
  expect(hand.presses).toBeLessThanOrEqual(4)
})

test('the part put together, its crack marked, warmed and pulled on the benches', async ({ page }) => {
  test.slow()
  const hand = new Hand(page)
  await takeIn(hand, 'Cast cover')
  await hand.press(page.getByRole('button', { name: 'Crack', exact: true }))
  await expect(page.getByLabel('Crack you can see')).toBeFocused()
  await hand.type('60')
  await hand.key('Tab')
  await hand.press(station(page, 'Take in'))
  await hand.press(page.getByLabel('Wall at the damage'))
  await hand.type('8')
  await hand.key('Tab')
  await hand.press(page.getByRole('link', { name: /shape/i }).first())
  await hand.press(page.getByRole('button', { name: /cover/ }).first())
  await hand.press(page.getByRole('button', { name: 'marks on it' }))
  await hand.press(page.getByRole('button', { name: /^Place: / }))
  const sheet = page.getByTestId('part-sheet')
  const box = (await sheet.boundingBox())!
  for (const [x, y] of [
    [0.14, 0.4],
    [0.15, 0.6],
  ] as const)
    await sheet.click({ position: { x: box.width * x, y: box.height * y } })
  await hand.press(page.locator('.v-select', { hasText: 'Mark something else' }))
  await hand.press(page.getByRole('option', { name: /face/ }).first())
  await sheet.click({ position: { x: box.width * 0.45, y: box.height * 0.2 } })
  await hand.press(station(page, 'Warm'))
  await hand.press(page.getByRole('link', { name: /heat bench/i }))
  await hand.press(page.getByRole('button', { name: 'Run', exact: true }))
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Ready after|never gets/)
  await hand.press(station(page, 'Weld'))
  await hand.press(page.getByRole('link', { name: /pull/i }).first())
  await hand.press(page.getByRole('button', { name: 'Lay them' }))
  await expect(page.getByRole('columnheader', { name: 'At the end' })).toBeVisible({ timeout: 120_000 })
  expect(hand.presses).toBeLessThanOrEqual(18)
})

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('a picture with the card beside the crack: its length is read and taken, in ten taps', async ({ page }) => {
    const crack = crackBetween([108, 12], [172, 46], 0.3, 7)
    const [onCasting, card] = [crackScene(crack, 0.5, 'casting', 3), cardScene({ card: 'M' })]
    const middleMm: Point = [92, 30]
    const shot = { ...SHOT, wide: 1100, high: 560, middleMm, pxPerMm: 5.4, tiltDeg: 24, towardDeg: 70 }
    const { wide, high, rgba } = take((x, y) => (x < 99 ? card(x, y) : onCasting(x, y)), shot)
    const data = new Uint8Array(rgba.filter((_, i) => i % 4 !== 3))
    const buffer = Buffer.from(encode({ width: wide, height: high, data, channels: 3, depth: 8 }))
    const hand = new Hand(page, true)
    await page.goto('/')
    await hand.press(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' }))
    await expect(page.getByLabel('An hour of work')).toBeVisible()
    await hand.press(page.getByLabel('What is it'))
    await expect(page.getByLabel('What is it')).toBeFocused()
    await hand.type('Lamp foot')
    await hand.press(page.getByRole('button', { name: 'Take it in' }))
    await page.getByLabel('Take a picture').setInputFiles({ name: 'crack.png', mimeType: 'image/png', buffer })
    await expect(page.getByText(/Scaled by the card/)).toBeVisible()
    // The picture stands before the buttons.
    const desk = page.getByRole('application', { name: /crack\.png/ })
    const find = page.getByRole('button', { name: 'Find the scale card' })
    expect((await desk.boundingBox())!.y).toBeLessThan((await find.boundingBox())!.y)
    await hand.press(page.getByRole('button', { name: 'crack', exact: true }))
    await desk.scrollIntoViewIfNeeded()
    const { toPx } = lens(shot)
    for (const end of [crack[0]!, crack.at(-1)!]) {
      const [x, y] = toPx(end)
      const at = await desk.evaluate(
        (svg, px) => {
          const to = (svg as unknown as SVGSVGElement).getScreenCTM()!
          const { x: left, y: top } = new DOMPoint(px[0], px[1]).matrixTransform(to)
          return [left, top] as const
        },
        [x, y],
      )
      hand.presses++
      await page.touchscreen.tap(...at)
    }
    const takes = page.getByRole('button', { name: 'This is the crack' })
    await expect(takes).toBeVisible()
    const long = page.getByText(/^long/).first()
    const mm = async () => Number(/([\d.]+) mm/.exec(await long.innerText())?.[1])
    await expect.poll(mm).toBeGreaterThan(lengthOf(crack) * 0.97)
    await hand.press(takes)
    await expect(page.getByText(/±/).first()).toBeVisible()
    expect(hand.presses).toBeLessThanOrEqual(10)
  })

  test('in gloves at the arc: what was seen, the pass and the advice by big buttons alone', async ({ page }) => {
    const hand = new Hand(page, true)
    await page.goto('/')
    await hand.press(page.getByRole('button', { name: 'AC TIG of 200 A, one hand torch' }))
    await expect(page.getByLabel('An hour of work')).toBeVisible()
    await hand.press(page.getByLabel('What is it'))
    await expect(page.getByLabel('What is it')).toBeFocused()
    await hand.type('Cast lamp foot')
    await hand.press(page.getByRole('button', { name: 'Take it in' }))
    await hand.press(page.getByRole('button', { name: 'Crack', exact: true }))
    await hand.press(page.getByLabel('Crack you can see'))
    await hand.type('60')
    await hand.key('Enter')
    await hand.press(page.getByRole('button', { name: 'menu' }))
    await hand.press(page.getByRole('button', { name: /^gloves/ }))
    await page.keyboard.press('Escape')
    await hand.press(station(page, 'Weld'))
    await hand.press(page.getByRole('link', { name: /arc/i }).first())
    await hand.press(page.getByRole('button', { name: /bubbles/ }))
    await expect(page.getByText(/without rod until they stop/)).toBeVisible()
    const small = await page
      .getByRole('main')
      .getByRole('button')
      .evaluateAll(all =>
        all.filter(each => each.textContent && each.getBoundingClientRect().height < 56).map(each => each.textContent),
      )
    expect(small).toEqual([])
  })
})
