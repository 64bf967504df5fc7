import { readFile } from 'node:fs/promises'
import { expect } from '@playwright/test'
import Parser from 'dxf-parser'
import { askServer, bringDemo, reading, saved, test, visit } from './bench'

test("a slug at a mend is the server's, goes out as a drawing, and its list is ticked off at the machine", async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/rebuild?mend=bolt')
  const { turnToMm } = await askServer<{ turnToMm: number }>(page, 'fit.slug', {
    threadMajorMm: 8,
    bossMm: 26,
    depthMm: 16,
    beneathMm: 24,
    bodyAlloy: '356',
    slugAlloy: '6061',
    cold: 'freezer',
    serviceC: 40,
  })
  await expect(page.getByTestId('turn-to')).toContainText(`${turnToMm.toFixed(3)} mm`)
  const download = page.waitForEvent('download')
  await page.getByTestId('dxf-slug').click()
  const dxf = new Parser().parseSync(await readFile(await (await download).path(), 'utf8'))!
  const ys = dxf.entities
    .filter(entity => entity.layer === 'slug')
    .flatMap(entity => (entity as unknown as { vertices: { y: number }[] }).vertices.map(at => at.y))
  expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(turnToMm, 4)
  const readings = 'mends.#bolt.readings'
  await reading(page, `${readings}.slugMm`).fill('15 mm')
  await expect(page.getByTestId('turn-to')).toContainText('15.0')
  await page.getByTestId('turn-to').click()
  await expect(page.getByText('as given').first()).toBeVisible()
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('dialog')).toBeHidden()
  await reading(page, `${readings}.bossMm`).fill('12 mm')
  await expect(page.getByTestId('mend-call')).toContainText('Say no')
  await reading(page, `${readings}.bossMm`).fill('26 mm')
  await expect(page.getByText('Slug in the freezer').first()).toBeVisible()
  await page.getByTestId('machining').getByRole('checkbox').first().check()
  await saved(page)
  await page.reload()
  await expect(page.getByText('At the machine, 1 of')).toBeVisible()
})

test('a face is read in and mapped, holes are fitted, and bad readings change nothing', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/press-tray/rebuild')
  await page.locator('[data-view="face"]').click()
  await page.getByText('Readings anywhere').click()
  await page.getByTestId('face-paste').locator('textarea').first().fill('0 0 0\n100 0 zero\n')
  await page.getByRole('button', { name: 'Take them in' }).click()
  await expect(page.getByRole('alert')).toContainText('line 2')
  await page
    .getByTestId('face-paste')
    .locator('textarea')
    .first()
    .fill('0, 0, 0\n100, 0, 0.02\n0, 80, 0.03\n100, 80, 0.01\n50, 40, 0.12\n')
  await page.getByRole('button', { name: 'Take them in' }).click()
  const { minimumZoneMm } = await askServer<{ minimumZoneMm: number }>(page, 'flat.evaluate', {
    points: [
      [0, 0, 0],
      [100, 0, 0.02],
      [0, 80, 0.03],
      [100, 80, 0.01],
      [50, 40, 0.12],
    ].map(([xMm, yMm, zMm]) => ({ xMm, yMm, zMm })),
  })
  await expect(page.getByTestId('zone')).toContainText(`${minimumZoneMm.toFixed(3)} mm`)
  await page.getByRole('button', { name: 'what blue marks' }).click()
  await expect(page.getByText('marked by the blue')).toBeVisible()
  await page.locator('[data-view="holes"]').click()
  for (const [n, [x, y]] of (
    [
      ['30', '0'],
      ['0', '30'],
      ['-30', '0'],
    ] as const
  ).entries()) {
    await page.getByTestId('add-hole').click()
    await reading(page, `rebuild.holes.${n}.xMm`).fill(`${x} mm`)
    await reading(page, `rebuild.holes.${n}.yMm`).fill(`${y} mm`)
  }
  await page.getByLabel('Holes round the whole circle').fill('4')
  await expect(page.getByTestId('circle')).toContainText('60.0 mm')
  await visit(page, '/threads')
  const comb = page.waitForEvent('download')
  await page.getByTestId('comb').click()
  expect((await comb).suggestedFilename()).toBe('pitch-combs.pdf')
})
