import type { Step } from '../ask/question'
import type { Job } from '../job/job.schema'
import { lumpOfSizes } from '../part/size'

export interface Body {
  volumeMm3: number
  areaMm2: number
  massKg: number
  steps: Step[]
}

/**
 * Mass and cooling area of the part from its overall sizes and wall: a tray (bottom and four walls, open on one side),
 * or a plate where no height worth the name is given. A weighed mass is believed before the tray's.
 * Accuracy: bosses and ribs are left out, so the tray is usually a tenth to a third light; weigh it when it matters.
 * @returns null while a size is missing
 */
export function bodyOf(job: Job, densityGcm3: number): Body | null {
  const {
    lengthMm: { value: l },
    widthMm: { value: w },
    heightMm: { value: h },
    wallMm: { value: t },
  } = job.takeIn
  if (!l || !w || !t || l <= 0 || w <= 0 || t <= 0) return null
  const weighedG = job.warm.massG.value ?? job.know.dryG.value
  const {
    plate,
    volumeMm3,
    skinMm2: areaMm2,
  } = lumpOfSizes({ lengthMm: l, widthMm: w, heightMm: h ?? undefined, wallMm: t })
  const reckonedKg = volumeMm3 * densityGcm3 * 1e-6
  const massKg = weighedG && weighedG > 0 ? weighedG / 1000 : reckonedKg
  return {
    volumeMm3,
    areaMm2,
    massKg,
    steps: [
      {
        label: 'Taken as',
        formula: plate
          ? 'a plate: length × width × wall'
          : 'a tray: bottom and four walls of one thickness, open on one side',
        value: volumeMm3 / 1000,
        unit: 'cm³',
        source: 'plane geometry; bosses and ribs left out',
      },
      {
        label: 'Surface that cools',
        formula: 'both sides of every wall',
        value: areaMm2 / 100,
        unit: 'cm²',
        source: 'plane geometry',
      },
      weighedG && weighedG > 0
        ? { label: 'Mass', formula: 'weighed', value: massKg, unit: 'kg', source: 'the scale' }
        : {
            label: 'Mass',
            formula: `volume × ${densityGcm3} g/cm³`,
            value: massKg,
            unit: 'kg',
            source: 'ASM Handbook vol. 2, recalled from memory',
          },
    ],
  }
}
