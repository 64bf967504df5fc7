import { opened, sealed, type Opened } from '#core/screens/sealed'
import { meetingOf } from '#core/screens/secret'
import type { Line } from '#core/screens/line'
import type { Message } from '#core/screens/message.schema'

/** Between tries to reach the server, at first and at most. */
const [FIRST_MS, MOST_MS] = [300, 10_000]
/** More than this does not wait in the page: it goes out first. */
const MOST_WAITING_BYTES = 4 * 1024 * 1024

export interface OpenLine extends Line {
  close(): void
}
interface Heard {
  arrived(): void
  cut(): void
  heard(opened: Opened): unknown
}

const addressOf = (room: string) => {
  const { protocol, host } = location
  return `${protocol === 'https:' ? 'wss' : 'ws'}://${host}/api/room/${room}`
}

/**
 * The line of a secret's room: sealed both ways, in order, and opened again by itself whenever it breaks.
 * @throws Error where the page has no Web Crypto
 */
export async function openLine(secret: string, { arrived, cut, heard }: Heard): Promise<OpenLine> {
  const meeting = await meetingOf(secret)
  let socket: WebSocket | null = null
  let again: ReturnType<typeof setTimeout> | undefined
  let wait = FIRST_MS
  let closed = false
  let [going, coming]: [Promise<unknown>, Promise<unknown>] = [Promise.resolve(), Promise.resolve()]

  function connect() {
    clearTimeout(again)
    if (closed || socket) return
    const mine = (socket = new WebSocket(addressOf(meeting.room)))
    mine.binaryType = 'arraybuffer'
    mine.addEventListener('open', () => {
      wait = FIRST_MS
      arrived()
    })
    mine.addEventListener('message', ({ data }) => {
      if (!(data instanceof ArrayBuffer)) return
      coming = coming
        .then(async () => {
          const one = await opened(meeting, new Uint8Array(data))
          if (one && socket === mine) await heard(one)
        })
        .catch(() => undefined)
    })
    mine.addEventListener('close', () => {
      if (socket !== mine) return
      socket = null
      cut()
      if (closed) return
      // Screens that lost a server together do not all come back at the same moment.
      again = setTimeout(connect, wait * (0.7 + 0.6 * Math.random()))
      wait = Math.min(MOST_MS, wait * 1.8)
    })
  }
  const atOnce = () => {
    if (!socket && document.visibilityState === 'visible') {
      wait = FIRST_MS
      connect()
    }
  }
  window.addEventListener('online', atOnce)
  document.addEventListener('visibilitychange', atOnce)

  async function send(message: Message, tail?: Uint8Array) {
    const bytes = await sealed(meeting, message, tail)
    while (socket && socket.bufferedAmount > MOST_WAITING_BYTES) await new Promise(done => setTimeout(done, 20))
    if (socket?.readyState === WebSocket.OPEN) socket.send(bytes as Uint8Array<ArrayBuffer>)
  }
  connect()
  return {
    say(message, tail) {
      going = going.then(() => send(message, tail)).catch(() => undefined)
    },
    close() {
      closed = true
      clearTimeout(again)
      window.removeEventListener('online', atOnce)
      document.removeEventListener('visibilitychange', atOnce)
      // What was said last goes out before.
      void going.then(() => socket?.close())
    },
  }
}
