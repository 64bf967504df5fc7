import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expect, test as base, type BrowserContext, type Page } from '@playwright/test'

const ROOT = fileURLToPath(new URL('..', import.meta.url))

export const DEMO_FILE = fileURLToPath(new URL('../demo/larkmoor-bench.json', import.meta.url))

/** A page that fails its test on any request off this machine, any error in the page, and any error on its console. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page, baseURL }, use) => {
    const strays: string[] = []
    const own = new URL(baseURL!).host
    page.on('request', request => {
      const url = new URL(request.url())
      if (['http:', 'https:', 'ws:', 'wss:'].includes(url.protocol) && url.host !== own) strays.push(request.url())
    })
    page.on('pageerror', error => strays.push(`error in the page: ${error.message}`))
    page.on('console', message => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        strays.push(`on the console: ${message.text()}`)
    })
    await use(page)
    expect(strays).toEqual([])
  },
})

/** Asks on the command line and gives back the answer. */
export function askOnCommandLine<T>(name: string, input: unknown): T {
  const text = execFileSync(process.execPath, ['--import', 'tsx', 'cli/ask.ts', name, JSON.stringify(input)], {
    cwd: ROOT,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'ignore'],
  })
  return (JSON.parse(text) as { answer: T }).answer
}

/** Asks the server and gives back the answer. */
export async function askServer<T>(page: Page, name: string, input: unknown): Promise<T> {
  const told = await page.request.post(`/api/ask/${name}`, { data: input })
  expect(told.ok(), await told.text()).toBe(true)
  return ((await told.json()) as { answer: T }).answer
}

/** Types into one reading, found by its path in the job. */
export const reading = (page: Page, path: string) => page.locator(`input[data-path="${path}"]`)

/** Picks from a long list, found by its path in the job. */
export async function pick(page: Page, path: string, words: string | RegExp) {
  const list = page.locator(`[data-path="${path}"]`).first()
  const option = page.getByRole('option', { name: words }).first()
  // A list that a page drawn anew has closed is opened again, as a hand would.
  await expect(async () => {
    if (!(await option.isVisible())) await list.click()
    await expect(option).toBeVisible({ timeout: 3000 })
  }).toPass()
  await option.click()
  await expect(page.getByRole('option')).toHaveCount(0)
}

/** Waits until everything typed is stored. */
export const saved = (page: Page) => expect(page.locator('main')).toHaveAttribute('data-saving', 'false')

/** Resolves once the kit, as it is stored, holds a piece of text. */
export const kitHolds = (page: Page, text: string) =>
  expect
    .poll(() =>
      page.evaluate(
        () =>
          new Promise<string>((done, fail) => {
            const open = indexedDB.open('wild-sparrow')
            open.onerror = () => fail(open.error)
            open.onsuccess = () => {
              const asked = open.result.transaction('kit').objectStore('kit').get('kit')
              asked.onsuccess = () => {
                open.result.close()
                done(JSON.stringify(asked.result ?? null))
              }
            }
          }),
      ),
    )
    .toContain(text)

/** Brings the made-up shop in through the real control, and stands at the shelf. */
export async function importDemo(page: Page) {
  await page.goto('/')
  await page.getByTestId('import').setInputFiles(DEMO_FILE)
  await expect(page.getByRole('status')).toContainText(/32 (?:new|neu)/)
}

type Stored = Awaited<ReturnType<BrowserContext['storageState']>>
/** What a browser keeps of the made-up shop, brought in and worked out once for all tests of this process. */
let stored: Promise<Stored> | undefined

async function storedDemo(page: Page): Promise<Stored> {
  const context = await page.context().browser()!.newContext({ baseURL: test.info().project.use.baseURL })
  try {
    const shelf = await context.newPage()
    await importDemo(shelf)
    await expect(shelf.locator('[data-job="gearbox-cover"]')).toContainText('stop caution')
    // All that the shelf works out and leaves for the next page is left then.
    await expect(shelf.locator('[data-job][aria-busy="true"]')).toHaveCount(0)
    return await context.storageState({ indexedDB: true })
  } finally {
    await context.close()
  }
}

/**
 * Gives a page that has loaded nothing yet the made-up shop, as a browser keeps it that has brought it in before: the
 * control itself has its own tests. Whatever else the browser is to remember goes beside it.
 */
export async function bringDemo(page: Page, remembered: Readonly<Record<string, string>> = {}) {
  stored ??= storedDemo(page)
  const { cookies, origins } = await stored
  const more = Object.entries(remembered).map(([name, value]) => ({ name, value }))
  await page
    .context()
    .setStorageState({
      cookies,
      origins: origins.map(origin => ({ ...origin, localStorage: [...origin.localStorage, ...more] })),
    })
}

export const demoText = () => readFileSync(DEMO_FILE, 'utf8')

/**
 * Goes to a view as a press on a link does, without loading the application anew; loads it where none stands yet. What
 * must come back from storage is tested by `page.goto` and `page.reload`.
 */
export async function visit(page: Page, path: string) {
  const went = await page.evaluate(async to => {
    interface Mounted extends Element {
      __vue_app__?: { config: { globalProperties: { $router: { push(path: string): Promise<unknown> } } } }
    }
    const app = document.querySelector<Mounted>('#__nuxt')?.__vue_app__
    await app?.config.globalProperties.$router.push(to)
    return app !== undefined
  }, path)
  if (!went) await page.goto(path)
}
