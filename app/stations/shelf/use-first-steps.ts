import { useLocalStorage } from '@vueuse/core'
import { computed, onMounted, ref } from 'vue'
import { STARTER_KITS, type StarterId } from '#core/job/starter-kits.table'
import { WHICH_SHOP } from '~/db/which-shop'
import { focusWhenThere } from '~/composables/kept-focus'
import { useSettings } from '~/stores/settings'
import { useShop } from '~/stores/shop'

/** Past this an hour's price is a slip of the hand. */
const MOST_RATE = 10_000

/** The four steps of a new bench: a machine, a torch, the price of an hour, a job. Skipped for good with one press. */
export function useFirstSteps() {
  const shop = useShop()
  const settings = useSettings()
  const skipped = useLocalStorage('ws-first-steps-skipped', false)
  const machine = computed(() => shop.kit.machines.length > 0)
  const torch = computed(() => shop.kit.torches.length > 0)
  const job = computed(() => shop.cards.length > 0)
  /** A bench without an arc has its rods and torch, and that is a kit too. */
  const kitted = computed(() => machine.value || shop.kit.rods.length > 0)
  const wanted = computed(() => WHICH_SHOP === 'own' && !skipped.value && !(kitted.value && torch.value && job.value))
  const rated = computed(() => !shop.kit.rateAssumed)
  const wrongRate = ref<string | null>(null)
  /** Read without the kit's schema, which the first screen does without. */
  function rate(text: string) {
    if (!text.trim()) return
    const read = settings.read(text, 'number')
    wrongRate.value = !read.ok ? read.message : read.value < 0 || read.value > MOST_RATE ? 'an amount from 0 up' : null
    if (!read.ok || wrongRate.value) return
    focusWhenThere('[data-testid="new-title"] input')
    void shop.changeKit(kit => ({ ...kit, ratePerHour: read.value, rateAssumed: false }))
  }
  function begin(id: StarterId) {
    focusWhenThere('[data-testid="first-rate"] input')
    return shop.changeKit(kit => ({ ...kit, ...structuredClone(STARTER_KITS[id].kit) }))
  }
  onMounted(() => {
    if (wanted.value && !kitted.value) focusWhenThere('[data-starter]')
  })
  return {
    wanted,
    kitted,
    torch,
    rated,
    job,
    kit: computed(() => shop.kit),
    begin,
    rate,
    wrongRate,
    skip: () => {
      skipped.value = true
    },
  }
}
