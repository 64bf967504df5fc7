import { expect } from '@playwright/test'
import { bringDemo, test, visit } from './bench'
import { cardFilm } from './camera.fixture'
import { CHROMIUM, TEST_ARGS } from './chromium'

test.use({
  launchOptions: {
    executablePath: CHROMIUM,
    args: [
      ...TEST_ARGS,
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${cardFilm()}`,
    ],
  },
  permissions: ['camera'],
})

test('the camera follows the card, says what to do, and takes the picture by itself once it is square', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/cider-tray/pictures')
  await page.getByTestId('live').click()
  await expect(page.getByTestId('card-outline')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByTestId('aim')).toContainText(/hold it squarer: 4\d° off|sharp and square/)
  // Square at last, it is taken, scaled by its card, and stands among the pictures.
  await expect(page.getByTestId('aim')).toBeHidden({ timeout: 60_000 })
  await expect(page.getByText(/Scaled by the card/)).toBeVisible({ timeout: 30_000 })
  await expect(page.getByRole('navigation', { name: 'Pictures' }).getByRole('button')).toHaveCount(1)
})
