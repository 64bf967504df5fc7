import type { Message, Scope } from './message.schema'

/** Another screen that was heard. */
export interface Other {
  readonly screen: string
  readonly name: string
  /** Where it is, as a path of the application; null where it is not said. */
  readonly at: string | null
  readonly scope: Scope
  /** Its program is of another version: nothing goes to and fro until both are the same. */
  readonly differs: 'newer' | 'older' | null
  readonly heardAt: number
}

export interface Line {
  /** Says something to all screens that are there. */
  say(message: Message, tail?: Uint8Array): void
}
