/** Where practitioners differ at the arc: each way, and what it buys and costs. Common practice, no source. */
export const CLAMP_SCHOOLS = {
  free: { name: 'leave it free', buys: 'it moves as it likes and is flattened afterwards; little pull stays in it' },
  clamped: {
    name: 'bolt it flat',
    buys: 'it stays where it is, with the pull locked in: a flange so held tends to crack along the old line after a few heat cycles',
  },
} as const
export const BRUSH_SCHOOLS = {
  stainless: {
    name: 'stainless, kept for aluminium',
    buys: 'oxide broken just before the arc, nothing carried in from steel',
  },
  carbon: {
    name: 'plain carbon steel, kept for aluminium',
    buys: 'softer bristles smear less; one that has touched steel or stands damp leaves rust to make specks of',
  },
  none: {
    name: 'no brush, scrape or file',
    buys: 'nothing dragged into the surface: a sharp scraper lifts the skin clean off, but reaches no root',
  },
} as const
export const TUNGSTEN_SCHOOLS = {
  blunted: { name: 'ground, tip blunted', buys: 'an arc that stays put and a tip that holds its shape on an inverter' },
  pointed: {
    name: 'ground to a point',
    buys: 'the tightest arc, for an edge or a root; on much cleaning it spits off',
  },
  balled: {
    name: 'balled',
    buys: 'quiet on an old transformer with much electrode positive; a wider, wandering arc elsewhere',
  },
} as const
export const PEEN_SCHOOLS = {
  leave: { name: 'leave alone', buys: 'no bruised bead, nothing hammered shut over a fault' },
  last: {
    name: 'peen each bead, the last too',
    buys: 'all of the pull stretched out; the last bead bruised, so that a dye shows marks that are no cracks',
  },
  peen: {
    name: 'peen each bead while hot',
    buys: 'each 25 to 50 mm, light and hot: it stretches the bead and takes pull out; not the root, and not the last pass that is looked at',
  },
} as const
