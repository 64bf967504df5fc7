/** So many steps of a mend may be done: a thousand passes, and what stands round them. */
export const MOST_DONE = 1100

/** What a laid pass of a mend is called among its steps that are done. */
export const passStep = (pass: number): string => `pass-${pass}`

/** What a step at the machine is called among the steps of a mend that are done. */
export const machineStep = (id: string): string => `machine-${id}`
