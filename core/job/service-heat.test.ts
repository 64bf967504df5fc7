import { describe, expect, it } from 'vitest'
import { markSchema } from '../solid/stored/stored.schema'
import { fields as part } from '../part/fields'
import { takeIn } from './fields/take-in'
import { newJob } from './new-job'
import { serviceHeatC } from './service-heat'

const reading = (c: number | null) => ({ typed: c === null ? '' : `${c} °C`, value: c })
const partAt = (wholeC: number | null, ...marksC: (number | null)[]) => {
  const job = newJob('j', 't', '', '2026-01-01T00:00:00.000Z')
  return {
    ...job,
    takeIn: { ...job.takeIn, hotC: reading(wholeC) },
    shape: {
      ...job.shape,
      marks: marksC.map((c, n) => markSchema.parse({ id: `m${n}`, kind: 'hot', hotC: reading(c) })),
    },
  }
}

describe('how hot a part runs', () => {
  it('is what was said of the whole, or of its hottest mark', () => {
    expect(serviceHeatC(partAt(40))).toBe(40)
    expect(serviceHeatC(partAt(40, 180, 90))).toBe(180)
    expect(serviceHeatC(partAt(200, 180))).toBe(200)
  })
  it('is the usual where nobody said', () => {
    expect(serviceHeatC(partAt(null, null))).toBe(takeIn.hotC.usual)
    expect(takeIn.hotC.usual).toBe(part.hotC.usual)
  })
  it('counts on no mark of another kind', () => {
    const job = partAt(40, 180)
    expect(serviceHeatC({ ...job, shape: { ...job.shape, marks: [{ ...job.shape.marks[0]!, kind: 'seal' }] } })).toBe(
      40,
    )
  })
})
