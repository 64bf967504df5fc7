import { chromium } from '@playwright/test'
import { startServer } from './bench/server'
import { CHROMIUM, CHROMIUM_ARGS } from './e2e/chromium'
const server = await startServer()
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
for (const [size, w, h] of [['d', 1280, 800], ['p', 390, 844]] as const) {
  const page = await browser.newPage({ viewport: { width: w, height: h } })
  page.on('pageerror', e => console.log('ERR', e.message))
  page.on('console', m => m.type() === 'error' && console.log('CON', m.text()))
  await page.goto(server.address)
  await page.getByRole('button', { name: /made-up shop/i }).first().click()
  await page.getByText('Gearbox cover').first().waitFor()
  await page.goto(server.address + 'job/gearbox-cover/call')
  await page.waitForSelector('h1')
  await page.evaluate(() => { document.querySelector('[data-testid="made-up"]')?.remove()})
  const t = Date.now()
  await page.getByTestId('matters').waitFor({ timeout: 60000 })
  console.log('matters', Date.now() - t)
  const t1 = Date.now()
  await page.getByTestId('ways-look').click()
  await page.locator('[data-testid=ways] svg.drawing').waitFor({ timeout: 90000 })
  console.log('ways', Date.now() - t1)
  await page.locator('[data-testid=ways] .mark').last().click()
  await page.evaluate(() => document.querySelectorAll('[data-testid=matters-table],[data-testid=ways-table]').forEach(d => ((d as HTMLDetailsElement).open = true)))
  console.log(await page.getByTestId('ways').innerText())
  console.log(await page.getByTestId('matters').innerText())
  await page.getByTestId('ways').scrollIntoViewIfNeeded()
  await page.getByTestId('ways').screenshot({ path: `/tmp/t/ways-${size}.png` })
  await page.getByTestId('matters').screenshot({ path: `/tmp/t/matters-${size}.png` })
  if (size === 'd') {
    await page.getByTestId('way-take').click()
    await page.waitForTimeout(1500)
    console.log(await page.locator('h1').first().innerText(), (await page.getByTestId('ways').innerText()).slice(0, 300))
  }
}
await browser.close(); await server.stop?.()
process.exit(0)
