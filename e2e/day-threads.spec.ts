import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { bringDemo, saved, test, visit } from './bench'

test('plans the day across the open jobs, keeps to the hours, and goes into a calendar', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/day')
  await expect(page.getByTestId('day-call')).toContainText('All of it is done')
  await page.getByLabel('Hours to').fill('7:00')
  await expect(page.getByRole('alert')).toContainText('the second after the first')
  await page.getByLabel('Hours to').fill('12:00')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await expect(page.locator('.day')).not.toHaveCount(1)
  const downloading = page.waitForEvent('download')
  await page.getByTestId('ics').click()
  expect(readFileSync((await (await downloading).path())!, 'utf8')).toContain('BEGIN:VEVENT')
})

test('finds a pipe thread that no bolt matches, and its drill', async ({ page }) => {
  await visit(page, '/threads')
  await page.getByTestId('thread-diameter').fill('13.1 mm')
  await page.getByTestId('thread-pitch').fill('19')
  await expect(page.getByTestId('thread-call')).toContainText('G1/4')
  await expect(page.getByText('Looks the same:')).toBeVisible()
  await page.getByTestId('thread-pitch').fill('99999 mm')
  await expect(page.getByRole('alert')).toBeVisible()
  await page.getByTestId('thread-pitch').fill('')
  await page.getByTestId('thread-diameter').fill('0.375 in')
  await expect(page.getByTestId('thread-call')).toContainText('3/8')
  await saved(page)
})
