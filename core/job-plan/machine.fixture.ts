/** A machine of the kit by its process, its most and its rated duty; the torch bears what it gives. */
export const machine = (process: string, highA: number, ratedPct = 35) => ({
  id: process,
  name: process,
  process,
  lowA: 5,
  highA,
  ratedA: highA,
  ratedPct,
  torchA: highA,
  dialReads: 'en-share',
})
