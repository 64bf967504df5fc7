import { fileURLToPath } from 'node:url'
import type { Page } from '@playwright/test'
import { median } from './timing'

const DEMO = fileURLToPath(new URL('../demo/larkmoor-bench.json', import.meta.url))
/** Triangles of the round part, and turns of it that are timed. */
const ROUND = 317
const TURNS = 60
const RADIUS_MM = 60

/** A ball of some 200,000 triangles as a binary STL file. */
function ball(): Buffer {
  const rows = ROUND
  const at = (i: number, j: number) => {
    const [down, round] = [(Math.PI * i) / rows, (2 * Math.PI * (j % ROUND)) / ROUND]
    return [
      RADIUS_MM * Math.sin(down) * Math.cos(round),
      RADIUS_MM * Math.sin(down) * Math.sin(round),
      RADIUS_MM * Math.cos(down),
    ]
  }
  const triangles: number[][][] = []
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < ROUND; j++) {
      const [a, b, c, d] = [at(i, j), at(i + 1, j), at(i + 1, j + 1), at(i, j + 1)]
      if (i < rows - 1) triangles.push([a, b, c])
      if (i > 0) triangles.push([a, c, d])
    }
  const file = Buffer.alloc(84 + 50 * triangles.length)
  file.writeUInt32LE(triangles.length, 80)
  triangles.forEach((corners, n) =>
    corners.flat().forEach((value, m) => file.writeFloatLE(value, 84 + 50 * n + 12 + 4 * m)),
  )
  return file
}

/** A part of 200,000 triangles turned by keys: from one picture to the next, on whatever draws here. */
export async function turned(page: Page, address: string, line: (name: string, value: string) => void) {
  console.log('\nA part of 200,000 triangles, turned')
  await page.goto(address)
  await page.getByTestId('import').setInputFiles(DEMO)
  await page.locator('[data-job="press-tray"]').waitFor()
  await page.goto(`${address}job/press-tray/shape`)
  const begun = performance.now()
  await page.getByTestId('stl').setInputFiles({ name: 'ball.stl', mimeType: 'model/stl', buffer: ball() })
  await page.getByText('The shape comes from a file, ball.stl').waitFor({ timeout: 60_000 })
  line('brought in: closed, measured, cut into cells, stored', `${((performance.now() - begun) / 1000).toFixed(1)} s`)
  await page.getByRole('button', { name: 'turned' }).click()
  const canvas = page.getByTestId('part-turned').locator('canvas')
  await canvas.waitFor()
  await page.waitForTimeout(1500)
  const [drawnBy, times] = await canvas.evaluate(async (element, turns) => {
    const context = (element as HTMLCanvasElement).getContext('webgl2')!
    const known = context.getExtension('WEBGL_debug_renderer_info')
    const name = known ? String(context.getParameter(known.UNMASKED_RENDERER_WEBGL)) : 'unknown'
    const found: number[] = []
    let last = await new Promise<number>(resolve => requestAnimationFrame(resolve))
    for (let n = 0; n < turns; n++) {
      element.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', bubbles: true, cancelable: true }))
      await new Promise(resolve => requestAnimationFrame(resolve))
      // What was drawn is waited for, or a slow drawing would be hidden behind the next picture.
      context.finish()
      const now = await new Promise<number>(resolve => requestAnimationFrame(resolve))
      found.push((now - last) / 2)
      last = now
    }
    return [name, found] as const
  }, TURNS)
  const software = /swiftshader|llvmpipe|software/i.test(drawnBy)
  line(
    'from picture to picture (60 a second: 17 ms)',
    `median ${median([...times]).toFixed(0)} ms, drawn ${software ? 'in software, without a graphics card' : `by ${drawnBy}`}`,
  )
}
