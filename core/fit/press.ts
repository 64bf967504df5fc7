import { NoAnswer, type Step } from '../ask/question'
import type { Mechanical } from '../metal/mechanical.table'

export interface PressInput {
  diameterMm: number
  /** On the diameter. */
  interferenceMm: number
  /** Outside of the hub. */
  hubMm: number
  lengthMm: number
  /** Hole through the slug; 0 for a solid one. */
  holeMm: number
  hub: Mechanical
  slug: Mechanical
  friction: number
}
export interface PressFit {
  pressureMPa: number
  hubHoopMPa: number
  slugHoopMPa: number
  pushOutN: number
  yieldFactor: number
  working: Step[]
}

/** Von Mises stress of a state with no axial stress. */
const vonMises = (hoop: number, radial: number) => Math.sqrt(hoop ** 2 - hoop * radial + radial ** 2)

/**
 * Press fit of a slug in a hub.
 *
 * Lamé's thick cylinders, elastic, no axial stress, even pressure over the length: any machine-design text (Shigley,
 * ch. 3).
 * In a bored slug the hoop stress is at the bore, in a solid one at the outside; compression is negative. The yield
 * factor is the lesser of proof over von Mises stress for hub and slug. Valid while it is over 1. @throws NoAnswer
 * where the sizes do not go into each other
 */
export function pressFit({
  diameterMm: d,
  interferenceMm,
  hubMm,
  lengthMm,
  holeMm,
  hub,
  slug,
  friction,
}: PressInput): PressFit {
  if (hubMm <= d) throw new NoAnswer(`a bore of ${d} mm leaves no wall in a boss of ${hubMm} mm`)
  if (holeMm >= d) throw new NoAnswer(`a hole of ${holeMm} mm leaves nothing of a slug of ${d} mm`)
  const hubRatio = (hubMm ** 2 + d ** 2) / (hubMm ** 2 - d ** 2)
  const slugRatio = (d ** 2 + holeMm ** 2) / (d ** 2 - holeMm ** 2)
  const compliance = d * ((hubRatio + hub.poisson) / hub.youngMPa + (slugRatio - slug.poisson) / slug.youngMPa)
  const pressureMPa = interferenceMm / compliance
  const hubHoopMPa = pressureMPa * hubRatio
  const slugHoopMPa = holeMm > 0 ? (-2 * pressureMPa * d ** 2) / (d ** 2 - holeMm ** 2) : -pressureMPa
  const pushOutN = friction * pressureMPa * Math.PI * d * lengthMm
  const hubStress = vonMises(hubHoopMPa, -pressureMPa)
  const slugStress = holeMm > 0 ? Math.abs(slugHoopMPa) : vonMises(-pressureMPa, -pressureMPa)
  const yieldFactor = Math.min(hub.proofMPa / hubStress, slug.proofMPa / slugStress)
  const source = 'Lamé; Shigley, Mechanical Engineering Design, from memory'
  return {
    pressureMPa,
    hubHoopMPa,
    slugHoopMPa,
    pushOutN,
    yieldFactor,
    working: [
      {
        label: 'Give of both, per MPa',
        formula: 'd × [((D² + d²)/(D² − d²) + ν)/E hub + ((d² + h²)/(d² − h²) − ν)/E slug]',
        value: compliance,
        unit: 'mm/MPa',
        source,
      },
      { label: 'Pressure between them', formula: 'interference ÷ give', value: pressureMPa, unit: 'MPa', source },
      {
        label: "Hoop stress at the hub's bore",
        formula: 'pressure × (D² + d²)/(D² − d²)',
        value: hubHoopMPa,
        unit: 'MPa',
        source,
      },
      {
        label: 'Von Mises stress there',
        formula: '√(hoop² − hoop·radial + radial²)',
        value: hubStress,
        unit: 'MPa',
        source,
      },
      {
        label: 'Push to move it',
        formula: `${friction} × pressure × π d × length`,
        value: pushOutN,
        unit: 'N',
        source: 'Coulomb friction; the coefficient is judgement',
      },
    ],
  }
}
