import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readFile } from '../../job/files'
import type { Job } from '../../job/job.schema'
import { newMend } from '../../job/new-mend'
import { newJob } from '../../job/new-job'
import { planJob } from '../plan-job'

const file = readFile(readFileSync(new URL('../../../demo/larkmoor-bench.json', import.meta.url), 'utf8'))
if (!file.ok) throw new Error('the demo shop does not read')
const kit = file.kit!
const blank = newJob('x', 'X', '', '2026-11-12T09:00:00Z')
const mm = (value: number) => ({ typed: `${value} mm`, value })
describe('passes of a gun', () => {
  // Common practice, no source: a groove of a turned part, ø 100 mm, is filled by a pulsed gun in 5 to 10 minutes of
  // one sitting, where a rod takes the better part of an hour and more.
  it('are its own beads, laid in a fraction of the rod’s minutes', () => {
    const turned = {
      ...blank,
      takeIn: { ...blank.takeIn, does: 'static' as const, soak: 'handled' as const, wallMm: mm(12) },
      know: { ...blank.know, alloy: '356' },
      weld: { ...blank.weld, wireMm: mm(1.2) },
    }
    const gun = { ...kit.machines[0]!, id: 'gun', process: 'mig-pulse' as const, highA: 280, torchA: 280, ratedA: 250 }
    const by = (process: 'mig-pulse' | 'ac-tig', job: Job = turned) => {
      const groove = {
        ...newMend('groove', 'turned'),
        readings: { turnedMm: mm(100), wideMm: mm(14), deepMm: mm(6) },
        lays: [{ id: 'l', process, filler: '', upTo: 'cap' as const }],
      }
      return planJob({ ...job, mends: [groove] }, { ...kit, machines: [...kit.machines, gun] }).mends.rows[0]!
    }
    expect(by('mig-pulse').planned!.arcMin).toBeLessThan(by('ac-tig').planned!.arcMin / 3)
    expect(by('mig-pulse').log.passes.length).toBeLessThan(15)
    // Common practice, no source: the gun's output falls by about a third as the part soaks up the heat.
    const light = { ...turned, know: { ...turned.know, dryG: { typed: '2.5 kg', value: 2500 } } }
    const last = by('mig-pulse', light).setUps[0]!.turnDown!.at(-1)!
    expect(Math.abs(1 - last.share - 1 / 3)).toBeLessThan(0.07)
    expect(by('ac-tig').setUps[0]!.turnDown).toBeNull()
    expect(by('ac-tig', light).interpass!.waitS).toBeGreaterThan(0)
  })
})
