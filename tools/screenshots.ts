import { mkdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { chromium } from '@playwright/test'
import { startServer } from '../bench/server'
import { CHROMIUM, CHROMIUM_ARGS } from '../e2e/chromium'

/** Takes one picture of each main view from the demo data, into docs/screenshots. Wants a build. */
const OUT = fileURLToPath(new URL('../docs/screenshots/', import.meta.url))

const VIEWS: readonly (readonly [name: string, path: string])[] = [
  ['shelf', '/'],
  ['take-in', '/job/gearbox-cover/take-in'],
  ['know', '/job/gearbox-cover/know'],
  ['call', '/job/gearbox-cover/call'],
  ['open', '/job/gearbox-cover/open?mend=flange'],
  ['warm', '/job/gearbox-cover/warm'],
  ['weld', '/job/signal-bracket/weld?mend=lug'],
  ['rebuild', '/job/lamp-yoke/rebuild?mend=clamp'],
  ['prove', '/job/dome-shutter/prove'],
  ['hand-over', '/job/dome-shutter/hand-over'],
  ['kit', '/kit'],
  ['ask', '/ask?q=heat.preheat'],
  ['heat', '/job/gearbox-cover/heat'],
  ['pictures', '/job/signal-bracket/pictures'],
  ['day', '/day'],
  ['threads', '/threads'],
  ['lessons', '/lessons'],
  ['shape', '/job/gearbox-cover/shape'],
  ['puddle', '/puddle?lesson=feed'],
]

mkdirSync(OUT, { recursive: true })
const server = await startServer()
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(server.address)
  await page
    .getByRole('button', { name: /made-up shop/i })
    .first()
    .click()
  await page.getByText('Gearbox cover').first().waitFor()
  await page.evaluate(() => localStorage.setItem('ws-light', 'light'))
  for (const [name, path] of VIEWS) {
    await page.goto(server.address + path.slice(1))
    await page.waitForSelector('h1')
    // The pictures are of the shop, not of the notice that it is a made-up one.
    await page.evaluate(() => document.querySelector('[data-testid="made-up"]')?.remove())
    if (name === 'ask') await page.getByRole('button', { name: 'Put in an example' }).click()
    if (name === 'heat') {
      await page.getByTestId('run-heat').click()
      await page.getByTestId('one-change').waitFor()
    }
    if (name === 'shape') {
      await page.getByTestId('to-marks').click()
      await page.getByTestId('turn-part').click()
    }
    if (name === 'puddle') {
      await page.getByTestId('start').click()
      const box = (await page.getByTestId('stage').boundingBox())!
      const to = (xMm: number) => page.mouse.move(box.x + (xMm / 60) * box.width, box.y + box.height / 2)
      await to(14)
      await page.mouse.down()
      await page.waitForTimeout(2200)
      for (let xMm = 15; xMm < 34; xMm++) {
        await to(xMm)
        if (xMm % 2) await page.keyboard.press('Space')
        await page.waitForTimeout(220)
      }
    }
    if (name === 'threads') {
      await page.getByTestId('thread-diameter').fill('13.1 mm')
      await page.getByTestId('thread-pitch').fill('19')
    }
    if (name === 'shelf') await page.getByText('holds:').first().waitFor({ timeout: 60_000 })
    if (name === 'day') await page.getByTestId('day-call').waitFor({ timeout: 60_000 })
    await page.waitForTimeout(name === 'day' ? 3000 : 900)
    await page.screenshot({ path: `${OUT}${name}.png` })
  }
} finally {
  await browser.close()
  server.stop()
}
