import { startServer } from '../bench/server'
import { killableBrowser } from '../e2e/killable'

/**
 * Kills the browser (SIGKILL, the whole process group) at a random moment during writes, again and again on one
 * profile, and looks each time whether the database opens and every change that was said to be stored is there. `npm
 * run kills -- 200`.
 */
const times = Number(process.argv[2] ?? 200)
const LONGEST_MS = 400
const browserOf = killableBrowser(9388)
const server = await startServer()

let url = ''
let acknowledged = 0
let typed = 0
let lost = 0
for (let n = 0; n <= times; n++) {
  const browser = await browserOf.start()
  const page = await browser.contexts()[0]!.newPage()
  if (n === 0) {
    await page.goto(server.address)
    await page.getByTestId('new-title').getByRole('textbox').fill('Killed part')
    await page.getByRole('button', { name: 'Take it in' }).click()
    await page.getByTestId('call').waitFor()
    await page.locator('[data-begin="crack"]').click()
    await page.waitForURL(/mend=/)
    url = page.url()
  }
  await page.goto(url)
  const field = page.locator('input[data-path$=".readings.lengthMm"]')
  await field.waitFor()
  const found = Number((await field.inputValue()).replace(' mm', '') || 0)
  if (found < acknowledged || found > typed) {
    lost += 1
    console.log(`kill ${n}: ${acknowledged} was said to be stored, ${found} is there`)
  }
  acknowledged = found
  if (n === times) {
    await browser.close()
    break
  }
  const killAt = Date.now() + Math.random() * LONGEST_MS
  try {
    while (Date.now() < killAt) {
      typed += 1
      await field.fill(`${typed} mm`)
      await page.locator('main[data-saving="false"]').waitFor({ timeout: 2000 })
      acknowledged = typed
    }
  } finally {
    typed += 1
    const last = field.fill(`${typed} mm`).catch(() => undefined)
    await new Promise(resolve => setTimeout(resolve, Math.random() * 12))
    await browserOf.kill()
    await last
  }
}
server.stop()
await browserOf.clear()
console.log(`${times} kills during writes: ${lost} lost anything that was said to be stored; ${typed} changes typed`)
process.exit(lost > 0 ? 1 : 0)
