import { refusedRequest } from '../../limits/guard'
import type { Member } from '../../rooms/rooms'
import { theRooms } from '../../rooms/the-rooms'

/** What of a line this needs; crossws hands it over by this shape. */
interface Peer {
  readonly request: { readonly url: string }
  readonly remoteAddress?: string
  readonly websocket: { readonly bufferedAmount?: number }
  send(bytes: Uint8Array): unknown
  close(code: number, reason: string): void
}
const members = new WeakMap<object, Member>()

/** The line of a screen into its room. Nothing of what goes through is read. */
export default defineWebSocketHandler({
  upgrade(request) {
    const url = new URL(request.url)
    const headers = Object.fromEntries(request.headers as Headers)
    const reason = refusedRequest('GET', url.pathname, headers, process.env.HOST)
    if (reason) throw new Response(null, { status: 403, statusText: 'Forbidden' })
  },
  open(peer) {
    const line = peer as unknown as Peer
    const member: Member = {
      send: bytes => line.send(bytes),
      close: (code, reason) => line.close(code, reason),
      waiting: () => line.websocket.bufferedAmount ?? 0,
    }
    const room = new URL(line.request.url, 'http://here').pathname.split('/').at(-1) ?? ''
    const reason = theRooms.enter(member, room, line.remoteAddress ?? '')
    if (reason) line.close(1013, reason)
    else members.set(peer, member)
  },
  message(peer, message) {
    const member = members.get(peer)
    if (member) theRooms.say(member, message.uint8Array())
  },
  close(peer) {
    const member = members.get(peer)
    if (member) theRooms.leave(member)
  },
  error(peer) {
    const member = members.get(peer)
    if (member) theRooms.leave(member)
  },
})
