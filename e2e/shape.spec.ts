import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import type { Job } from '../core/job/job.schema'
import { readFile } from '../core/job/files'
import { shapeOfPieces } from '../core/solid/stored/to-shape'
import { measured } from '../core/solid/measure'
import { askServer, bringDemo, reading, saved, test, visit } from './bench'

const exported = async (page: Page, id: string): Promise<Job> => {
  await visit(page, `/job/${id}/hand-over`)
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('export-job').click()])
  const read = readFile(readFileSync(await download.path(), 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.issues))
  return read.jobs[0]!
}

test('a cover put together from pieces, its crack walked along on it: the same figures on screen, at the server and in the file', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/bar-hanger/take-in')
  await page.getByTestId('to-shape').click()
  await page.getByTestId('starter-cover').click()
  await page.locator('[data-piece="cover-1"]').click()
  await reading(page, 'shape.pieces.#cover-1.size.xMm').fill('210 mm')
  await reading(page, 'shape.pieces.#cover-1.size.wallMm').fill('1/4 in')
  await page.getByTestId('add-hole').click()
  await expect(page.getByTestId('shape-call')).toContainText('210.0 mm × 140.0 mm × 62.0 mm')
  // A size that cannot be is said by the piece's own name, and the drawing stays as it was.
  await page.locator('[data-piece="cover-1"]').click()
  await reading(page, 'shape.pieces.#cover-1.size.wallMm').fill('90 mm')
  await expect(page.getByText('wall and flange leave no hollow')).toBeVisible()
  await expect(page.getByTestId('part-sheet')).toBeVisible()
  await reading(page, 'shape.pieces.#cover-1.size.wallMm').fill('1/4 in')

  await page.getByTestId('to-marks').click()
  await page.getByTestId('place-eye').click()
  const sheet = page.getByTestId('part-sheet')
  const box = (await sheet.boundingBox())!
  const tap = (x: number, y: number) => sheet.click({ position: { x: box.width * x, y: box.height * y } })
  await tap(0.14, 0.4)
  await expect(page.getByText('Tap on along it, as it runs')).toBeVisible()
  await tap(0.15, 0.5)
  await tap(0.135, 0.6)
  await page.locator('[data-take^="long-"]').click()
  // The flange is as thick as the job says its wall is: nothing to take.
  await expect(page.locator('[data-take^="wall-"]')).toHaveCount(0)
  await saved(page)
  const job = await exported(page, 'bar-hanger')
  const shape = shapeOfPieces(job.shape.pieces)
  const { volumeMm3, skinMm2 } = measured(shape)
  expect(job.shape.marks[0]!.path).toHaveLength(2)
  const { value: lengthMm } = job.mends[0]!.readings.lengthMm as { value: number }
  expect(lengthMm).toBeGreaterThan(20)
  // Through the flange, straight in from above.
  expect(job.takeIn.wallMm.value).toBe(10)
  const answer = await askServer<{ part: { massG: number; skinMm2: number } }>(page, 'job.plan', {
    part: { does: 'static', bodies: [{ id: 'a', alloy: '356', wallMm: 10 }], shape },
    mends: [{ id: 'm', kind: 'crack', lengthMm }],
  })
  expect(answer.part.massG / ((volumeMm3 * 2.68) / 1000)).toBeCloseTo(1, 2)
  expect(answer.part.skinMm2).toBeCloseTo(skinMm2, 3)
  await visit(page, '/job/bar-hanger/shape')
  await expect(page.getByTestId('comes-to')).toContainText(`${Math.round(volumeMm3 / 1000)} cm³`)
})

test('the same drawing stands at every station, cut through and turned, and its passes are laid one by one', async ({
  page,
}) => {
  await bringDemo(page)
  for (const station of ['take-in', 'call', 'open', 'warm', 'weld', 'rebuild', 'prove', 'hand-over']) {
    await visit(page, `/job/gearbox-cover/${station}`)
    await expect(page.getByTestId('part-figure')).toBeVisible()
  }
  await visit(page, '/job/gearbox-cover/weld')
  const figure = page.getByTestId('part-figure')
  await expect(figure).toContainText('crack through the flange: 3 passes, AC TIG')
  await figure.getByTestId('passes-laid').fill('3')
  await expect(figure).toContainText('pass 3')
  await figure.getByLabel('cut through').check()
  await expect(figure.getByTestId('section-cut')).toBeVisible()
  await figure.getByTestId('turn-part').click()
  await expect(figure.getByTestId('part-turned')).toBeVisible()
})

test("the signal bracket's shape comes from its picture, and a file of triangles goes out and comes in", async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/shape')
  const sheet = page.getByTestId('part-sheet')
  await expect(sheet).toBeVisible()
  await page.getByTestId('from-picture').first().click()
  await expect(page.locator('[data-piece]')).toHaveCount(11)
  await expect(page.getByRole('button', { name: 'Turn the outline over' })).toBeVisible()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('save-stl').click()])
  const path = await download.path()
  await visit(page, '/job/press-tray/shape')
  await page
    .getByTestId('stl')
    .setInputFiles({ name: 'bracket.stl', mimeType: 'model/stl', buffer: readFileSync(path) })
  await expect(page.getByText('The shape comes from a file, bracket.stl')).toBeVisible()
  await expect(page.getByTestId('comes-to')).toBeVisible()
  await page.reload()
  await expect(page.getByTestId('part-sheet')).toBeVisible()

  // The same file with its last triangle gone: 80 bytes of heading, a count, 50 bytes a triangle.
  const torn = readFileSync(path).subarray(0, -50)
  torn.writeUInt32LE(torn.readUInt32LE(80) - 1, 80)
  await page.getByRole('button', { name: 'Take it away' }).click()
  await page.getByTestId('stl').setInputFiles({ name: 'torn.stl', mimeType: 'model/stl', buffer: torn })
  await expect(page.getByText(/One opening in its skin closed: [\d.]+ mm across at/)).toBeVisible()
})

test('a piece is moved by its corner with the keys, and undo brings it back', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/lamp-yoke/shape')
  await page.locator('[data-piece="p3"]').click()
  const before = await reading(page, 'shape.pieces.#p3.at.x').inputValue()
  await page.locator('[data-mark="p3"]').focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(reading(page, 'shape.pieces.#p3.at.x')).not.toHaveValue(before)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(reading(page, 'shape.pieces.#p3.at.x')).toHaveValue(before)
})

test('the pull bench lays the planned beads, says how far each fixed thing moves, and keeps it for the stations after', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/lamp-yoke/weld')
  await page.getByTestId('to-pull-bench').click()
  await expect(page.getByTestId('pull-wants')).toContainText('Mark what may not move')
  await visit(page, '/job/signal-bracket/weld')
  await page.getByTestId('to-pull-bench').click()
  await page.getByTestId('run-pull').click()
  await expect(page.getByTestId('pull-call')).toContainText('bolt pattern', { timeout: 90_000 })
  await page.getByTestId('after-bead').fill('1')
  await expect(page.getByTestId('pulled')).toContainText('bolt pattern')
  await page.getByTestId('compare-pull').click()
  await expect(page.getByTestId('stop-pull')).toBeVisible()
  await page.getByTestId('stop-pull').click()
  await expect(page.getByTestId('run-pull')).toBeVisible({ timeout: 30_000 })
  await saved(page)
  await visit(page, '/job/signal-bracket/prove')
  await expect(page.getByText('Foretold of the pull: bolt pattern')).toBeVisible()
})
