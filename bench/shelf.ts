import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Browser, Page } from '@playwright/test'
import { median, paceMs } from './timing'

const DEMO = fileURLToPath(new URL('../demo/larkmoor-bench.json', import.meta.url))
const JOBS = 10_000
const PARTS = ['gearbox cover', 'bracket', 'hopper', 'pump body', 'lamp guard', 'lever', 'housing', 'flange']

const WORDS = [
  'hopper 777',
  'customer 31',
  'lever',
  'pump body 4',
  'nothing at all',
  'flange 99',
  'hopper',
  'bracket 12',
]

interface Shop {
  jobs: { id: string; title: string; customer: string; updatedAt: string }[]
}

/** A shop file of ten thousand made-up jobs, out of the demo's five. */
function bigShop(): string {
  const shop = JSON.parse(readFileSync(DEMO, 'utf8')) as Shop
  const jobs = Array.from({ length: JOBS }, (_, n) => ({
    ...shop.jobs[n % shop.jobs.length]!,
    id: `big-${n}`,
    title: `${PARTS[n % PARTS.length]} ${n}`,
    customer: `customer ${n % 400}`,
    updatedAt: new Date(Date.UTC(2026, 0, 1) + n * 60_000).toISOString(),
    pictures: [],
  }))
  return JSON.stringify({ ...shop, jobs })
}

/** From asking for the address to the first row (or the words of an empty shelf) painted, ms. */
async function firstPaint(page: Page, address: string, what: string): Promise<number> {
  const times: number[] = []
  for (let n = 0; n < 5; n++) {
    const begun = Date.now()
    await page.goto(address)
    await page.locator(what).first().waitFor()
    times.push(Date.now() - begun)
  }
  return median(times)
}

/** The shelf with ten thousand jobs against an empty one: first paint, finding, backup and restore. */
export async function shelf(
  browser: Browser,
  address: string,
  line: (name: string, value: string) => void,
): Promise<void> {
  console.log(`\nThe shelf with ${JOBS.toLocaleString('en')} jobs`)
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, acceptDownloads: true })
  const page = await context.newPage()
  const empty = await firstPaint(page, address, '.empty')
  const text = bigShop()
  const folder = mkdtempSync(join(tmpdir(), 'ws-big-'))
  writeFileSync(join(folder, 'big.json'), text)
  const pace = () => line('the machine now: 200 million steps', `${paceMs().toFixed(0)} ms`)
  pace()
  const begun = Date.now()
  await page.getByTestId('import').setInputFiles(join(folder, 'big.json'))
  await page.getByText(`${JOBS} new`).waitFor({ timeout: 180_000 })
  line(`restore of ${(text.length / 1e6).toFixed(0)} MB`, `${((Date.now() - begun) / 1000).toFixed(1)} s (limit 10)`)
  const full = await firstPaint(page, address, '[data-job]')
  line('first paint, full over empty', `${full} ms ÷ ${empty} ms = ${(full / empty).toFixed(2)} × (limit 2)`)
  await page.locator('[data-testid="more"]').waitFor()
  // What stands beside the first rows has been worked out by then.
  await page.waitForTimeout(15_000)
  pace()
  const times: number[] = []
  for (const word of WORDS) {
    times.push(
      await page.evaluate(async text => {
        const input = document.querySelector<HTMLInputElement>('[data-testid="find"] input')!
        const from = performance.now()
        input.value = text
        input.dispatchEvent(new Event('input', { bubbles: true }))
        await new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve, 0)))
        return performance.now() - from
      }, word),
    )
  }
  line(
    'a word typed to the list painted',
    `median ${median(times).toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms (limit 50)`,
  )
  await page.locator('[data-testid="find"] input').fill('')
  pace()
  const saving = Date.now()
  const download = page.waitForEvent('download', { timeout: 180_000 })
  await page.getByTestId('backup').click()
  await download
  line('backup', `${((Date.now() - saving) / 1000).toFixed(1)} s (limit 10)`)
  await context.close()
  rmSync(folder, { recursive: true, force: true })
}

/** A log of 500 things seen: from a press of a button to the next move on screen. */
export async function longLog(
  browser: Browser,
  address: string,
  line: (name: string, value: string) => void,
): Promise<void> {
  console.log('\nA log of 500 things seen')
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(address)
  const shop = JSON.parse(readFileSync(DEMO, 'utf8')) as {
    jobs: { id: string; updatedAt: string; weld: { log: { id: string }[] } }[]
  }
  const job = shop.jobs.find(entry => entry.id === 'signal-bracket')!
  job.weld.log = Array.from({ length: 500 }, (_, n) => ({ ...job.weld.log[n % job.weld.log.length]!, id: `long-${n}` }))
  await page
    .getByTestId('import')
    .setInputFiles({ name: 'log.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(shop)) })
  await page.getByText(/[1-9]\d* new/).waitFor()
  await page.goto(`${address}job/signal-bracket/bench`)
  await page.locator('[data-saw="pinhole"]').waitFor()
  await page.waitForTimeout(1000)
  const times: number[] = []
  for (let n = 0; n < 20; n++) {
    times.push(
      await page.evaluate(
        async saw => {
          const from = performance.now()
          const changed = new Promise<void>(resolve => {
            const watcher = new MutationObserver(() => {
              watcher.disconnect()
              requestAnimationFrame(() => resolve())
            })
            watcher.observe(document.querySelector('[data-testid="bench-next"]')!, {
              subtree: true,
              childList: true,
              characterData: true,
            })
          })
          document.querySelector<HTMLButtonElement>(`[data-saw="${saw}"]`)!.click()
          await changed
          return performance.now() - from
        },
        n % 2 ? 'sags' : 'bubbles',
      ),
    )
    await page.waitForTimeout(80)
  }
  line('a press to the next move', `median ${median(times).toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms`)
  await page.close()
}
