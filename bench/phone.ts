import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { Browser, Page } from '@playwright/test'
import { median } from './timing'

const DEMO = join(fileURLToPath(new URL('..', import.meta.url)), 'demo/larkmoor-bench.json')
/** How many times slower than this machine a phone is taken to be, by the browser's own throttle. */
const SLOWER = 6
const RUNS = 5
const PHONE = {
  viewport: { width: 390, height: 844 },
  hasTouch: true,
  isMobile: true,
  serviceWorkers: 'block',
} as const

type Line = (name: string, value: string) => void
const told = (times: readonly number[], limitMs: number) =>
  `median ${median([...times]).toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms (limit ${limitMs})`

async function slowed(page: Page): Promise<void> {
  const session = await page.context().newCDPSession(page)
  await session.send('Emulation.setCPUThrottlingRate', { rate: SLOWER })
}
/** From what is done until what is waited for stands on the screen. */
async function took(act: () => Promise<unknown>, stands: () => Promise<unknown>): Promise<number> {
  const from = performance.now()
  await act()
  await stands()
  return performance.now() - from
}
const callOf = (page: Page) => page.getByTestId('call')
const said = (page: Page, words: RegExp) => callOf(page).filter({ hasText: words }).first().waitFor()

/** A phone six times slower than this machine: first load, shelf, a station cold, from one to the next, a reading. */
export async function phone(browser: Browser, address: string, line: Line): Promise<void> {
  console.log(`\nA phone, ${SLOWER} times slower than this machine`)
  const first: number[] = []
  for (let run = 0; run < RUNS; run++) {
    const context = await browser.newContext(PHONE)
    const page = await context.newPage()
    await slowed(page)
    first.push(
      await took(
        () => page.goto(address),
        () => page.getByLabel('What is it').waitFor(),
      ),
    )
    await context.close()
  }
  line('first load, until a part can be named', told(first, 2500))

  const context = await browser.newContext(PHONE)
  const page = await context.newPage()
  await page.goto(address)
  await page.getByTestId('import').setInputFiles(DEMO)
  await page.getByText(/[1-9]\d* new/).waitFor()
  await slowed(page)
  const [shelf, cold, next, reading]: [number[], number[], number[], number[]] = [[], [], [], []]
  for (let run = 0; run < RUNS; run++) {
    shelf.push(
      await took(
        () => page.goto(address),
        () =>
          page
            .getByRole('link', { name: /Gearbox cover/ })
            .first()
            .waitFor(),
      ),
    )
    cold.push(
      await took(
        () => page.goto(`${address}job/gearbox-cover/open?mend=flange`),
        () => said(page, /\S/),
      ),
    )
    const other = run % 2 ? '80 mm' : '140 mm'
    const before = await callOf(page).first().innerText()
    reading.push(
      await took(
        () => page.locator('input[data-path="mends.#flange.readings.lengthMm"]').fill(other),
        () =>
          page.waitForFunction(
            was => document.querySelector<HTMLElement>('[data-testid="call"]')?.innerText !== was,
            before,
          ),
      ),
    )
    next.push(
      await took(
        () => page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /Warm/ }).tap(),
        () => page.locator('input[data-path="warm.startC"]').waitFor(),
      ),
    )
  }
  line('shelf with 32 jobs', told(shelf, 2000))
  line('a station opened cold, to its call', told(cold, 2000))
  line('from one station to the next', told(next, 400))
  line('a reading to its call', told(reading, 150))
  await context.close()
}
