import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { STARTER_KITS, type StarterId } from '#core/job/starter-kits.table'
import { WHICH_SHOP } from '~/db/which-shop'
import { useShop } from '~/stores/shop'

/** The three steps of a new bench: a machine, a torch, a job. Skipped for good with one press. */
export function useFirstSteps() {
  const shop = useShop()
  const skipped = useLocalStorage('ws-first-steps-skipped', false)
  const machine = computed(() => shop.kit.machines.length > 0)
  const torch = computed(() => shop.kit.torches.length > 0)
  const job = computed(() => shop.cards.length > 0)
  /** A bench without an arc has its rods and torch, and that is a kit too. */
  const kitted = computed(() => machine.value || shop.kit.rods.length > 0)
  const wanted = computed(() => WHICH_SHOP === 'own' && !skipped.value && !(kitted.value && torch.value && job.value))
  const begin = (id: StarterId) => shop.changeKit(kit => ({ ...kit, ...structuredClone(STARTER_KITS[id].kit) }))
  return {
    wanted,
    kitted,
    torch,
    job,
    kit: computed(() => shop.kit),
    begin,
    skip: () => {
      skipped.value = true
    },
  }
}
