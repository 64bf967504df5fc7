import { chromium } from '@playwright/test'
import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { CHROMIUM, CHROMIUM_ARGS } from './e2e/chromium'
const server = spawn('node', ['.output/server/index.mjs'], { env: { ...process.env, PORT: '4400', HOST: '127.0.0.1', NITRO_PORT: '4400', NITRO_HOST: '127.0.0.1' }, stdio: 'ignore' })
await new Promise(r => setTimeout(r, 2000))
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS })
const mk = async (n: string, narrow = false) => { const c = await browser.newContext({ serviceWorkers: 'block', reducedMotion: 'reduce', viewport: narrow ? { width: 390, height: 844 } : { width: 1280, height: 800 } }); const p = await c.newPage(); p.on('console', m => console.log(n, m.type(), m.text())); p.on('pageerror', e => console.log(n, 'ERR', e.message)); return p }
const A = await mk('A'), B = await mk('B', true)
await A.goto('http://127.0.0.1:4400/')
await A.getByTestId('import').setInputFiles('demo/larkmoor-bench.json')
await A.waitForTimeout(4000)
await A.getByRole('button', { name: 'Join another screen' }).click()
const link = (await A.getByTestId('pair-link').getAttribute('href'))!
console.log(link)
await A.getByTestId('pair').scrollIntoViewIfNeeded()
await A.screenshot({ path: '/tmp/t/pair-a.png' })
await B.goto(link)
await B.getByTestId('pair-take-shop').waitFor()
await B.screenshot({ path: '/tmp/t/pair-b.png', fullPage: true })
const t = Date.now()
await B.getByTestId('pair-take-shop').click()
await B.waitForFunction(() => document.querySelector('[data-testid=pair-state]')?.textContent === 'joined')
console.log('joined', Date.now() - t)
for (let n = 0; n < 12; n++) { console.log(await B.evaluate(() => new Promise(r => { const q = indexedDB.open('wild-sparrow'); q.onsuccess = () => { const t = q.result.transaction(['jobs','held','kit']); const a = t.objectStore('jobs').count(); const h = t.objectStore('held').count(); t.oncomplete = () => r([a.result, h.result]) } })), Date.now() - t); await B.waitForTimeout(500) }
await B.screenshot({ path: '/tmp/t/pair-b2.png', fullPage: true })
await A.screenshot({ path: '/tmp/t/pair-a2.png', fullPage: true })
await browser.close(); server.kill()
