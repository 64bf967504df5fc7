import { liveQuery } from 'dexie'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import type { Other } from '#core/screens/line'
import type { Scope } from '#core/screens/message.schema'
import { db } from '~/db/database'
import type { Invite } from '~/screens/inviting'
import type { Membership } from '~/screens/membership'
import { sayNow } from '~/composables/use-words'
import type { Running } from '~/screens/running'
import { useShop } from './shop'

export type PairState = 'alone' | 'waiting' | 'joined'

/** What a screen is called until somebody names it. */
const usualName = () => {
  const touched = matchMedia('(pointer: coarse)').matches
  return sayNow(touched ? (Math.min(screen.width, screen.height) < 600 ? 'Phone' : 'Tablet') : 'Desk')
}

/** The other screens of this shop: who is there, where, and how one more joins. What it takes is fetched when used. */
export const useScreens = defineStore('screens', () => {
  const shop = useShop()
  const membership = shallowRef<Membership | null>(null)
  const present = shallowRef<readonly Other[]>([])
  /** The server can be reached. */
  const reach = ref(false)
  const invited = shallowRef<Invite | null>(null)
  const trouble = ref<string | null>(null)
  /** Who put this screen out of the shop. */
  const putOutBy = ref<string | null>(null)
  let running: { secret: string; scope: string; with: Running } | null = null
  let at: string | null = null
  /** Screens that were answered over the link in force. */
  const asked = new Set<string>()

  const state = computed((): PairState =>
    Object.keys(membership.value?.met ?? {}).length ? 'joined' : invited.value ? 'waiting' : 'alone',
  )
  /** All screens that were met, those that are there first. */
  const others = computed(() =>
    Object.entries(membership.value?.met ?? {})
      .map(([screen, met]) => ({ ...met, screen, there: present.value.find(other => other.screen === screen) ?? null }))
      .toSorted((a, b) => Number(b.there !== null) - Number(a.there !== null) || b.at - a.at),
  )

  let following = false
  /** Follows what this browser shares; to be called once the shop is open. */
  function follow() {
    if (following) return
    following = true
    liveQuery(() => db.facts.get('screens')).subscribe(found => {
      void suit(found !== undefined)
    })
  }
  async function suit(shares: boolean) {
    const now = shares ? await import('~/screens/membership').then(({ readMembership }) => readMembership()) : null
    const before = membership.value
    membership.value = now
    const scope = JSON.stringify(now?.scope)
    if (running && (running.secret !== now?.secret || running.scope !== scope)) {
      running.with.stop(running.secret !== now?.secret)
      running = null
      present.value = []
    }
    if (!now) return
    if (running && before && before.name !== now.name) running.with.renamed(now.name)
    if (Object.keys(now.met).some(screen => asked.has(screen))) dropLink()
    if (running) return
    const { runScreens } = await import('~/screens/running')
    if (running || membership.value?.secret !== now.secret) return
    trouble.value = null
    running = {
      secret: now.secret,
      scope,
      with: runScreens(
        now,
        {
          state: (found, reached) => {
            present.value = found
            reach.value = reached
          },
          putOutBy: name => {
            putOutBy.value = name
          },
          tookOff: taken => {
            shop.takenOff = taken
          },
          trouble: why => {
            trouble.value = why
          },
        },
        at,
      ),
    }
  }

  const me = (): Membership => ({
    secret: '',
    screen: crypto.randomUUID(),
    name: usualName(),
    scope: { kind: 'shop' },
    met: {},
    ...membership.value,
  })

  /** Makes a link for one more screen. */
  async function startInvite() {
    trouble.value = putOutBy.value = null
    dropLink()
    try {
      const [{ invite }, { writeMembership }, { newSecret }] = await Promise.all([
        import('~/screens/inviting'),
        import('~/screens/membership'),
        import('#core/screens/secret'),
      ])
      const mine = membership.value ?? { ...me(), secret: newSecret() }
      const made = await invite(mine, mine.secret, {
        asked: screen => asked.add(screen),
        differs: why => {
          trouble.value = why
        },
        over: () => void takeBack(),
      })
      if (!membership.value) await writeMembership(mine)
      invited.value = made
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : 'no link could be made'
    }
  }
  function dropLink() {
    invited.value?.takeBack()
    invited.value = null
    asked.clear()
  }
  /** The link leads nowhere any more; where nobody came over it, there is nothing to share. */
  async function takeBack() {
    dropLink()
    if (state.value === 'alone' && membership.value) await leave()
  }

  /** Takes part from now on, in this much of the shop. */
  async function join(
    secret: string,
    scope: Scope,
    met: { screen: string; name: string },
    mine: { screen: string; name: string },
  ) {
    const [{ writeMembership }, { widened }] = await Promise.all([
      import('~/screens/membership'),
      import('#core/screens/scope'),
    ])
    const before = membership.value?.secret === secret ? membership.value : null
    await writeMembership({
      ...me(),
      ...(before ?? mine),
      secret,
      scope: before ? widened(before.scope, scope) : scope,
      met: { ...before?.met, [met.screen]: { name: met.name, at: Date.now() } },
    })
  }
  async function leave() {
    dropLink()
    await import('~/screens/membership').then(({ dropMembership }) => dropMembership())
  }
  async function rename(name: string) {
    const { changeMembership } = await import('~/screens/membership')
    await changeMembership(now => ({ ...now, name: name.trim().slice(0, 60) || now.name }))
  }
  /** Puts another screen out; one that is away is only forgotten here, and is told when it returns. */
  function putOut(screen: string) {
    running?.with.putOut(screen)
  }
  function moved(to: string | null) {
    at = to
    running?.with.moved(to)
  }

  return {
    state,
    others,
    present,
    reach,
    membership,
    invited,
    trouble,
    putOutBy,
    follow,
    startInvite,
    takeBack,
    join,
    leave,
    rename,
    putOut,
    moved,
    nameHere: () => membership.value?.name ?? usualName(),
    /** Names of screens that are at a place, such as a station of a job. */
    whoIsAt: (path: string) => present.value.filter(other => other.at === path).map(({ name }) => name),
  }
})
