import { warmthOfMend } from './warm-on-part'
import { oneMend } from '../one-mend.fixture'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import Module from 'manifold-3d'
import { readFile } from '../../job/files'
import { jobSchema, type Job, type Kit } from '../../job/job.schema'
import { mm } from '../../quantity/stored'
import { assemble } from '../../solid/assembly'
import { measured } from '../../solid/measure'
import { cellsOfMesh } from '../../solid/stored/mesh-cells'
import { shapeOfPieces } from '../../solid/stored/to-shape'
import { meshOf } from '../../solid/to-mesh'
import { planJob } from '../plan-job'
import { sentenceText } from '../hand-over/record'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const kit: Kit = file.kit!
const whole: Job = file.jobs.find(job => job.id === 'gearbox-cover')!
const cover = oneMend(whole, 'flange')
const warmOf = (job: Job, shop = kit) => planJob(job, shop).warm
const text = (sentence: Parameters<typeof sentenceText>[0]) => sentenceText(sentence, 'metric')
/** The cover with its lip seal marked somewhere else. */
const sealAt = (x: number, y: number, z: number): Job => ({
  ...cover,
  shape: {
    ...cover.shape,
    marks: cover.shape.marks.map(mark =>
      mark.kind === 'seal' ? { ...mark, at: { x: mm(x), y: mm(y), z: mm(z) } } : mark,
    ),
  },
})

/** The cover as if it had come as a file: its triangles made by a mesh library, its lowest corner at the origin. */
async function coverFromFile(): Promise<Job> {
  const kernel = await Module()
  kernel.setup()
  const shape = shapeOfPieces(cover.shape.pieces)
  const { originMm, volumeMm3, skinMm2, sizeMm } = measured(shape)
  const { vertProperties, triVerts, numProp } = meshOf(assemble(shape), kernel, 96).getMesh()
  const trianglesMm = [...triVerts].flatMap(at =>
    originMm.map((low, axis) => vertProperties[at * numProp + axis]! - low),
  )
  const shift = (at: readonly number[]) => at.map((value, axis) => value - originMm[axis]!) as [number, number, number]
  const cells = cellsOfMesh(trianglesMm, volumeMm3)
  return {
    ...cover,
    shape: {
      pieces: [],
      mesh: { file: 'f', name: '', volumeMm3, skinMm2, sizeMm, cells },
      marks: cover.shape.marks.map(mark => {
        const [x, y, z] = shift([mark.at.x.value!, mark.at.y.value!, mark.at.z.value!])
        return { ...mark, at: { x: mm(x), y: mm(y), z: mm(z) }, path: mark.path.map(shift) }
      }),
    },
  }
}

