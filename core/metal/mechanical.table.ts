import type { Alloy } from './alloys.table'

/**
 * Mechanical values at room temperature.
 * Columns: name; 0.2 % proof stress in MPa in the temper a part usually has; Young's modulus in GPa; mean expansion
 * 20–100 °C in 1e-6/K.
 * Source: ASM Handbook vol. 2 and Aluminum Standards and Data, typical values, from memory. Poisson's ratio 0.33
 * throughout.
 */
type Row = readonly [proofMPa: number, youngGPa: number, expansion: number]

const ROWS: Readonly<Record<string, Row>> = {
  '1100': [105, 69, 23.6],
  '2014': [414, 73, 23.0],
  '2017': [275, 72, 23.6],
  '2024': [325, 73, 23.2],
  '2219': [290, 73, 22.3],
  '2618': [372, 74, 22.3],
  '3003': [145, 69, 23.2],
  '3004': [200, 69, 23.9],
  '4032': [315, 79, 19.4],
  '5005': [150, 69, 23.8],
  '5052': [195, 70, 23.8],
  '5083': [190, 71, 23.8],
  '5086': [195, 71, 23.8],
  '5154': [180, 70, 23.9],
  '5454': [180, 70, 23.6],
  '5456': [220, 71, 23.9],
  '6005A': [225, 69, 23.6],
  '6060': [150, 69, 23.4],
  '6061': [276, 69, 23.6],
  '6063': [170, 69, 23.4],
  '6082': [250, 70, 23.4],
  '7005': [290, 71, 23.1],
  '7020': [280, 71, 23.1],
  '7075': [503, 72, 23.6],
  '201': [435, 71, 19.3],
  '295': [165, 70, 22.9],
  '308': [110, 71, 21.4],
  '319': [125, 74, 21.6],
  '332': [195, 73, 20.7],
  '355': [175, 70, 22.4],
  '356': [165, 72, 21.5],
  A356: [185, 72, 21.5],
  '357': [240, 72, 21.5],
  A357: [275, 72, 21.5],
  '360': [170, 71, 21.0],
  A360: [165, 71, 21.1],
  '380': [160, 71, 22.0],
  A380: [160, 71, 21.8],
  '383': [150, 71, 21.1],
  '384': [165, 71, 20.8],
  '390': [240, 82, 18.0],
  '413': [140, 71, 20.4],
  A413: [130, 71, 21.6],
  '443': [55, 71, 22.1],
  '514': [85, 71, 24.0],
  '518': [190, 69, 24.1],
  '535': [140, 71, 23.6],
  '712': [170, 71, 23.6],
  '713': [150, 72, 23.9],
  AZ91D: [150, 45, 26.0],
  AG40A: [220, 85, 27.4],
  // Weld metal as laid: AWS A5.10 commentary, from memory.
  '4043': [95, 70, 22.1],
  '4047': [105, 71, 21.6],
  '4643': [100, 70, 22.1],
  '4145': [120, 72, 21.6],
  '5183': [150, 71, 23.8],
  '5356': [130, 71, 24.1],
  '5554': [115, 70, 23.6],
  '5556': [150, 71, 23.9],
  '2319': [180, 73, 22.3],
}

export interface Mechanical {
  proofMPa: number
  youngMPa: number
  expansionPerK: number
  poisson: number
}

/**
 * Mechanical values of an alloy; a filler's are of its weld metal as laid. @throws Error for an alloy without a row: a
 * mistake in the tables, found by their test
 */
export function mechanicalOf(alloy: Alloy): Mechanical {
  const row = ROWS[alloy.name]
  if (!row) throw new Error(`no mechanical values for ${alloy.name}`)
  const [proofMPa, youngGPa, expansion] = row
  return { proofMPa, youngMPa: youngGPa * 1000, expansionPerK: expansion * 1e-6, poisson: 0.33 }
}
