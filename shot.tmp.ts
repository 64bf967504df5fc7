import { chromium } from '@playwright/test'
import { CHROMIUM, CHROMIUM_ARGS } from './e2e/chromium'
const [, , name, path, width = '1280', height = '800', click] = process.argv
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const page = await (await browser.newContext({ viewport: { width: Number(width), height: Number(height) } })).newPage()
page.on('console', m => { if (m.type() === 'error') console.log('console', m.text().slice(0, 300)) }); page.on('pageerror', e => console.log('error', e.message))
await page.goto('http://127.0.0.1:4999/'); await page.waitForTimeout(2500)
for (const [n, p] of path!.split(',').entries()) { await page.goto(`http://127.0.0.1:4999${p}`); await page.waitForTimeout(1800); if (click) await page.locator(click).first().click().then(() => page.waitForTimeout(800)); await page.screenshot({ path: `/tmp/${name}${n}.png` }) }
await browser.close()
