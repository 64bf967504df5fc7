/** How a part moves at its work. */
export const MOVES = { still: 'stands still', spins: 'spins', 'to-and-fro': 'goes to and fro' } as const
export type Moves = keyof typeof MOVES

/** What a part does. */
export const DOES = { seal: 'seals', static: 'steady load', cyclic: 'repeated load' } as const
export type Does = keyof typeof DOES
