/** Pieces that one hand has at once: the next lies there when the first is done. */
const IN_HAND = 2

/** Lets what others have sent come in. */
const breath = () =>
  new Promise<void>(resolve => {
    setTimeout(resolve, 0)
  })

/**
 * Works through pieces with several hands, each taking the next as it comes free.
 * @param here does a piece with this thread's own hands
 * @param others does a piece elsewhere; what one of them lets fall is done here
 * @returns what came of each piece, in the order of the pieces
 */
export async function manyHands<Piece, Result>(
  pieces: readonly Piece[],
  here: (piece: Piece) => Result | Promise<Result>,
  others: readonly ((piece: Piece) => Promise<Result>)[],
): Promise<Result[]> {
  const done = new Array<Result>(pieces.length)
  const fallen: number[] = []
  let next = 0
  const takeHere = async () => {
    while (next < pieces.length) {
      const n = next++
      done[n] = await here(pieces[n]!)
      await breath()
    }
  }
  const takeThere = async (hand: (piece: Piece) => Promise<Result>) => {
    while (next < pieces.length) {
      const n = next++
      try {
        done[n] = await hand(pieces[n]!)
      } catch {
        fallen.push(n)
        return
      }
    }
  }
  const hands = others.flatMap(hand => Array.from({ length: IN_HAND }, () => hand))
  await Promise.all([...hands.map(takeThere), takeHere()])
  for (const n of fallen) done[n] = await here(pieces[n]!)
  return done
}

/** A list in pieces of at most so many. */
export const inPieces = <T>(list: readonly T[], most: number): T[][] =>
  Array.from({ length: Math.ceil(list.length / most) }, (_, n) => list.slice(n * most, (n + 1) * most))
