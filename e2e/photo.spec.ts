import { encode } from 'fast-png'
import { expect, type Page } from '@playwright/test'
import { bluedScene, trueShare } from '../core/photo/blue.fixture'
import { lens, SHOT, take, type Scene, type Shot } from '../core/photo/camera.fixture'
import { cardScene } from '../core/photo/card/card.fixture'
import { crackBetween, crackScene, lengthOf } from '../core/photo/lines.fixture'
import type { Point } from '../core/photo/point'
import { ISO, screwScene } from '../core/photo/thread.fixture'
import { bringDemo, reading, saved, test, visit } from './bench'

/** A made picture as a file. */
function file(name: string, scene: Scene, shot: Shot) {
  const { wide, high, rgba } = take(scene, shot)
  const data = rgba.filter((_, i) => i % 4 !== 3)
  const bytes = encode({ width: wide, height: high, data: new Uint8Array(data), channels: 3, depth: 8 })
  return { name, mimeType: 'image/png', buffer: Buffer.from(bytes) }
}

async function tap(page: Page, [x, y]: Point) {
  const desk = page.getByTestId('desk')
  const point = await desk.evaluate(
    (svg, at) => {
      const { x: left, y: top } = new DOMPoint(at[0], at[1]).matrixTransform(
        (svg as unknown as SVGSVGElement).getScreenCTM()!,
      )
      return [left, top] as const
    },
    [x, y],
  )
  await page.mouse.click(...point)
}

async function openPicture(page: Page, picture: ReturnType<typeof file>, job = 'gearbox-cover') {
  await bringDemo(page)
  await visit(page, `/job/${job}/pictures`)
  await page.getByTestId('add-picture').setInputFiles(picture)
  await expect(page.getByRole('button', { name: picture.name })).toHaveAttribute('aria-current', 'true')
}

test('a card scales the picture by itself, and two taps follow the crack to within two percent', async ({ page }) => {
  const crack = crackBetween([108, 12], [172, 46], 0.3, 7)
  const [onCasting, card] = [crackScene(crack, 0.5, 'casting', 3), cardScene({ card: 'M' })]
  const shot = { ...SHOT, wide: 1100, high: 560, middleMm: [92, 30] as Point, pxPerMm: 5.4, tiltDeg: 24, towardDeg: 70 }
  await openPicture(
    page,
    file('crack.png', (x, y) => (x < 99 ? card(x, y) : onCasting(x, y)), shot),
  )
  await page.getByTestId('find-card').click()
  await expect(page.getByTestId('reading-told')).toContainText('Scaled by the card')
  await expect(page.getByTestId('reading-told')).toContainText(/2[345]° off square/)
  await page.getByTestId('new-crack').click()
  await page.getByTestId('desk').scrollIntoViewIfNeeded()
  const { toPx } = lens(shot)
  await tap(page, toPx(crack[0]!))
  await tap(page, toPx(crack.at(-1)!))
  const length = async () => Number(/([\d.]+) mm/.exec(await page.getByTestId('trace-0').innerText())?.[1])
  await expect.poll(length).toBeGreaterThan(lengthOf(crack) * 0.98)
  expect(await length()).toBeLessThan(lengthOf(crack) * 1.02)
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'crack.png before' }).click()
  await expect(page.getByTestId('reading-told')).toContainText('Scaled by card M')
})

test('the blue on a face is counted, in its outline found by itself, and stays with the picture', async ({ page }) => {
  const face = { seed: 5, spots: 40, reach: 0.8, strength: 0.8 }
  const shot = { ...SHOT, wide: 700, high: 480, middleMm: [50, 30] as Point, rollDeg: 5, shade: 0.3, noise: 0.015 }
  await openPicture(page, file('blue.png', bluedScene(face), shot), 'signal-bracket')
  await page.getByTestId('find-outline').click()
  await expect(page.getByTestId('reading-told')).toContainText('An outline')
  await page.getByTestId('read-blue').first().click()
  await expect(page.getByTestId('blue-seen')).toContainText('of the face bears')
  const share = Number(/(\d+) %/.exec(await page.getByTestId('blue-seen').innerText())?.[1])
  expect(Math.abs(share - trueShare(face))).toBeLessThan(3)
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: 'blue.png before' }).click()
  await expect(page.getByTestId('blue-seen')).toContainText(`${share} %`)
  await visit(page, '/job/signal-bracket/rebuild')
  await page.locator('[data-view=face]').click()
  await expect(page.getByTestId('blued-faces')).toContainText(`${share} ±`)
  // Laid on the map of the readings, and turned to lie as the face does.
  await page.getByTestId('lay-blue').click()
  await expect(page.getByTestId('laid-told')).toContainText(`${share} % of the face bears`)
  const patch = page.getByTestId('laid-blue').locator('polygon').nth(1)
  const before = await patch.getAttribute('points')
  expect(before!.split(' ').length).toBeGreaterThan(4)
  await page.getByTestId('turn-blue').click()
  await expect(patch).not.toHaveAttribute('points', before!)
})

