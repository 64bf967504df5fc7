import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { readFile } from '../core/job/files'
import { importDemo, demoText, test } from './bench'

const bring = (page: Page, text: string) =>
  page
    .getByTestId('import')
    .setInputFiles({ name: 'shop.json', mimeType: 'application/json', buffer: Buffer.from(text) })

test('the same file twice doubles nothing; the whole shop comes out as it went in', async ({ page }) => {
  await importDemo(page)
  await bring(page, demoText())
  await expect(page.getByRole('status')).toContainText('0 new, 0 brought up to date, 32 already here')
  await expect(page.locator('[data-job]')).toHaveCount(30)
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Take the whole shop out' }).click(),
  ])
  const out = readFile(readFileSync(await download.path(), 'utf8'))
  const demo = readFile(demoText())
  expect(out.ok && demo.ok).toBe(true)
  if (!out.ok || !demo.ok) return
  const byId = (jobs: readonly { id: string }[]) => [...jobs].sort((a, b) => a.id.localeCompare(b.id))
  expect(byId(out.jobs)).toEqual(byId(demo.jobs))
  expect(out.kit).toEqual(demo.kit)
})

test('a bad file changes nothing and says where it is wrong', async ({ page }) => {
  await importDemo(page)
  const bad: [string, RegExp][] = [
    [demoText().slice(0, 9000), /breaks off at line/],
    [demoText().replace('"alike": 1', '"alike": 0'), /handOver\.alike/],
    ['', /empty/],
    ['{"kind":"wild-sparrow/shop","version":9}', /newer/],
    ['<html>', /not JSON/],
  ]
  for (const [text, why] of bad) {
    await bring(page, text)
    await expect(page.getByRole('status')).toContainText('nothing was changed')
    await expect(page.getByRole('status')).toContainText(why)
    await expect(page.locator('[data-job]')).toHaveCount(30)
  }
})

test('script in a file stays text', async ({ page }) => {
  await page.goto('/')
  await bring(page, demoText().replaceAll('the observatory', '<img src=x onerror=alert(1)>'))
  await expect(page.getByText('<img src=x onerror=alert(1)>').first()).toBeVisible()
  await expect(page.locator('.jobs img')).toHaveCount(0)
})

test('finds a job by its words', async ({ page }) => {
  await importDemo(page)
  await page.keyboard.press('/')
  await expect(page.getByRole('searchbox')).toBeFocused()
  await page.keyboard.type('dome')
  await expect(page.locator('[data-job]')).toHaveCount(1)
  await page.getByRole('searchbox').fill('zzzzz')
  await expect(page.getByText('Nothing on the shelf answers')).toBeVisible()
})
