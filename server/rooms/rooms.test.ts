import { describe, expect, it } from 'vitest'
import { isRoom, LIMITS, Rooms, type Member } from './rooms'

const room = (n: number) => `${n}`.padStart(22, 'r')
function screen() {
  const [heard, closed]: [Uint8Array[], number[]] = [[], []]
  let waiting = 0
  const member: Member = {
    send: bytes => heard.push(bytes),
    close: code => {
      closed.push(code)
    },
    waiting: () => waiting,
  }
  return {
    member,
    heard,
    closed,
    lag: (bytes: number) => {
      waiting = bytes
    },
  }
}
const said = (text: string) => new TextEncoder().encode(text)

describe('rooms', () => {
  it('pass on what is said to the others of the room alone, as it came', () => {
    const rooms = new Rooms()
    const [a, b, c] = [screen(), screen(), screen()]
    expect([rooms.enter(a.member, room(1), 'x'), rooms.enter(b.member, room(1), 'x')]).toEqual([null, null])
    rooms.enter(c.member, room(2), 'x')
    rooms.say(a.member, said('sealed'))
    expect([a.heard, b.heard, c.heard]).toEqual([[], [said('sealed')], []])
  })
  it('are gone with their last screen, and hold nothing', () => {
    const rooms = new Rooms()
    const [a, b] = [screen(), screen()]
    rooms.enter(a.member, room(1), 'x')
    rooms.say(a.member, said('before anybody came'))
    rooms.enter(b.member, room(1), 'x')
    expect(b.heard).toEqual([])
    rooms.leave(a.member)
    rooms.leave(b.member)
    rooms.leave(b.member)
    expect(rooms.size).toEqual({ rooms: 0, members: 0 })
  })
  it('have names that nobody guesses, and take no other', () => {
    expect([isRoom(room(1)), isRoom('short'), isRoom('../etc/passwd-and-more1')]).toEqual([true, false, false])
    expect(new Rooms().enter(screen().member, 'short', 'x')).toBe('no such room')
  })
  it('let in no more than there is room for: a room, an address, the server', () => {
    const few = { ...LIMITS, rooms: 3, membersOfRoom: 2, members: 5, membersOfAddress: 4 }
    const rooms = new Rooms(few)
    const enter = (name: number, address: string) => rooms.enter(screen().member, room(name), address)
    expect([enter(1, 'a'), enter(1, 'a'), enter(1, 'a')]).toEqual([null, null, 'no place left'])
    expect([enter(2, 'a'), enter(3, 'a'), enter(4, 'b')]).toEqual([null, null, 'no place left'])
    expect([enter(2, 'a'), enter(2, 'b'), enter(3, 'b')]).toEqual(['no place left', null, 'no place left'])
  })
  it('show out whoever floods them; the others go on', () => {
    let now = 0
    const rooms = new Rooms({ ...LIMITS, burstMessages: 5, messagesPerS: 1 }, () => now)
    const [a, b, c] = [screen(), screen(), screen()]
    for (const each of [a, b, c]) rooms.enter(each.member, room(1), 'x')
    for (let n = 0; n < 9; n++) rooms.say(a.member, said('x'))
    expect(a.closed).toEqual([1008])
    expect(b.heard).toHaveLength(5)
    for (let n = 0; n < 9; n++) {
      now += 1000
      rooms.say(b.member, said('y'))
    }
    expect(b.closed).toEqual([])
    expect(c.heard).toHaveLength(14)
  })
  it('show out who says too much at once, and who takes too little of what is said', () => {
    const rooms = new Rooms()
    const [a, b, c] = [screen(), screen(), screen()]
    for (const each of [a, b, c]) rooms.enter(each.member, room(1), 'x')
    rooms.say(a.member, new Uint8Array(LIMITS.messageBytes + 1))
    b.lag(LIMITS.waitingBytes + 1)
    rooms.say(c.member, said('z'))
    expect([a.closed, b.closed, c.closed]).toEqual([[1009], [1008], []])
  })
})
