import { movingSource } from '../heat/moving-source'
import type { Alloy } from '../metal/alloys.table'
import { conductivityWmK } from '../metal/conductivity'

/** Places looked at behind an arc for the hottest one at a distance aside. */
const BEHIND = 60
const HALVINGS = 40

/**
 * How far aside of a moving arc a plate gets a given rise hot, mm: the widest place of that isotherm.
 * Source: Rosenthal 1946, thin plate. An arc that goes slowly reaches less far than its heat along the run alone says.
 */
export function reachOfRise(alloy: Alloy, powerW: number, travelMmS: number, wallMm: number, riseC: number): number {
  const conductivity = conductivityWmK(alloy)
  const diffusivityM2s = conductivity / (alloy.densityGcm3 * 1000 * alloy.specificHeatJkgK)
  const hottest = (yMm: number) => {
    // The hottest place lies behind the arc; the further aside, the further behind.
    const farMm = yMm + (4 * yMm * yMm * travelMmS) / (diffusivityM2s * 1e6)
    let most = 0
    for (let n = 0; n <= BEHIND; n++) {
      const { temperatureC } = movingSource({
        powerW,
        travelMmS,
        conductivityWmK: conductivity,
        diffusivityM2s,
        startC: 0,
        xMm: -farMm * (n / BEHIND) ** 2,
        yMm,
        zMm: 0,
        wallMm,
      })
      most = Math.max(most, temperatureC)
    }
    return most
  }
  let [near, far] = [1e-2, 2000]
  for (let n = 0; n < HALVINGS; n++) {
    const middle = Math.sqrt(near * far)
    if (hottest(middle) > riseC) near = middle
    else far = middle
  }
  return near
}
