import type { FileType } from '../job/file-kind'
import type { Job } from '../job/job.schema'
import type { TimedKit } from '../job/merge-kit'
import type { SharedClock } from './message.schema'
import type { InScope } from './scope'

/** Where a file of a job lies. */
export interface Place {
  readonly jobId: string
  readonly id: string
}
export interface FileHead {
  readonly fileKind: 'picture' | 'mesh'
  readonly name: string
  readonly type: FileType
  /** Bytes in all. */
  readonly total: number
}
export interface Clocks {
  readonly clocks: SharedClock[]
  readonly stopped: string[]
}
export interface Summed extends InScope {
  readonly sum: string
}
export interface Taken {
  /** Jobs as they stand now of which the other has not got all. */
  readonly more: readonly Job[]
  /** Jobs as they stand now, whether anything of them was new or not. */
  readonly stand: readonly Job[]
}

/** What a screen holds, as the exchange with others asks for it. All of it is checked where it is taken in. */
export interface Shelf {
  sums(): Promise<readonly Summed[]>
  jobs(ids: readonly string[]): Promise<readonly Job[]>
  /** @param accepts whether a job is to be taken, by whether it is here already @param known as both had it last */
  take(
    came: readonly unknown[],
    accepts: (job: InScope, isHere: boolean) => boolean,
    known: ReadonlyMap<string, Job>,
  ): Promise<Taken>
  /** Jobs that were taken off, and when. */
  gone(): Promise<Readonly<Record<string, string>>>
  /** Takes off what another took off, unless it was touched here since. */
  takeGone(gone: Readonly<Record<string, string>>): Promise<void>
  kit(): Promise<TimedKit>
  /** @returns the kit where the other has not got all of it */
  takeKit(came: { readonly kit: unknown; readonly stamps: Readonly<Record<string, string>> }): Promise<TimedKit | null>
  clocks(): Promise<Clocks>
  takeClocks(came: Clocks): Promise<void>
  /** Files that jobs here speak of and that are not here. */
  missing(ids?: readonly string[]): Promise<readonly Place[]>
  /** A piece of a file from a byte on; null where it is not here. */
  file(place: Place, from: number, most: number): Promise<(FileHead & { bytes: Uint8Array }) | null>
  /** Bytes of a file that came before it broke off. */
  begun(place: Place): Promise<number>
  /** Adds a piece; `bad` where what came is not what it is said to be, and all of it is dropped. */
  add(place: Place, head: FileHead, from: number, bytes: Uint8Array): Promise<'more' | 'done' | 'bad'>
}
