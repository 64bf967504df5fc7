import { closeSync, mkdtempSync, openSync, writeSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { SHOT, take } from '../core/photo/camera.fixture'
import { cardScene } from '../core/photo/card/card.fixture'

const [WIDE, HIGH] = [640, 480]

/** A made film for Chromium's fake camera: the card held aslant for a while, then square. Its file, in YUV4MPEG2. */
export function cardFilm(): string {
  const path = join(mkdtempSync(join(tmpdir(), 'film-')), 'card.y4m')
  const file = openSync(path, 'w')
  writeSync(file, `YUV4MPEG2 W${WIDE} H${HIGH} F10:1 Ip A1:1 C420jpeg\n`)
  const frame = (tiltDeg: number) => {
    const { rgba } = take(cardScene({ card: 'M' }), {
      ...SHOT,
      wide: WIDE,
      high: HIGH,
      pxPerMm: 5.6,
      tiltDeg,
      towardDeg: 30,
      blurPx: 0.6,
    })
    const grey = Buffer.alloc(WIDE * HIGH)
    for (let i = 0; i < grey.length; i++) grey[i] = rgba[4 * i]!
    return Buffer.concat([Buffer.from('FRAME\n'), grey, Buffer.alloc((WIDE * HIGH) / 2, 128)])
  }
  const [aslant, square] = [frame(42), frame(6)]
  for (let n = 0; n < 40; n++) writeSync(file, aslant)
  for (let n = 0; n < 80; n++) writeSync(file, square)
  closeSync(file)
  return path
}
