import { expect, type Browser, type BrowserContext, type Page, type WebSocketRoute } from '@playwright/test'
import { bringDemo, reading, saved, test } from './bench'

/** Another browser altogether: nothing of the first is in it. */
async function otherScreen(browser: Browser, narrow = false): Promise<Page> {
  const context = await browser.newContext({
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
    viewport: narrow ? { width: 390, height: 844 } : { width: 1280, height: 800 },
  })
  return context.newPage()
}
async function linkOf(page: Page): Promise<string> {
  await page.goto('/')
  await page.getByRole('button', { name: 'Join another screen' }).click()
  return (await page.getByTestId('pair-link').getAttribute('href'))!
}
/** The line of a browser's screen, which can be cut and mended. */
async function cuttable(context: BrowserContext) {
  let away = false
  const lines: WebSocketRoute[] = []
  await context.routeWebSocket(/\/api\/room\//, line => {
    if (away) return void line.close()
    line.connectToServer()
    lines.push(line)
  })
  return {
    cut: async () => {
      away = true
      for (const line of lines.splice(0)) await line.close()
    },
    mend: () => {
      away = false
    },
  }
}
const damage = (page: Page) => page.getByLabel('The damage, as seen')
const joined = (page: Page) => expect(page.getByTestId('pair-state')).toHaveText('joined')

test('a phone takes the whole shop over a link; what is typed on either is on the other, and who is where is seen', async ({
  page,
  browser,
}) => {
  let said = 0
  page.on('websocket', socket => socket.on('framesent', () => said++))
  await bringDemo(page)
  const link = await linkOf(page)
  await expect(page.getByTestId('pair-state')).toHaveText('waiting for the other screen')
  const phone = await otherScreen(browser, true)
  const line = await cuttable(phone.context())
  await phone.goto(link)
  await phone.getByTestId('pair-take-shop').click()
  await joined(phone)
  await joined(page)
  await expect(page.getByTestId('pair-link')).toHaveCount(0)

  // Pictures and shapes come after the words of the job.
  await phone.goto('/job/gearbox-cover/take-in')
  await page.goto('/job/gearbox-cover/take-in')
  await reading(page, 'takeIn.wallMm').fill('7.5 mm')
  await expect(reading(phone, 'takeIn.wallMm')).toHaveValue('7.5 mm')
  await reading(phone, 'takeIn.wallMm').fill('8.25 mm')
  await expect(reading(page, 'takeIn.wallMm')).toHaveValue('8.25 mm')
  await expect(page.getByTestId('who')).toHaveText('Desk 2')

  // Undo is each screen's own, and takes back nothing that the other has written since.
  await reading(page, 'takeIn.heightMm').fill('91 mm')
  await expect(reading(phone, 'takeIn.heightMm')).toHaveValue('91 mm')
  for (let deeds = 0; deeds < 2; deeds++) await page.getByRole('button', { name: 'Undo' }).click()
  await expect(reading(phone, 'takeIn.heightMm')).not.toHaveValue('91 mm')
  await expect(reading(phone, 'takeIn.wallMm')).toHaveValue('8.25 mm')

  // Away and back: both changed something meanwhile.
  await line.cut()
  await damage(page).fill('cracked at the rim')
  await reading(phone, 'takeIn.heightMm').fill('41 mm')
  await saved(page)
  await saved(phone)
  line.mend()
  await expect(reading(page, 'takeIn.heightMm')).toHaveValue('41 mm')
  await expect(damage(phone)).toHaveValue('cracked at the rim')

  // With nothing to say, nothing is said.
  let heard = -1
  await expect
    .poll(
      () => {
        const more = said - heard
        heard = said
        return more
      },
      { intervals: [400] },
    )
    .toBe(0)

  // Left in one press; what stands stays.
  await phone.goto('/')
  await phone.getByTestId('pair-leave').click()
  await expect(phone.getByTestId('pair-state')).toHaveText('on its own')
  await page.goto('/')
  await expect(page.getByTestId('pair-state')).toHaveText('on its own')
  await expect(phone.locator('[data-job="gearbox-cover"]')).toBeVisible()
  await phone.context().close()
})

test('one job is borrowed: a picture taken on the phone is on the desk while it is on its way back; then the phone is put out', async ({
  page,
  browser,
}) => {
  await bringDemo(page)
  // A link that was taken back leads nowhere.
  const stale = await linkOf(page)
  await page.getByRole('button', { name: 'Take the link back' }).click()
  const phone = await otherScreen(browser, true)
  await phone.goto(stale)
  await expect(phone.getByRole('status')).toContainText('Asking the other screen')

  const link = await linkOf(page)
  await phone.goto(link)
  await phone.getByTestId('pair-job').click()
  await phone.getByRole('option', { name: 'Gearbox cover, cracked flange' }).click()
  await phone.getByTestId('pair-take-job').click()
  await joined(phone)
  await phone.getByRole('link', { name: 'To the job' }).click()
  await expect(phone).toHaveURL(/gearbox-cover\/take-in/)
  await phone.goto('/')
  await expect(phone.locator('[data-job]')).toHaveCount(1)

  await page.goto('/job/gearbox-cover/pictures')
  await phone.goto('/job/gearbox-cover/pictures')
  await phone.getByTestId('add-picture').setInputFiles('demo/pictures/demo-sound-lug.jpg')
  await page.getByRole('navigation', { name: 'Pictures' }).getByRole('button', { name: 'demo-sound-lug.jpg' }).click()
  await expect(page.getByText('The picture itself is not on this bench')).toHaveCount(0)
  await expect(page.getByTestId('desk')).toBeVisible()

  await page.goto('/')
  await page.getByRole('button', { name: 'Put it out' }).click()
  await phone.goto('/')
  await expect(phone.getByTestId('pair-state')).toHaveText('on its own')
  await expect(page.getByTestId('pair-state')).toHaveText('on its own')
  await expect(phone.locator('[data-job="gearbox-cover"]')).toBeVisible()
  await phone.context().close()
})
