/** At most so many of a list, spread evenly through it. */
export const few = <Item>(list: readonly Item[], most: number): Item[] =>
  list.length <= most ? [...list] : Array.from({ length: most }, (_, n) => list[Math.floor((n * list.length) / most)]!)
