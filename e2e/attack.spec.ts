import { encode } from 'fast-png'
import { strFromU8, unzipSync } from 'fflate'
import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { spawn } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { bringDemo, reading, saved, test, visit } from './bench'

test('letters typed and left at once are all there after the reload, on a fresh page too', async ({ page }) => {
  await bringDemo(page)
  for (let n = 0; n < 4; n++) {
    await page.goto('/job/gearbox-cover/take-in')
    const words = `dropped from the bench ${n}`
    const field = page.getByLabel('What is broken, and how far').or(page.locator('textarea').first()).first()
    await field.waitFor()
    await field.fill('')
    await field.pressSequentially(words)
    await page.reload()
    await expect(page.locator('textarea').first()).toHaveValue(words)
  }
})

test('a closed hollow ticked, handed-over settled: the whole shop goes out and comes in on an empty bench', async ({
  page,
  browser,
  baseURL,
}) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/take-in')
  await page.locator('[data-pick="takeIn.protect:closed-hollow"]').getByRole('checkbox').check()
  await page.goto('/job/gearbox-cover/hand-over')
  await page
    .getByRole('button', { name: /settle/i })
    .first()
    .click()
  await saved(page)
  await page.goto('/')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('backup').click()])
  const path = (await download.path())!
  const bytes = readFileSync(path)
  const text = download.suggestedFilename().endsWith('.zip')
    ? strFromU8(unzipSync(bytes)['jobs.json']!)
    : bytes.toString('utf8')
  expect(text).toContain('closed-hollow')
  const other = await (await browser.newContext({ baseURL: baseURL! })).newPage()
  await other.goto('/')
  await other
    .getByTestId('import')
    .setInputFiles({ name: 'shop.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await expect(other.getByRole('status')).toContainText('32 new')
  await other.context().close()
})

test('what no file could hold is refused at its field, and what was there stands', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/hand-over')
  await page.getByLabel('Extra', { exact: true }).fill('gold')
  await page.getByLabel('Price').fill('10000001')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByTestId('refused')).toContainText('at most')
  await expect(page.locator('.extras')).not.toContainText('gold')
  await page.getByLabel('Price').fill('12')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.locator('.extras')).toContainText('gold')
  await expect(page.getByTestId('refused')).toHaveCount(0)
})

test('a full disk: what is typed stays on screen, marked, is said, can be taken out, and is stored once there is room', async ({
  page,
}) => {
  await bringDemo(page)
  await page.goto('/job/gearbox-cover/open?mend=flange')
  await reading(page, 'mends.#flange.readings.lengthMm').waitFor()
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.put
    const full = function (this: IDBObjectStore): never {
      throw new DOMException('no room', 'QuotaExceededError')
    }
    Object.assign(window, {
      room: () => {
        IDBObjectStore.prototype.put = real
      },
    })
    IDBObjectStore.prototype.put = full
  })
  await reading(page, 'mends.#flange.readings.lengthMm').fill('77 mm')
  await expect(page.getByTestId('not-stored')).toContainText('no room left')
  await expect(page.getByTestId('unstored').first()).toBeVisible()
  await reading(page, 'mends.#flange.readings.landMm').fill('1 mm')
  await expect(reading(page, 'mends.#flange.readings.lengthMm')).toHaveValue('77 mm')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByTestId('not-stored')
      .getByRole('button', { name: /as a file/ })
      .click(),
  ])
  expect(readFileSync((await download.path())!).toString('latin1')).toContain('77 mm')
  await page.evaluate(() => (window as unknown as { room: () => void }).room())
  await page.getByTestId('not-stored').getByRole('button', { name: 'Try now' }).click()
  await expect(page.getByTestId('not-stored')).toHaveCount(0)
  await page.reload()
  await expect(reading(page, 'mends.#flange.readings.lengthMm')).toHaveValue('77 mm')
  await expect(reading(page, 'mends.#flange.readings.landMm')).toHaveValue('1 mm')
})

