/** What a stored job holds beside its readings that counts in its plan. */
export interface Doing {
  /** Whoever has the job has decided it himself. */
  decision: 'mend' | 'refer' | 'decline' | null
  /** Passes of each mend that the puddle had ground out, to be laid again, by the mend's id. */
  again: Readonly<Record<string, number>>
  /** Whatever else is on the bill. */
  extras: readonly { id: string; name: string; price: number }[]
  /** Checks that the shop leaves out, with its reason in the record. */
  leftOut: readonly string[]
  /** Set on the machine by hand: the arc's current and the shielding gas. */
  currentA: number | null
  flowLMin: number | null
  /** Under what the next pass may begin, where somebody said. */
  interpassC: number | null
}
