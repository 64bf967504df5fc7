import { beforeAll, describe, expect, it } from 'vitest'
import { limitMemory, skinOf } from './skin'

const shape = (parts: readonly object[]) => JSON.stringify({ kind: 'union', parts })
const elbow = (n: number) => ({
  shape: { kind: 'elbow', outsideMm: 60, wallMm: 10, bendMm: 100 },
  atMm: [n * 1.37, n * 2.11, n * 0.7],
})
const fins = { kind: 'finned-cylinder', boreMm: 60, wallMm: 10, fins: 44, finMm: 1, gapMm: 1.5, finOutMm: 100 }

beforeAll(limitMemory)

describe('the skin of a shape in triangles', () => {
  it('is worked out from the text of a body', async () => {
    const { found } = await skinOf(JSON.stringify({ kind: 'box', xMm: 10, yMm: 20, zMm: 30 }))
    expect('triangles' in found && found.triangles.length).toBe(12 * 9)
  })
  it('is refused in words for what is none, or none made of pieces', async () => {
    for (const [text, status] of [
      ['{', 422],
      ['{"kind":"cube"}', 422],
      [JSON.stringify({ kind: 'voxels', nx: 1, ny: 1, nz: 1, runs: [0, 1] }), 422],
      [shape(Array.from({ length: 60 }, (_, n) => elbow(n))), 409],
    ] as const)
      expect((await skinOf(text)).found, text.slice(0, 40)).toMatchObject({ status })
  })
  it('that takes more memory than a thread may have is refused, and the thread said to be spent', async () => {
    const crossed = shape([{ shape: fins }, { shape: fins, lies: 'along', atMm: [1, 2, 3] }])
    expect(await skinOf(crossed)).toMatchObject({ found: { status: 409 }, spent: true })
  })
})