test('a job goes off the shelf when it is asked for, and can be put back with its pictures', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/')
  await page.getByRole('button', { name: /More for Press tray/ }).click()
  await page.getByLabel(/Take Press tray.* off the shelf/).click()
  await page.getByTestId('take-off').dblclick()
  await expect(page.getByRole('link', { name: /Press tray/ })).toHaveCount(0)
  await page.getByTestId('put-back').click()
  await expect(page.getByRole('link', { name: /Press tray/ })).toHaveCount(1)
})

test('a damaged record stands alone: it is shown, its words go out, and the rest goes on', async ({ page }) => {
  await bringDemo(page)
  await page.goto('/')
  await page.evaluate(
    async () =>
      new Promise<void>(resolve => {
        const open = indexedDB.open('wild-sparrow')
        open.onsuccess = () => {
          const change = open.result.transaction('jobs', 'readwrite')
          const jobs = change.objectStore('jobs')
          const got = jobs.get('press-tray')
          got.onsuccess = () => {
            jobs.put({ ...got.result, pictures: null, weld: 'bent' })
          }
          change.oncomplete = () => resolve()
        }
      }),
  )
  await page.goto('/')
  const downloads: string[] = []
  page.on('download', download => downloads.push(download.suggestedFilename()))
  await page.getByTestId('backup').click()
  await expect(page.getByTestId('damaged')).toContainText('Press tray')
  await expect.poll(() => downloads.length).toBe(2)
  expect(downloads).toEqual(expect.arrayContaining(['wild-sparrow-damaged.json']))
  await page.goto('/day')
  await expect(page.locator('h1')).toBeVisible()
  await page.goto('/job/press-tray/open')
  await expect(page.locator('h1')).toContainText('damaged')
})

test('the server stands what is thrown at it: deep and wide bodies, odd paths, other origins; light questions go on', async ({
  request,
}) => {
  const light = async () =>
    expect(
      (await request.post('/api/ask/machine.balance', { data: { value: -40, reads: 'ep-minus-en' } })).status(),
    ).toBe(200)
  await light()
  for (const body of [
    '['.repeat(5000) + ']'.repeat(5000),
    '{"a":'.repeat(5000) + '1' + '}'.repeat(5000),
    `{"readings":[${'{"x":1},'.repeat(60_000)}1]}`,
    `[${'1,'.repeat(450_000)}1]`,
  ]) {
    const answer = await request.post('/api/ask/machine.balance', {
      data: body,
      headers: { 'content-type': 'application/json' },
    })
    expect(answer.status()).toBe(422)
    expect((await answer.body()).length).toBeLessThan(20_000)
  }
  await light()
  for (const [path, status] of [
    ['/schema/__proto__', 404],
    ['/schema/constructor', 404],
    ['/api/ask/%25', 404],
    ['/api/nowhere', 404],
    ['/nowhere', 404],
    ['/job/a/nowhere', 404],
  ] as const) {
    const answer = path.startsWith('/api/ask') ? await request.post(path, { data: {} }) : await request.get(path)
    expect(answer.status(), path).toBe(status)
  }
  expect(await (await request.get('/api/nowhere')).json()).toMatchObject({ error: { kind: 'unknown-path' } })
  expect(
    (
      await request.post('/api/ask/machine.balance', {
        data: { value: 1, reads: 'en-share' },
        headers: { origin: 'http://elsewhere.test' },
      })
    ).status(),
  ).toBe(403)
})

