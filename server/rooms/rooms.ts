/** What a room needs of a screen's line. */
export interface Member {
  send(bytes: Uint8Array): unknown
  close(code: number, reason: string): void
  /** Bytes that wait to go out to it. */
  waiting(): number
}

/** How much the server passes on, so that nobody can fill it or hold others up. */
export interface Limits {
  readonly rooms: number
  readonly membersOfRoom: number
  readonly members: number
  readonly membersOfAddress: number
  readonly messageBytes: number
  /** What one screen may say: at once, and each second after that. */
  readonly burstBytes: number
  readonly bytesPerS: number
  readonly burstMessages: number
  readonly messagesPerS: number
  /** A screen that takes so much less than it is sent is let go; it catches up when it is back. */
  readonly waitingBytes: number
}
export const LIMITS: Limits = {
  rooms: 400,
  membersOfRoom: 16,
  members: 800,
  membersOfAddress: 256,
  messageBytes: 1024 * 1024,
  burstBytes: 24 * 1024 * 1024,
  bytesPerS: 8 * 1024 * 1024,
  burstMessages: 600,
  messagesPerS: 120,
  waitingBytes: 32 * 1024 * 1024,
}

/** WebSocket close codes: a policy broken, and too much at once (RFC 6455, 7.4.1). */
const [POLICY, TOO_BIG] = [1008, 1009]

interface Seat {
  readonly room: string
  readonly address: string
  bytes: number
  messages: number
  at: number
}

/** The name of a room: 128 bits in 22 letters, which nobody guesses. */
export const isRoom = (name: string): boolean => /^[\w-]{22}$/.test(name)

/**
 * Rooms in memory. What a screen says goes to the others in its room as it came, sealed, and is kept nowhere; a room is
 * gone with its last screen. Whoever enters a room learns nothing from the server, not even whether anybody is there.
 */
export class Rooms {
  private readonly rooms = new Map<string, Set<Member>>()
  private readonly seats = new Map<Member, Seat>()

  constructor(
    private readonly limits: Limits = LIMITS,
    private readonly now: () => number = Date.now,
  ) {}

  get size(): { rooms: number; members: number } {
    return { rooms: this.rooms.size, members: this.seats.size }
  }

  /** @returns why there is no place, in words; null where the screen has one now */
  enter(member: Member, room: string, address: string): string | null {
    if (!isRoom(room)) return 'no such room'
    const there = this.rooms.get(room)
    const ofAddress = [...this.seats.values()].filter(seat => seat.address === address).length
    if (
      (there?.size ?? 0) >= this.limits.membersOfRoom ||
      (!there && this.rooms.size >= this.limits.rooms) ||
      this.seats.size >= this.limits.members ||
      ofAddress >= this.limits.membersOfAddress
    )
      return 'no place left'
    this.rooms.set(room, (there ?? new Set()).add(member))
    const { burstBytes: bytes, burstMessages: messages } = this.limits
    this.seats.set(member, { room, address, bytes, messages, at: this.now() })
    return null
  }

  /** Passes on what a screen said. One that says more than it may is shown out. */
  say(member: Member, bytes: Uint8Array): void {
    const seat = this.seats.get(member)
    if (!seat) return
    if (bytes.length > this.limits.messageBytes) return this.showOut(member, TOO_BIG, 'too long')
    if (!this.mayStill(seat, bytes.length)) return this.showOut(member, POLICY, 'too much at once')
    for (const other of this.rooms.get(seat.room) ?? []) {
      if (other === member) continue
      if (other.waiting() > this.limits.waitingBytes) this.showOut(other, POLICY, 'too slow')
      else other.send(bytes)
    }
  }

  leave(member: Member): void {
    const seat = this.seats.get(member)
    if (!seat) return
    this.seats.delete(member)
    const there = this.rooms.get(seat.room)
    there?.delete(member)
    if (there?.size === 0) this.rooms.delete(seat.room)
  }

  private showOut(member: Member, code: number, reason: string) {
    this.leave(member)
    member.close(code, reason)
  }

  /** Whether a screen may say so much more, by two buckets that fill as time goes. */
  private mayStill(seat: Seat, bytes: number): boolean {
    const seconds = Math.max(0, (this.now() - seat.at) / 1000)
    seat.at = this.now()
    seat.bytes = Math.min(this.limits.burstBytes, seat.bytes + seconds * this.limits.bytesPerS) - bytes
    seat.messages = Math.min(this.limits.burstMessages, seat.messages + seconds * this.limits.messagesPerS) - 1
    return seat.bytes >= 0 && seat.messages >= 0
  }
}
