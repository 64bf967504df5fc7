import { expose } from 'comlink'
import { ROLES, type Role } from './roles'

/** What is asked while the role's own script is still on its way; a port gives nothing twice. */
const early: MessageEvent[] = []
const keep = (event: MessageEvent) => {
  early.push(event)
}
self.addEventListener('message', keep)

const [role, id] = self.name.split(' ') as [Role, string?]
// Held as long as this worker lives: whoever started it hears of its end.
if (id)
  void navigator.locks?.request(id, () => {
    self.postMessage({ holds: id })
    return new Promise(() => undefined)
  })

/** The one script of every worker: it takes on the role it is named for, so that what roles share is there once. */
ROLES[role]().then(
  ({ bench }) => {
    self.removeEventListener('message', keep)
    expose(bench)
    for (const { data } of early) self.dispatchEvent(new MessageEvent('message', { data }))
  },
  // Told to whoever started it, as a script that does not load is.
  reportError,
)
