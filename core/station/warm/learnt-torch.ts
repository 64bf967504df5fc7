import type { Kit } from '../../job/job.schema'

/** What `heat.fitSource` finds, as far as a torch keeps it. */
export interface Learnt {
  absorbedW: number
  sourceErrorW: number
  filmWm2K: number
  filmErrorWm2K: number
  residualC: number
}

/**
 * The kit with what was learnt of one torch: its share absorbed set so that power × share is what went in, at full
 * flame.
 * Its power stands unless more went in than that.
 * @param sharePct what the flame was turned down to while it was learnt
 */
export function withLearnt(kit: Kit, torchId: string, learnt: Learnt, sharePct: number, at: string): Kit {
  const full = 100 / sharePct
  const absorbedW = learnt.absorbedW * full
  return {
    ...kit,
    torches: kit.torches.map(torch => {
      if (torch.id !== torchId) return torch
      const powerW = Math.max(torch.powerW, absorbedW)
      return {
        ...torch,
        powerW,
        efficiencyPct: Math.max(1, (100 * absorbedW) / powerW),
        fitted: {
          at,
          absorbedW,
          absorbedErrorW: learnt.sourceErrorW * full,
          filmWm2K: learnt.filmWm2K,
          filmErrorWm2K: learnt.filmErrorWm2K,
        },
      }
    }),
  }
}
