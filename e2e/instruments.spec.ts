import { expect } from '@playwright/test'
import { bringDemo, saved, test, visit } from './bench'

test('a thermometer on the wire follows the job, lands in the field last touched or with the job, and a loose plug loses nothing', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/warm')
  await expect(page.getByTestId('call')).toBeVisible()
  await page.keyboard.press('m')
  await page.getByLabel('Readings a second').fill('20')
  await page.getByLabel('With a loose plug').check()
  await page.getByTestId('instrument-start').click()
  const probe = page.locator('[data-instrument="thermocouple"]')
  await expect(probe.getByTestId('now')).toContainText('°C')
  await page.locator('[data-path="warm.startC"]').focus()
  await page.keyboard.press('F2')
  await expect(page.locator('[data-path="warm.startC"]')).toHaveValue(/^\d+(\.\d)? °C$/)
  await expect(probe).toContainText('taken up again', { timeout: 25_000 })
  await expect(probe).not.toContainText('missing')
})

test('a caliper fills the wall; readings out of a file are kept with the job, and a bad file changes nothing', async ({
  page,
}) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/weld')
  await expect(page.getByTestId('call')).toBeVisible()
  await page.keyboard.press('m')
  await page.locator('[data-kind="scale"]').click()
  await page.getByLabel('On the pan').fill('1 lb')
  await page.getByTestId('instrument-start').click()
  const scale = page.locator('[data-instrument="scale"]')
  await expect(scale.getByTestId('now')).toHaveText(/45[2-5] g/)
  await scale.getByTestId('take').click()
  await expect(page.getByTestId('kept-readings')).toContainText('scale pan')
  await page.keyboard.press('m')
  await page
    .getByTestId('readings-file')
    .setInputFiles({
      name: 'bad.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('at,instrument,value,unit\n2026-11-12T09:00:00Z,probe,warm,F\n'),
    })
  await expect(page.getByText('Line 2: value "warm"')).toBeVisible()
  await page
    .getByTestId('readings-file')
    .setInputFiles({
      name: 'good.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'at,instrument,value,unit\n2026-11-12T09:00:00Z,probe,212,F\n2026-11-12T09:00:05Z,probe,230,F\n',
      ),
    })
  await expect(page.getByText('good.csv: 2 readings kept with the job')).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
  await page.reload()
  await expect(page.getByText('Readings kept, 3')).toBeVisible()
  await expect(page.getByTestId('kept-readings')).toContainText('110 °C')
})

test('a clock that runs out is seen and hushed, and the arc clock lives through a reload', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/bench')
  await page.getByTestId('arc-clock').click()
  await expect(page.getByTestId('arc-clock')).toContainText('00:00:02')
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('arc-clock')).toContainText('arc off')
  await expect(page.getByTestId('arc-clock')).toContainText(/00:00:0[1-9]/)
  await page.keyboard.press('c')
  await page.getByLabel('Time, such as').fill('1 s')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.locator('.flash')).toBeVisible({ timeout: 8000 })
  await page.getByTestId('hush').click()
  await expect(page.locator('.flash')).toHaveCount(0)
})

test('a picture and a note go with what was seen, and the current is dragged on the wave', async ({ page }) => {
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/bench')
  await page.locator('[data-saw="pinhole"]').click()
  await page.getByLabel('Note on what was seen last').fill('at the toe')
  await page.getByTestId('log-picture').setInputFiles('demo/pictures/demo-flange.jpg')
  await expect(page.getByText('picture taken')).toBeVisible()
  await page.getByRole('link', { name: 'Back' }).click()
  await expect(page.locator('tr', { hasText: 'pinhole' }).first()).toContainText('picture')
  const grip = page.locator('[data-grip="negative"]')
  await grip.focus()
  await page.keyboard.press('ArrowDown')
  await expect(page.locator('[data-path="weld.currentA"]')).toHaveValue('179 A')
  await grip.scrollIntoViewIfNeeded()
  const box = (await grip.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y - 20, { steps: 4 })
  await page.mouse.up()
  await expect(page.locator('[data-path="weld.currentA"]')).not.toHaveValue('179 A')
})

test('a serial port: the device is described by a file, its readings land in the job, and a bad file says which part', async ({
  page,
}) => {
  // The port that the browser would let the reader choose, simulated: lines come in torn pieces.
  await page.addInitScript(() => {
    const encoder = new TextEncoder()
    Object.defineProperty(navigator, 'serial', {
      value: {
        requestPort: async () => ({
          open: async () => undefined,
          close: async () => undefined,
          writable: new WritableStream(),
          readable: new ReadableStream({
            start(controller) {
              let n = 0
              setInterval(() => {
                const line = `NET ${(7.9 + 0.01 * (n++ % 3)).toFixed(2)} mm\r\n`
                controller.enqueue(encoder.encode(line.slice(0, 5)))
                controller.enqueue(encoder.encode(line.slice(5)))
              }, 100)
            },
          }),
        }),
      },
    })
  })
  await bringDemo(page)
  await visit(page, '/job/signal-bracket/weld')
  await expect(page.getByTestId('call')).toBeVisible()
  await page.keyboard.press('m')
  const device = {
    kind: 'wild-sparrow/device',
    version: 1,
    id: 'my-gauge',
    name: 'wall gauge',
    instrument: 'caliper',
    serial: { baudRate: 9600 },
    bluetooth: null,
    lines: [{ pattern: 'NET {value} {unit}', channel: 'wall', unit: 'mm' }],
  }
  const file = (content: object) => ({
    name: 'gauge.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(content)),
  })
  await page
    .getByTestId('device-file')
    .setInputFiles(file({ ...device, lines: [{ ...device.lines[0], pattern: 'NET' }] }))
  await expect(page.getByTestId('device-trouble')).toContainText('lines.0.pattern')
  await page.getByTestId('device-file').setInputFiles(file(device))
  await expect(page.getByTestId('device')).toContainText('wall gauge')
  await page.locator('[data-way="serial"]').click()
  const gauge = page.locator('[data-instrument="caliper"]')
  await expect(gauge.getByTestId('now')).toHaveText(/7\.9\d? mm/)
  await gauge.getByTestId('take').click()
  await expect(page.getByTestId('kept-readings')).toContainText('wall gauge wall')
  // It is kept with the kit.
  await page.reload()
  await expect(page.getByTestId('call')).toBeVisible()
  await page.keyboard.press('m')
  await expect(page.getByTestId('device')).toContainText('wall gauge')
  await page.locator('[data-way="simulated"]').click()
  await expect(page.locator('[data-instrument="caliper"]')).toContainText('simulated')
})