describe('warming on the part itself', () => {
  it('comes to the same on a part from a file, by the cells that are kept of it', async () => {
    const job = await coverFromFile()
    expect(jobSchema.safeParse(JSON.parse(JSON.stringify(job))).error).toBeUndefined()
    const [file, pieces] = [warmOf(job).data.zones, warmOf(cover).data.zones]
    expect(file).toHaveLength(1)
    expect(file[0]!.where).toBe(pieces[0]!.where)
    expect(file[0]!.onS! / pieces[0]!.onS!).toBeGreaterThan(0.9)
    expect(file[0]!.onS! / pieces[0]!.onS!).toBeLessThan(1.1)
    expect(Math.abs(file[0]!.farC - pieces[0]!.farC)).toBeLessThan(3)
    const uncut = { ...job, shape: { ...job.shape, mesh: { ...job.shape.mesh!, cells: null } } }
    expect(warmOf(uncut).data.zones).toEqual([])
    const broken = {
      ...job,
      shape: { ...job.shape, mesh: { ...job.shape.mesh!, cells: { ...job.shape.mesh!.cells!, runs: '3 4' } } },
    }
    expect(jobSchema.safeParse(broken).success).toBe(false)
  })

  it('warms the zone of a heavy cover and leaves its far end cool; the weld then starts at the zone', () => {
    const { data, call, short, clocks, workings } = warmOf(cover)
    expect(data.zones).toHaveLength(1)
    expect(data.warmth).toMatchObject({ where: 'zone', reaches: true })
    expect(data.zones[0]!.farC).toBeLessThan(40)
    expect(text(call)).toMatch(
      /^Warm the zone to 110 °C: \d+ min(?: \d+ s)? with the propylene torch swept along it\.$/,
    )
    expect(short).toMatch(/^zone to 110 °C in \d min$/)
    expect(clocks).toEqual([{ name: 'Warm the zone', seconds: data.zones[0]!.onS }])
    expect(workings.cells!.steps.map(step => step.label)).toContain('Far end then')
    expect(data.reachC).toBe(110)
    // All of it, as one lump, takes longer and is told beside it.
    expect(data.heating!.timeS!).toBeGreaterThan(data.zones[0]!.onS!)
  })

  it('warms each placed mend that is laid hot by itself, and says the time of all of them', () => {
    const { data, short, why } = warmOf(whole)
    expect(data.zones).toHaveLength(3)
    for (const zone of data.zones) expect(zone.onS).toBeGreaterThan(0)
    expect(data.zones.map(zone => zone.mend)).toEqual(['flange', 'drain', 'gasket'])
    // A mend says its own minutes, and all of them come to the station's.
    const each = data.zones.map(zone => warmthOfMend(data, zone.mend).minutes)
    expect(each.reduce((sum, minutes) => sum + minutes, 0)).toBeCloseTo(data.warmth.minutes, 9)
    expect(warmthOfMend(data, 'not on the part')).toEqual(data.warmth)
    // One after the other takes what each takes by itself, and no less than the slowest.
    const minutes = Number(/in (\d+) min/.exec(short)![1])
    const slowest = Math.max(...data.zones.map(zone => zone.onS!)) / 60
    expect(minutes).toBeGreaterThanOrEqual(Math.floor(slowest))
    expect(why.map(text).join(' ')).not.toContain('not placed')
  })

  it('says of what is marked how hot it gets, by where it sits', () => {
    const seal = (job: Job) => warmOf(job).data.guards.find(guard => guard.name === 'lip seal')!
    expect(seal(cover)).toMatchObject({ atRisk: false })
    expect(seal(cover).hottestC!).toBeLessThan(60)
    // Beside the crack it is lost, though the far end stays cool.
    const beside = sealAt(14, 90, 55)
    expect(seal(beside)).toMatchObject({ atRisk: true })
    expect(warmOf(beside).why.map(text).join(' ')).toMatch(/Lip seal stands only about 100 °C and comes to \d+ °C/)
  })

  it('a seal marked off the metal is judged by the target, as one that is not marked; an unplaced mend is said', () => {
    const protects = (job: Job): Job => ({ ...job, takeIn: { ...job.takeIn, protect: ['lip-seal'] } })
    const [onMetal] = warmOf(protects(cover)).data.guards.filter(guard => /seal/.test(guard.name))
    expect(onMetal!.atRisk).toBe(false)
    const seals = warmOf(protects(sealAt(900, 900, 900))).data.guards.filter(guard => /seal/.test(guard.name))
    expect(seals).toEqual([expect.objectContaining({ hottestC: null, atRisk: true })])
    const without = {
      ...cover,
      shape: { ...cover.shape, marks: cover.shape.marks.filter(mark => mark.mend !== 'flange') },
    }
    expect(warmOf(without).data.zones).toEqual([])
  })

  it('says what a torch that is too small comes to, and the weld goes by that', () => {
    const small = { ...kit, torches: [{ ...kit.torches[0]!, powerW: 300 }] }
    const { data, call, short } = warmOf(cover, small)
    expect(data.warmth.reaches).toBe(false)
    expect(text(call)).toMatch(/never gets the zone to 110 °C; held on it, it comes to \d+ °C/)
    expect(short).toBe('torch too small')
    expect(data.reachC).toBe(data.zones[0]!.zoneC)
  })

  it('takes the part as one lump while a piece is half typed, nothing is placed on it, or it is hot already', () => {
    const typed = (job: Job) => warmOf(job).data.zones
    const [piece, ...rest] = cover.shape.pieces
    const sizes = Object.fromEntries(Object.keys(piece!.size).map(key => [key, { typed: '', value: null }]))
    expect(typed({ ...cover, shape: { ...cover.shape, pieces: [{ ...piece!, size: sizes }, ...rest] } })).toEqual([])
    expect(typed({ ...cover, shape: { ...cover.shape, marks: [] } })).toEqual([])
    expect(typed({ ...cover, warm: { ...cover.warm, startC: { typed: '80 °C', value: 80 } } })).toEqual([])
    expect(warmOf({ ...cover, shape: { ...cover.shape, marks: [] } }).data.warmth.where).toBe('zone')
  })
})
