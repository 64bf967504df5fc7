import { expose } from 'comlink'
import { ROLES, type Role } from './roles'

/** What is asked while the role's own script is still on its way; a port gives nothing twice. */
const early: MessageEvent[] = []
const keep = (event: MessageEvent) => {
  early.push(event)
}
self.addEventListener('message', keep)

/** The one script of every worker: it takes on the role it is named for, so that what roles share is there once. */
ROLES[self.name as Role]().then(
  ({ bench }) => {
    self.removeEventListener('message', keep)
    expose(bench)
    for (const { data } of early) self.dispatchEvent(new MessageEvent('message', { data }))
  },
  // Told to whoever started it, as a script that does not load is.
  reportError,
)
