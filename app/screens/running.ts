import { Exchange } from '#core/screens/exchange'
import type { Other } from '#core/screens/line'
import { db } from '~/db/database'
import type { TakenOff } from '~/db/off-the-shelf'
import { followChanges } from './changes'
import { openLine } from './line'
import { changeMembership, dropMembership, type Membership } from './membership'
import { SharedShelf } from './shared-shelf'

/** How often a screen says that it is here, and how long one is silent that is taken for gone. */
const [HERE_MS, SILENT_MS] = [15_000, 40_000]
/** The time a screen was last heard is noted no more often. */
const NOTE_MS = 60_000

/** What tabs of one browser tell each other: one of them holds the line for all. */
export type BetweenTabs =
  | { readonly kind: 'state'; readonly others: readonly Other[]; readonly reach: boolean }
  | { readonly kind: 'at'; readonly at: string | null }
  | { readonly kind: 'put-out'; readonly screen: string }
  | { readonly kind: 'tell' }

export const tabsChannel = () => new BroadcastChannel(`ws-screens-${db.name}`)

export interface Running {
  renamed(name: string): void
  moved(at: string | null): void
  putOut(screen: string): void
  /** Says good-bye where the shop is left, and stops. */
  stop(leaves: boolean): void
}

/** Where messages of two tabs of one browser may not both go out, one waits until the other is closed. */
async function whenAlone(signal: AbortSignal): Promise<() => void> {
  const { locks } = navigator as { locks?: LockManager }
  if (!locks) return () => undefined
  return new Promise((resolve, reject) => {
    locks
      .request(`ws-screens-${db.name}`, { signal }, () => new Promise<void>(release => resolve(release)))
      .catch(reject)
  })
}

/** Keeps this browser's shelf and those of the other screens the same, until it is stopped. */
export function runScreens(
  { secret, screen, name, scope }: Membership,
  told: {
    state: (others: readonly Other[], reach: boolean) => void
    putOutBy: (name: string) => void
    tookOff: (taken: TakenOff) => void
    trouble: (why: string) => void
  },
  startsAt: string | null,
): Running {
  const abort = new AbortController()
  const tabs = tabsChannel()
  const noted = new Map<string, { name: string; at: number }>()
  let exchange: Exchange | null = null
  let end: (leaves: boolean) => void = () => undefined
  let [reach, at, called] = [false, startsAt, name]

  const tell = () => {
    if (abort.signal.aborted) return
    const others = exchange?.others ?? []
    told.state(others, reach)
    tabs.postMessage({ kind: 'state', others: JSON.parse(JSON.stringify(others)), reach } satisfies BetweenTabs)
    const due = others.filter(other => {
      const before = noted.get(other.screen)
      return !before || before.name !== other.name || other.heardAt - before.at > NOTE_MS
    })
    if (!due.length) return
    for (const { screen: id, name: theirs, heardAt } of due) noted.set(id, { name: theirs, at: heardAt })
    const met = Object.fromEntries(due.map(other => [other.screen, { name: other.name, at: other.heardAt }]))
    void changeMembership(now => ({ ...now, met: { ...now.met, ...met } }))
  }
  /** A screen that left is no longer one of the shop's; with the last of them there is nothing to share. */
  async function forget(left: string) {
    noted.delete(left)
    await changeMembership(({ met, ...now }) => ({
      ...now,
      met: Object.fromEntries(Object.entries(met).filter(([id]) => id !== left)),
    }))
  }

  async function run() {
    const release = await whenAlone(abort.signal)
    const line = await openLine(secret, {
      arrived: () => {
        reach = true
        exchange?.arrived()
        tell()
      },
      cut: () => {
        reach = false
        exchange?.cut()
        tell()
      },
      heard: async one => {
        await exchange?.heard(one)
        if (one.message.kind === 'bye') await forget(one.message.screen)
      },
    })
    exchange = new Exchange(
      { screen, name: called, scope },
      new SharedShelf(db, told.tookOff),
      line,
      event => {
        if (event.kind === 'others') return tell()
        told.putOutBy(event.by)
        void dropMembership()
      },
      Date.now,
    )
    exchange.moved(at)
    const unfollow = followChanges(changes => exchange!.changed(changes))
    const beat = setInterval(() => exchange?.beat(SILENT_MS), HERE_MS)
    end = leaves => {
      clearInterval(beat)
      unfollow()
      if (leaves) exchange?.leave()
      line.close()
      release()
    }
    if (abort.signal.aborted) end(false)
  }
  run().catch((error: unknown) => {
    if (!abort.signal.aborted) told.trouble(error instanceof Error ? error.message : 'no line could be opened')
  })

  const moved = (to: string | null) => {
    at = to
    exchange?.moved(to)
  }
  const putOut = (other: string) => {
    if (!exchange) return
    exchange.putOut(other)
    void forget(other)
  }
  tabs.addEventListener('message', ({ data }: MessageEvent<BetweenTabs>) => {
    if (data.kind === 'state' && !exchange) told.state(data.others, data.reach)
    else if (data.kind === 'tell' && exchange) tell()
    else if (data.kind === 'at' && exchange) moved(data.at)
    else if (data.kind === 'put-out') putOut(data.screen)
  })
  tabs.postMessage({ kind: 'tell' } satisfies BetweenTabs)

  return {
    renamed(to) {
      called = to
      exchange?.renamed(to)
    },
    moved(to) {
      if (exchange) moved(to)
      else {
        at = to
        tabs.postMessage({ kind: 'at', at: to } satisfies BetweenTabs)
      }
    },
    putOut(other) {
      if (exchange) putOut(other)
      else tabs.postMessage({ kind: 'put-out', screen: other } satisfies BetweenTabs)
    },
    stop(leaves) {
      abort.abort()
      end(leaves)
      tabs.close()
    },
  }
}
