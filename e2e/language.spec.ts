import { expect, type Page } from '@playwright/test'
import { bringDemo, demoText, reading, saved, test, visit } from './bench'
import { expectSound, GERMAN, VIEW_PARTS } from './views'

/** Words that no German sentence holds. */
const ENGLISH =
  /(?<![\p{L}-])(?:the|of|and|is|are|with|from|this|that|which|when|than|its|per|before|after)(?![\p{L}-])/iu

/** What the shop's people wrote: titles of jobs, names of what is mended. */
const OWN = [...demoText().matchAll(/"(?:title|name|customer|causeCure|damage)": "([^"]{4,})"/g)].map(
  match => match[1]!,
)

/** Texts of a page that are English, what people wrote themselves left out. */
async function englishOn(page: Page): Promise<string[]> {
  const texts = await page.evaluate(() => {
    const found: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const within = walker.currentNode.parentElement
      if (within && !within.closest('script, style, code, [translate="no"]'))
        found.push(walker.currentNode.textContent ?? '')
    }
    for (const name of ['aria-label', 'placeholder'])
      for (const element of document.querySelectorAll(`[${name}]`)) found.push(element.getAttribute(name)!)
    return found
  })
  return texts.filter(text => ENGLISH.test(OWN.reduce((rest, own) => rest.replaceAll(own, ''), text)))
}

test('another language is chosen once and stays, figures and all', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/')
  await page.getByTestId('language').click()
  await expect(page.getByRole('heading', { name: 'Regal' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'de')
  await visit(page, '/job/signal-bracket/call')
  await expect(page.getByTestId('call')).toContainText(
    /^Reparieren: AC-WIG mit 4043; \d+.%, dass es hält, etwa £\d+,\d\d\.$/,
  )
  await visit(page, '/job/signal-bracket/take-in')
  await reading(page, 'takeIn.wallMm').fill('7,5')
  await page.keyboard.press('Tab')
  await saved(page)
  await expect(reading(page, 'takeIn.wallMm')).toHaveValue('7,5 mm')
  await page.getByTestId('language').click()
  await expect(page.getByRole('link', { name: 'Shelf', exact: true })).toBeVisible()
})

test('the record goes to the customer in their language, the bench keeps its own', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/dome-shutter/hand-over')
  await page.locator('[data-pick="handOver.recordLanguage:de"]').click()
  await saved(page)
  await expect(page.getByText('Minutes really taken')).toBeVisible()
  await visit(page, '/job/dome-shutter/record')
  await expect(page.getByRole('heading', { name: 'Was hereinkam' })).toBeVisible()
  await expect(page.locator('article')).toHaveAttribute('lang', 'de')
  await expect(page.getByRole('link', { name: 'Shelf', exact: true })).toBeVisible()
  const own = await page.locator('dd[translate="no"]').allTextContents()
  expect(own.length).toBeGreaterThan(0)
})

test('no room of the house keeps an English sentence', async ({ page }) => {
  await bringDemo(page, GERMAN)
  for (const view of [
    '/',
    '/kit',
    '/ask?q=groove.plan',
    '/threads',
    '/lessons',
    '/puddle',
    '/job/press-tray/take-in',
  ]) {
    await visit(page, view)
    await page.waitForSelector('h1')
    await page.waitForLoadState('networkidle')
    expect(await englishOn(page), view).toEqual([])
  }
})

test.describe('any view in German', () => {
  test.describe.configure({ mode: 'parallel' })
  VIEW_PARTS.forEach((views, part) =>
    test(`has no serious or critical finding at either width: part ${part + 1}`, async ({ page }) => {
      await expectSound(page, views, 'translated')
    }),
  )
})
