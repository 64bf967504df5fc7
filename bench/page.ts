import { readFileSync, readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { gzipSync } from 'node:zlib'
import type { Browser, Page } from '@playwright/test'
import { median } from './timing'

const ROOT = fileURLToPath(new URL('..', import.meta.url))
const DEMO = join(ROOT, 'demo/larkmoor-bench.json')

type Line = (name: string, value: string) => void

const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`

/**
 * JavaScript the browser loads before the shelf can be used, gzipped; its context lets no service worker fetch more for
 * later. Workers' scripts come beside it: nothing on the page waits for them.
 */
async function firstLoad(page: Page, address: string, line: Line): Promise<void> {
  console.log('\nFirst load')
  const loaded = new Set<string>()
  const publicDir = join(ROOT, '.output/public')
  page.on('response', response => {
    const { pathname } = new URL(response.url())
    if (pathname.startsWith('/_nuxt/') && pathname.endsWith('.js')) loaded.add(pathname)
  })
  await page.goto(address)
  await page.waitForSelector('h1')
  await page.waitForTimeout(500)
  const isWorker = (path: string) => path.startsWith('/_nuxt/workers/')
  const kB = (paths: readonly string[]) =>
    (paths.reduce((sum, path) => sum + gzipSync(readFileSync(join(publicDir, path))).length, 0) / 1024).toFixed(0)
  const [pages, workers] = [[...loaded].filter(path => !isWorker(path)), [...loaded].filter(isWorker)]
  line(
    'JavaScript before the shelf can be used, gzipped',
    `${kB(pages)} kB in ${pages.length} files (limit 300); workers beside it: ${kB(workers)} kB in ${workers.length}`,
  )
  if (process.argv.includes('--chunks')) for (const path of loaded) line(path, `${kB([path])} kB`)
  const all = readdirSync(join(publicDir, '_nuxt'), { recursive: true, encoding: 'utf8' })
    .filter(name => name.endsWith('.js'))
    .reduce((sum, name) => sum + statSync(join(publicDir, '_nuxt', name)).size, 0)
  line('all JavaScript of the application, not gzipped', `${(all / 1024).toFixed(0)} kB`)
}

interface ShopFile {
  jobs: { id: string; title: string; mends: { id: string; name: string }[]; pictures: unknown[] }[]
}

/** The gearbox cover of the made-up shop with ten mends on it, as a shop file beside the demo's own jobs. */
function tenMends(): string {
  const shop = JSON.parse(readFileSync(DEMO, 'utf8')) as ShopFile
  const cover = shop.jobs.find(job => job.id === 'gearbox-cover')!
  const mends = Array.from({ length: 10 }, (_, n) => {
    const mend = cover.mends[n % cover.mends.length]!
    return { ...mend, id: `m${n}`, name: `${mend.name} ${n}` }
  })
  return JSON.stringify({
    ...shop,
    jobs: [...shop.jobs, { ...cover, id: 'ten-mends', title: 'cover with ten mends', mends, pictures: [] }],
  })
}

const TYPED = [
  ['gearbox-cover', 'open?mend=flange', 'mends.#flange.readings.lengthMm', ['80 mm', '140 mm']],
  ['gearbox-cover', 'open', 'takeIn.wallMm', ['6 mm', '9.4 mm']],
  ['gearbox-cover', 'know', 'know.submergedG', ['1970 g', '1920 g']],
  ['ten-mends', 'open?mend=m0', 'mends.#m0.readings.lengthMm', ['80 mm', '140 mm']],
  ['ten-mends', 'open', 'takeIn.wallMm', ['6 mm', '9.4 mm']],
  ['ten-mends', 'know', 'know.submergedG', ['1970 g', '1920 g']],
] as const

/** From a keystroke in a reading to the new call on screen, painted; on the demo's cover and with ten mends on it. */
async function typing(page: Page, address: string, line: Line): Promise<void> {
  console.log('\nTyping a reading to a new call on screen')
  await page.goto(address)
  await page
    .getByTestId('import')
    .setInputFiles({ name: 'ten.json', mimeType: 'application/json', buffer: Buffer.from(tenMends()) })
  await page.getByText(/[1-9]\d* new/).waitFor()
  for (const [job, station, path, values] of TYPED) {
    await page.goto(`${address}job/${job}/${station}`)
    await page.locator(`input[data-path="${path}"]`).waitFor()
    await page.waitForTimeout(900)
    const times: number[] = []
    for (let i = 0; i < 24; i++) {
      times.push(
        await page.evaluate(
          async ([selector, text]) => {
            const input = document.querySelector<HTMLInputElement>(selector!)!
            const begun = performance.now()
            const changed = new Promise<void>((resolve, reject) => {
              setTimeout(() => reject(new Error(`the call stayed as it was: ${selector}`)), 5000)
              const watcher = new MutationObserver(() => {
                watcher.disconnect()
                requestAnimationFrame(() => resolve())
              })
              for (const part of document.querySelectorAll(
                '[data-testid="call"], section[aria-label="Why"], section.call',
              ))
                watcher.observe(part, { subtree: true, childList: true, characterData: true })
            })
            input.value = text!
            input.dispatchEvent(new Event('input', { bubbles: true }))
            await changed
            return performance.now() - begun
          },
          [`input[data-path="${path}"]`, values[i % 2]!] as const,
        ),
      )
      await page.waitForTimeout(60)
    }
    line(`${job}, ${station}: ${path}`, `median ${ms(median(times))}, worst ${ms(Math.max(...times))} (limits 50, 150)`)
  }
}

/** The crack map of 60 × 60 points in the browser's worker, from asking to having it. */
async function map(page: Page, address: string, line: Line): Promise<void> {
  console.log('\nThe crack map, 60 × 60, in the worker')
  await page.goto(`${address}job/gearbox-cover/call`)
  await page.locator('svg[data-took]').waitFor()
  const times: number[] = []
  for (let i = 0; i < 9; i++) {
    await page.locator('input[data-path="call.dilutionPct"]').fill(`${20 + 3 * i} %`)
    await page.waitForTimeout(900)
    times.push(Number(await page.locator('svg[data-took]').getAttribute('data-took')))
  }
  line('asked and answered', `median ${ms(median(times))} (limit 300)`)
}

/** The application in the browser: what it loads first, a keystroke to a new call, the crack map. */
export async function inThePage(browser: Browser, address: string, line: Line): Promise<void> {
  const first = await browser.newContext({ serviceWorkers: 'block' })
  await firstLoad(await first.newPage(), address, line)
  await first.close()
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await typing(page, address, line)
  await map(page, address, line)
  await page.close()
}
