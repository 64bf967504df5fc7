import { useEventListener } from '@vueuse/core'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue'
import { secretIn } from '#core/screens/invite'
import type { MessageOf, Scope } from '#core/screens/message.schema'
import { WHICH_SHOP } from '~/db/which-shop'
import { useScreens } from '~/stores/screens'

/** A screen that opened another's link: asks what there is, and takes part in as much as is chosen. */
export function useJoin() {
  const screens = useScreens()
  const offer = shallowRef<MessageOf<'offer'> | null>(null)
  const trouble = ref<string | null>(null)
  const reach = ref(false)
  /** The one job that is taken, where it is one. */
  const one = ref<string | null>(null)
  const taking = ref(false)
  const me = { screen: crypto.randomUUID(), name: screens.nameHere() }
  let end: (() => void) | undefined
  let gone = false

  async function ask() {
    const found = secretIn(location.hash)
    if (!found) {
      trouble.value = 'this is no link of another screen; open it there once more'
      return
    }
    try {
      const [{ askOver }, { versionsDiffer }] = await Promise.all([
        import('~/screens/inviting'),
        import('#core/screens/invite'),
      ])
      end = await askOver(found.secret, me, {
        offered: came => {
          const differs = versionsDiffer(came)
          if (differs) trouble.value = differs
          else offer.value = came
          one.value = came.jobs[0]?.id ?? null
        },
        reach: reached => {
          reach.value = reached
        },
      })
      if (gone) end()
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : 'the other screen cannot be reached'
    }
  }
  onMounted(ask)
  // Another link opened in the same tab changes no more than what follows the #.
  useEventListener(window, 'hashchange', () => location.reload())
  onBeforeUnmount(() => {
    gone = true
    end?.()
  })

  async function take(scope: Scope) {
    if (!offer.value || taking.value) return
    taking.value = true
    const { secret, screen, name } = offer.value
    // Two of one kind are told apart until somebody names them.
    await screens.join(secret, scope, { screen, name }, { ...me, name: me.name === name ? `${name} 2` : me.name })
    end?.()
  }
  return {
    screens,
    offer,
    trouble,
    reach,
    one,
    taking,
    isMadeUp: WHICH_SHOP === 'made-up',
    /** It has been heard from the others. */
    joined: computed(() => taking.value && screens.present.length > 0),
    takeJob: () => (one.value === null ? undefined : take({ kind: 'jobs', ids: [one.value] })),
    takeOpen: () => take({ kind: 'open' }),
    takeShop: () => take({ kind: 'shop' }),
  }
}
