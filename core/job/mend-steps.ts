/** What a step at the machine is called among the steps of a mend that are done. */
export const machineStep = (id: string): string => `machine-${id}`
