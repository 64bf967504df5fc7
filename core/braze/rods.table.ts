/**
 * Rods for brazing aluminium.
 * Columns: melts from and to, °C; how far above it is worked, K; most for long service, °C; density, g/cm³; cautions.
 * Source: AWS A5.8 (BAlSi-4 = 718 = 4047) and the aluminium–zinc diagram, from memory; service heat and overheat:
 * common practice.
 */
export const BRAZE_RODS = {
  'zinc-al': {
    name: 'zinc-aluminium rod',
    solidusC: 382,
    liquidusC: 388,
    overK: 12,
    serviceC: 120,
    densityGcm3: 6.6,
    flux: false,
  },
  '4047': {
    name: '4047 rod with flux',
    solidusC: 577,
    liquidusC: 582,
    overK: 12,
    serviceC: 200,
    densityGcm3: 2.66,
    flux: true,
  },
  '718': {
    name: '718 (BAlSi-4) rod with flux',
    solidusC: 577,
    liquidusC: 582,
    overK: 12,
    serviceC: 200,
    densityGcm3: 2.66,
    flux: true,
  },
} as const
export type BrazeRod = keyof typeof BRAZE_RODS
export const BRAZE_ROD_IDS = Object.keys(BRAZE_RODS) as [BrazeRod, ...BrazeRod[]]
