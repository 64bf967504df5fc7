import { LIMITS } from '../rooms/rooms'

/** A message that is longer than a room takes is cut off while it comes, not once all of it is there. */
export default defineNitroPlugin(({ h3App: { options } }) => {
  const serverOptions = { maxPayload: LIMITS.messageBytes, perMessageDeflate: false }
  options.websocket = { ...options.websocket, ...{ serverOptions } }
})