test('streams that are left are let go: a hundred times over, and the next still opens', async ({ page }) => {
  await page.goto('/')
  const opened = await page.evaluate(async () => {
    const ask = (signal: AbortSignal) =>
      fetch('/api/instruments/stream', {
        method: 'POST',
        signal,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({
          instrument: 'scale',
          setup: { massG: 100 },
          seed: 1,
          startedAt: new Date().toISOString(),
          perSecond: 10,
          from: 0,
        }),
      })
    let fine = 0
    // One that finds no room is asked again: what others have left is let go of.
    for (let n = 0; n < 100; n++) {
      const leave = new AbortController()
      let answer = await ask(leave.signal)
      while (answer.status !== 200) answer = await ask(leave.signal)
      fine += 1
      leave.abort()
    }
    const last = new AbortController()
    const answer = await ask(last.signal)
    const { value } = await answer.body!.getReader().read()
    last.abort()
    return { fine, status: answer.status, bytes: value!.length }
  })
  expect(opened.status).toBe(200)
  expect(opened.bytes).toBeGreaterThan(20)
  expect(opened.fine).toBe(100)
})

test('a shape of too many pieces and a picture that unpacks past its header are refused, and the next of each is answered', async ({
  request,
}) => {
  const skin = (shape: object) => request.post('/api/solid/triangles', { data: shape })
  const fins = { kind: 'finned-cylinder', boreMm: 60, wallMm: 10, fins: 60, finMm: 1, gapMm: 1.5, finOutMm: 100 }
  const piled = Array.from({ length: 60 }, (_, n) => ({ shape: fins, atMm: [n, 2 * n, n] }))
  expect((await skin({ kind: 'union', parts: piled })).status()).toBe(409)
  const crossed = [{ shape: fins }, { shape: fins, lies: 'along', atMm: [1, 2, 3] }]
  expect((await skin({ kind: 'union', parts: crossed })).status()).toBe(409)
  const box = await skin({ kind: 'box', xMm: 10, yMm: 20, zMm: 30 })
  expect([box.status(), (await box.body()).length]).toEqual([200, 12 * 36])

  const card = (png: Buffer) => request.post('/api/ask/photo.card', { data: { png: png.toString('base64') } })
  const bomb = Buffer.from(encode({ width: 6000, height: 6000, data: new Uint8Array(36e6), channels: 1, depth: 8 }))
  bomb.writeUInt32BE(100, 16)
  bomb.writeUInt32BE(100, 20)
  const refused = await card(bomb)
  expect(refused.status()).toBe(409)
  expect(await refused.text()).toContain('more than its header says')
  const plain = encode({ width: 100, height: 100, data: new Uint8Array(10_000).fill(200), channels: 1, depth: 8 })
  expect((await card(Buffer.from(plain))).status()).toBe(200)
})

test('odd addresses and heavy examples of Ask', async ({ page }) => {
  await page.goto('/ask?q=constructor')
  await expect(page.locator('h1')).toHaveText('Ask')
  await page.goto('/ask?q=heat.simulate')
  await page.getByRole('button', { name: 'Put in an example' }).click()
  await expect(page.locator('main')).toContainText('peak')
  await page.goto('/nowhere')
  await expect(page.locator('h1')).toHaveText('There is no such page')
})

test('told to end through its package runner, the server gives its port back', async () => {
  const PORT = '4391'
  const runner = spawn('npm', ['start', '--silent'], {
    cwd: fileURLToPath(new URL('..', import.meta.url)),
    env: { ...process.env, PORT, HOST: '' },
    stdio: 'ignore',
  })
  const answers = () =>
    fetch(`http://127.0.0.1:${PORT}/`).then(
      response => response.ok,
      () => false,
    )
  await expect.poll(answers).toBe(true)
  runner.kill('SIGTERM')
  await expect.poll(answers).toBe(false)
})

test('pressed twice, a part is taken in once', async ({ page }) => {
  await page.goto('/')
  await page.getByTestId('new-title').getByRole('textbox').fill('Pressed twice')
  await page.getByRole('button', { name: 'Take it in' }).dblclick()
  await expect(page.getByTestId('call')).toBeVisible()
  await visit(page, '/')
  await expect(page.locator('[data-job]')).toHaveCount(1)
})
