/** What the rows of a table are called, by their ids. */
export const namesOf = <T extends string>(table: Readonly<Record<T, { readonly name: string }>>): Record<T, string> =>
  Object.fromEntries(Object.entries<{ readonly name: string }>(table).map(([id, { name }]) => [id, name])) as Record<
    T,
    string
  >
