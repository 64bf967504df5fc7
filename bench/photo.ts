import { lens, SHOT, take } from '../core/photo/camera.fixture'
import { cardScene } from '../core/photo/card/card.fixture'
import { findCard } from '../core/photo/card/find'
import { greyOf } from '../core/photo/grey'
import { crackBetween, crackScene } from '../core/photo/lines.fixture'
import type { Picture } from '../core/photo/picture'
import { traceLine } from '../core/photo/trace'
import { lessonById } from '../core/puddle/trainer/lessons.table'
import { FRAME_S, Session } from '../core/puddle/trainer/session'
import { timed } from './timing'
import { line } from './rows'

const ms = (value: number) => `${value.toFixed(value < 10 ? 2 : 0)} ms`

/** A picture with each point drawn larger, as a camera of more points would have it. */
function larger({ wide, high, rgba }: Picture, times: number): Picture {
  const [w, h] = [wide * times, high * times]
  const out = new Uint32Array(w * h)
  const from = new Uint32Array(rgba.buffer)
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) out[y * w + x] = from[Math.floor(y / times) * wide + Math.floor(x / times)]!
  return { wide: w, high: h, rgba: new Uint8ClampedArray(out.buffer) }
}

/** Pictures of twelve million points, and a sixtieth of a second at the trainer. */
export function photos(): void {
  console.log('\nPictures of 12 million points')
  const shot = { ...SHOT, wide: 1000, high: 750, tiltDeg: 20, pxPerMm: 5 }
  const card = larger(take(cardScene({ card: 'M' }), shot), 4)
  line('the scale card (limit 1000 ms)', ms(timed(3, () => findCard(greyOf(card)))))
  const crack = crackBetween([10, 20], [70, 40], 0.3, 5)
  const cracked = larger(take(crackScene(crack, 0.5, 'casting', 3), shot), 4)
  const { toPx } = lens(shot)
  const clicks = [crack[0]!, crack.at(-1)!].map(at => {
    const [x, y] = toPx(at)
    return [4 * x, 4 * y] as const
  })
  line('a crack between two clicks (limit 200 ms)', ms(timed(5, () => traceLine(cracked, clicks))))

  console.log('\nThe puddle trainer')
  const { bench } = lessonById('layers')
  const frameOf = (isPlain: boolean) => {
    const session = new Session({ ...bench, form: { ...bench.form, isPlain } })
    const steps = Math.ceil(FRAME_S / session.pool.stepS)
    return {
      cells: session.pool.enthalpy.length,
      steps,
      took: timed(120, () => session.advance({ xMm: 20, yMm: 20, arcMm: 3, a: 160, dip: false })),
    }
  }
  const [fast, plain] = [frameOf(false), frameOf(true)]
  line(
    `a frame of ${fast.cells} cells (limit 8 ms)`,
    `${ms(fast.took)}   ${((fast.cells * fast.steps) / fast.took / 1000).toFixed(0)} million cells a second, ${(plain.took / fast.took).toFixed(1)} times plain JavaScript`,
  )
}
