/** A plate's cells as conduction sees them: layers from the base up, each in rows along x. */
export interface Cells {
  readonly nx: number
  readonly ny: number
  readonly nz: number
  readonly dx: number
  readonly dy: number
  readonly dz: number
}
/** How heat goes over from a cell to its neighbours in a step, J/(mm³·K), along each way. */
export type Goes = readonly [gx: number, gy: number, gz: number]
/** Where a cell stays solid: what it holds at most before and after, J/mm³, and how its temperature follows. */
export interface Solid {
  beginsJ: number
  halfJ: number
  zeroC: number
  perSolidJ: number
}

/** The fields of a plate and what is done to every cell of them in a step. */
export interface Fields {
  /** Enthalpy over 20 °C, J/mm³; °C; what a cell gains in the step, J/mm³. */
  readonly enthalpy: Float64Array
  readonly temperature: Float64Array
  readonly gained: Float64Array
  /** 1 where a cell holds metal. */
  readonly present: Uint8Array
  setMetal(cell: number, isThere: boolean): void
  /**
   * Heat that every cell gains by conduction; nothing flows out of the plate, nor into or out of a cell without metal.
   * Explicit, by central differences: where there is no neighbour a cell has itself for one.
   */
  conduct(goes: Goes): void
  /**
   * Takes up what was gained where a cell stays solid.
   * @returns the other cells with metal in their order, untouched
   */
  warm(solid: Solid): Int32Array
}