test('the branches of a crack are found and count with it in the opening', async ({ page }) => {
  const crack: Point[] = [
    [12, 30],
    [90, 34],
  ]
  const branch: Point[] = [
    [42, 31.5],
    [56, 17],
  ]
  const shot = { ...SHOT, wide: 900, high: 560, middleMm: [50, 28] as Point, pxPerMm: 8 }
  await openPicture(page, file('fork.png', crackScene(crack, 0.5, 'ground', 3, 0.35, [branch]), shot))
  const { toPx } = lens(shot)
  await page.getByRole('button', { name: 'two points' }).click()
  await page.getByTestId('tool-scale').click()
  await page.getByTestId('desk').scrollIntoViewIfNeeded()
  for (const at of [
    [10, 10],
    [90, 10],
  ] as Point[])
    await tap(page, toPx(at))
  await reading(page, 'pictures.1.scale.apartMm').fill('80 mm')
  await page.getByTestId('new-crack').click()
  for (const at of crack) await tap(page, toPx(at))
  await expect(page.getByTestId('trace-0')).toContainText('mm')
  await page.getByTestId('find-branches').click()
  await expect(page.getByTestId('reading-told')).toContainText('One branch found')
  await expect(page.getByTestId('trace-1')).toContainText('a branch')
  const whole = Number(/([\d.]+) mm/.exec(await page.getByTestId('with-branches').innerText())?.[1])
  const truth = lengthOf(crack) + lengthOf(branch)
  expect(Math.abs(whole / truth - 1)).toBeLessThan(0.02)
  await page.getByTestId('use-crack').click()
  await saved(page)
  await visit(page, '/job/gearbox-cover/open?mend=flange')
  await expect(reading(page, 'mends.#flange.readings.lengthMm')).toHaveValue(`${whole.toFixed(1)} mm`)
})

test('a thread is read along an axis and taken to the thread bench', async ({ page }) => {
  const screw = { ...ISO, pitchMm: 1.25, majorMm: 8, turns: 14, leanDeg: 1 }
  const [thread, card] = [screwScene(screw), cardScene({ card: 'S' })]
  const shot = { ...SHOT, wide: 900, high: 760, middleMm: [10, 13] as Point, pxPerMm: 18, noise: 0.01 }
  await openPicture(
    page,
    file('thread.png', (x, y) => (y > 10 ? card(x + 12, y - 12) : thread(x, y)), shot),
  )
  await page.getByTestId('find-card').click()
  await expect(page.getByTestId('reading-told')).toContainText('Scaled by the card')
  await page.getByTestId('new-thread').click()
  await page.getByTestId('desk').scrollIntoViewIfNeeded()
  const { toPx } = lens(shot)
  await tap(page, toPx([0.6, 0.1]))
  await tap(page, toPx([16.9, -0.1]))
  await page.getByTestId('read-thread').click()
  await expect(page.getByTestId('thread-seen')).toContainText(/1\.2[45]\d ± 0\.0/)
  await page.getByRole('link', { name: 'Which thread is it?' }).click()
  await expect(page.locator('body')).toContainText('M8')
})

test('a picture without a card says so, and the card prints', async ({ page }) => {
  await openPicture(
    page,
    file('bare.png', () => [0.5, 0.5, 0.5], { ...SHOT, wide: 300, high: 200 }),
  )
  await page.getByTestId('find-card').click()
  await expect(page.getByTestId('reading-told')).toContainText('No card: no code of a scale card is read')
  await page.getByTestId('card-print').click()
  const waits = page.waitForEvent('download')
  await page.getByTestId('card-pdf').click()
  expect((await waits).suggestedFilename()).toBe('scale-card-M.pdf')
})

test('tags for the open jobs go out as a sheet', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/')
  const waits = page.waitForEvent('download')
  await page.getByTestId('labels').click()
  expect((await waits).suggestedFilename()).toBe('labels.pdf')
})
