import { NoAnswer, type Step } from '../ask/question'
import { stressAreaMm2 } from './dims'
import type { Thread } from './thread'

/** Shear strength over tensile strength: von Mises. FED-STD-H28/2B counts 0.5, VDI 2230 about 0.6. */
const SHEAR_SHARE = 1 / Math.sqrt(3)

export interface ThreadStrength {
  boltBreakN: number
  bodyStripN: number
  boltStripN: number
  governs: 'bolt' | 'body-thread' | 'bolt-thread'
  engagementToBreakBoltMm: number
  working: Step[]
}

/**
 * Shear areas a millimetre of engagement at basic size, mm: FED-STD-H28/2B, π n d (1/2n + tan 30° × radial gap), with
 * no tolerance.
 */
export function shearAreaMm2PerMm(thread: Thread): { body: number; bolt: number } {
  const tan = Math.tan(((thread.flankDeg / 2) * Math.PI) / 180)
  return {
    body: Math.PI * thread.majorMm * (0.5 + (tan * (thread.majorMm - thread.pitchDiameterMm)) / thread.pitchMm),
    bolt:
      Math.PI *
      thread.minorInternalMm *
      (0.5 + (tan * (thread.pitchDiameterMm - thread.minorInternalMm)) / thread.pitchMm),
  }
}

/**
 * What gives way: the bolt across its threads, the thread in the body, or the thread on the bolt.
 *
 * Source: FED-STD-H28/2B shear areas and ISO 898-1 stress area, from memory; shear = tensile ÷ √3. At basic size, full
 * form, even load; a wide tolerance or a thin boss that swells takes up to a fifth off (Alexander 1977).
 * @throws NoAnswer for taper and other threads that are not meant to hold a bolt
 */
export function threadStrength(
  thread: Thread,
  engagementMm: number,
  boltUtsMPa: number,
  bodyUtsMPa: number,
): ThreadStrength {
  const area =
    stressAreaMm2(thread) ??
    (thread.taperDeg === 0 ? (Math.PI / 4) * ((thread.pitchDiameterMm + thread.minorExternalMm) / 2) ** 2 : undefined)
  if (area === undefined)
    throw new NoAnswer(`${thread.designation} is a taper pipe thread: it seals, it does not hold a bolt`)
  const perMm = shearAreaMm2PerMm(thread)
  const boltBreakN = area * boltUtsMPa
  const bodyPerMm = perMm.body * bodyUtsMPa * SHEAR_SHARE
  const boltPerMm = perMm.bolt * boltUtsMPa * SHEAR_SHARE
  const [bodyStripN, boltStripN] = [bodyPerMm * engagementMm, boltPerMm * engagementMm]
  const least = Math.min(boltBreakN, bodyStripN, boltStripN)
  const governs = least === boltBreakN ? 'bolt' : least === bodyStripN ? 'body-thread' : 'bolt-thread'
  const engagementToBreakBoltMm = boltBreakN / Math.min(bodyPerMm, boltPerMm)
  const h28 = 'FED-STD-H28/2B, from memory'
  return {
    boltBreakN,
    bodyStripN,
    boltStripN,
    governs,
    engagementToBreakBoltMm,
    working: [
      {
        label: 'Stress area of the bolt',
        formula: 'by its standard',
        value: area,
        unit: 'mm²',
        source: 'ISO 898-1 or ASME B1.1, from memory',
      },
      {
        label: 'Bolt breaks at',
        formula: 'stress area × tensile strength',
        value: boltBreakN,
        unit: 'N',
        source: 'ISO 898-1',
      },
      {
        label: 'Shear area in the body',
        formula: 'π d (½ + tan(½ flank) (d − d2)/P) × engagement',
        value: perMm.body * engagementMm,
        unit: 'mm²',
        source: h28,
      },
      {
        label: 'Shear area on the bolt',
        formula: 'π D1 (½ + tan(½ flank) (d2 − D1)/P) × engagement',
        value: perMm.bolt * engagementMm,
        unit: 'mm²',
        source: h28,
      },
      {
        label: 'Body thread strips at',
        formula: 'area × tensile ÷ √3',
        value: bodyStripN,
        unit: 'N',
        source: 'von Mises',
      },
      {
        label: 'Bolt thread strips at',
        formula: 'area × tensile ÷ √3',
        value: boltStripN,
        unit: 'N',
        source: 'von Mises',
      },
      {
        label: 'Depth that breaks the bolt first',
        formula: 'bolt breaks ÷ strip a millimetre',
        value: engagementToBreakBoltMm,
        unit: 'mm',
        source: 'the steps above',
      },
    ],
  }
}
