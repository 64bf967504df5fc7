import { NoAnswer, type Step } from '../../ask/question'
import type { Job } from '../../job/job.schema'
import { lumpOfSizes } from '../../part/size'
import { measuredPart, shapeSteps } from './part-solid'

export interface Body {
  volumeMm3: number
  areaMm2: number
  massKg: number
  /** What shape or sizes alone come to, kg: beside what the scale said. */
  reckonedKg: number
  from: 'shape' | 'sizes'
  steps: Step[]
}

const massStep = (weighedG: number | null, massKg: number, densityGcm3: number): Step =>
  weighedG && weighedG > 0
    ? { label: 'Mass', formula: 'weighed', value: massKg, unit: 'kg', source: 'the scale' }
    : {
        label: 'Mass',
        formula: `volume × ${densityGcm3} g/cm³`,
        value: massKg,
        unit: 'kg',
        source: 'ASM Handbook vol. 2, recalled from memory',
      }

/** What its shape measures; a shape that cannot be yet counts for nothing, so that the sizes go on. */
export function shapeOrNull(job: Job) {
  try {
    return measuredPart(job)
  } catch (error) {
    if (error instanceof NoAnswer) return null
    throw error
  }
}

/** What it was weighed at, g, a tenth of a gram at least; null where nobody did. */
export const weighedG = ({ warm, know }: Pick<Job, 'warm' | 'know'>): number | null => {
  const massG = warm.massG.value || know.dryG.value
  return massG ? Math.max(0.1, massG) : null
}

/**
 * Mass and cooling area of the part from its shape where one was made, else from its overall sizes and wall: a tray
 * (bottom and four walls, open on one side), or a plate where no height worth the name is given. A weighed mass is
 * believed before either.
 * Accuracy: a shape's within 0.5 % of its closed form; bosses and ribs are left out of a tray, which is usually a tenth
 * to a third light; weigh it when it matters.
 * @returns null while a size is missing
 */
export function bodyOf(job: Job, densityGcm3: number): Body | null {
  const weighed = weighedG(job)
  const shaped = shapeOrNull(job)
  if (shaped) {
    const reckonedKg = shaped.volumeMm3 * densityGcm3 * 1e-6
    const massKg = weighed ? weighed / 1000 : reckonedKg
    return {
      volumeMm3: shaped.volumeMm3,
      areaMm2: shaped.skinMm2,
      massKg,
      reckonedKg,
      from: 'shape',
      steps: [...shapeSteps(shaped), massStep(weighed, massKg, densityGcm3)],
    }
  }
  const {
    lengthMm: { value: l },
    widthMm: { value: w },
    heightMm: { value: h },
    wallMm: { value: t },
  } = job.takeIn
  if (!l || !w || !t || l <= 0 || w <= 0 || t <= 0) return null
  const {
    plate,
    volumeMm3,
    skinMm2: areaMm2,
  } = lumpOfSizes({ lengthMm: l, widthMm: w, heightMm: h ?? undefined, wallMm: t })
  const reckonedKg = volumeMm3 * densityGcm3 * 1e-6
  const massKg = weighed ? weighed / 1000 : reckonedKg
  return {
    volumeMm3,
    areaMm2,
    massKg,
    reckonedKg,
    from: 'sizes',
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
      massStep(weighed, massKg, densityGcm3),
    ],
  }
}
