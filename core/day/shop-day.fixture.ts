import type { DayGiven } from './model'

/** A made shop's week: jobs of five tasks, one pair of hands, what stands in an oven or the freezer beside it. */
export function shopDay(seed: number, jobs = 8): DayGiven {
  let state = seed
  const random = () => (state = (state * 1103515245 + 12345) % 2 ** 31) / 2 ** 31
  return {
    jobs: Array.from({ length: jobs }, (_, j) => ({
      id: `j${j}`,
      due: random() < 0.5 ? 240 + Math.round(random() * 600) : undefined,
      tasks: Array.from({ length: 5 }, (_, t) => {
        const unattended = t % 2 === 1
        return {
          id: `j${j}t${t}`,
          minutes: 5 * Math.ceil(random() * (unattended ? 12 : 6)),
          needs: unattended
            ? [['oven', 'freezer'][Math.floor(random() * 2)]!]
            : ['hands', ...(random() < 0.4 ? ['mill'] : [])],
          after: t ? [`j${j}t${t - 1}`] : [],
          unattended,
          ...(t === 2 && random() < 0.5 ? { maxWaitMin: 120 } : {}),
        }
      }),
    })),
    resources: [
      { id: 'hands', count: 1 },
      { id: 'mill', count: 1 },
      { id: 'oven', count: 2 },
      { id: 'freezer', count: 1 },
    ],
    shifts: Array.from({ length: 6 }, (_, n) => ({ startMin: 1440 * n, endMin: 1440 * n + 540 })),
  }
}
