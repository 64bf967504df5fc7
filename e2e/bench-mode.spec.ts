import { expect } from '@playwright/test'
import { bringDemo, saved, test, visit } from './bench'

test('at the arc: big buttons and keys log what was seen, the move looks at the history, and nothing is lost on reload', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/weld')
  await page.getByTestId('to-bench').click()
  await page.locator('[data-saw="bubbles"]').click()
  await expect(page.getByTestId('bench-next')).toContainText('without rod until they stop')
  await page.keyboard.press('r')
  await expect(page.getByTestId('bench-next')).toContainText('grind out four fifths')
  await page.keyboard.press('r')
  await expect(page.getByTestId('bench-next')).toContainText('bake it')
  await page.getByTestId('arc-clock').click()
  await expect(page.getByTestId('arc-clock')).toContainText('arc on')
  await page.getByTestId('pass-laid').click()
  await expect(page.getByText('Pass 2 of')).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByText('Pass 2 of')).toBeVisible()
  // With a new pass the old advice goes.
  await expect(page.getByTestId('bench-next')).toContainText('Brush the last bead bright')
})
