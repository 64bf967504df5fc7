import { expect } from '@playwright/test'
import { bringDemo, importDemo, test, visit } from './bench'
import { expectSound, serious, VIEW_PARTS } from './views'

test.describe.configure({ mode: 'parallel' })

VIEW_PARTS.forEach((views, part) =>
  test(`no serious or critical finding on any view, in either light, at either width: part ${part + 1}`, async ({
    page,
  }) => {
    await expectSound(page, views, 'english')
  }),
)

test('the working and the clock dialogs are sound too', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/gearbox-cover/open')
  await page.waitForSelector('h1')
  await page.keyboard.press('w')
  await expect(page.getByRole('dialog')).toBeVisible()
  expect(await serious(page)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(page.getByRole('dialog')).toBeHidden()
  await page.keyboard.press('c')
  await expect(page.getByLabel(/Time, such as/)).toBeVisible()
  expect(await serious(page)).toEqual([])
})

test('the main job can be done with the keyboard alone', async ({ page }) => {
  await importDemo(page)
  await page.keyboard.press('/')
  const tabTo = async (what: () => Promise<boolean>, key = 'Tab') => {
    for (let i = 0; i < 140; i++) {
      if (await what()) return
      await page.keyboard.press(key)
    }
    throw new Error('never reached by Tab')
  }
  const focused = (selector: string) => () =>
    page.evaluate(
      css =>
        document.activeElement?.matches(css) ||
        (document.activeElement?.closest(css) !== null && document.activeElement !== document.body),
      selector,
    )
  await page.goto('/')
  await tabTo(focused('[data-testid="new-title"]'))
  await page.keyboard.type('Keyed part')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('call')).toContainText('Say what it does')
  await tabTo(focused('[data-pick="takeIn.does:seal"]'))
  await page.keyboard.press('Enter')
  await tabTo(focused('[data-path="takeIn.soak"]'))
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await tabTo(focused('input[data-path="takeIn.wallMm"]'))
  await page.keyboard.type('8 mm')
  await page.keyboard.press('Tab')
  await page.keyboard.type('200 mm')
  await page.keyboard.press('Tab')
  await page.keyboard.type('120 mm')
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('4')
  await expect(page.getByTestId('call')).toContainText('Say what is broken')
  await tabTo(focused('[data-testid="add-mend"]'))
  await page.keyboard.press('Enter')
  await tabTo(focused('[data-kind="crack"]'))
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('call')).toContainText('Still wanted: crack you can see')
  await tabTo(focused('input[data-path$=".readings.lengthMm"]'))
  await page.keyboard.type('60 mm')
  await expect(page.getByTestId('call')).toContainText('Groove it from one side')
  await tabTo(focused('form:has([aria-label*="chlorinated-solvent"])'))
  await page.keyboard.type('A hand')
  await page.keyboard.press('Enter')
  await tabTo(focused('[data-testid="settle"]'), 'Shift+Tab')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Open again' })).toBeVisible()
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('8')
  await tabTo(focused('[data-check="look"]'))
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('call')).toContainText('1 passed')
  await page.evaluate(() => (document.activeElement as HTMLElement).blur())
  await page.keyboard.press('9')
  await tabTo(focused('[data-testid="export-job"]'))
  const [download] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('Enter')])
  expect(download.suggestedFilename()).toContain('keyed-part')
})
