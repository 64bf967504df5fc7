/** Where practitioners differ at the arc: each way, and what it buys and costs. Common practice, no source. */
export const CLAMP_SCHOOLS = {
  free: { name: 'leave it free', buys: 'it moves as it likes and is flattened afterwards; little pull stays in it' },
  clamped: {
    name: 'bolt it flat',
    buys: 'it stays where it is, with the pull locked in: a flange so held tends to crack along the old line after a few heat cycles',
  },
} as const
export const PEEN_SCHOOLS = {
  leave: { name: 'leave alone', buys: 'no bruised bead, nothing hammered shut over a fault' },
  peen: {
    name: 'peen while hot',
    buys: 'each 25 to 50 mm, light and hot: it stretches the bead and takes pull out; not the root, and not the last pass that is looked at',
  },
} as const
