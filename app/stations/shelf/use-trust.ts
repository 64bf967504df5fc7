import { onMounted, ref, shallowRef } from 'vue'
import { askNetwork, type Network } from '~/screens/network'

/** What works of this page as it was opened, and what wants the machine to be trusted. */
export function useTrust() {
  const network = shallowRef<Network | null>(null)
  const asked = ref(false)
  const isSealed = ref(false)
  /** The browser takes the page to keep: only where it trusts the machine. Null until that is known. */
  const isTrusted = ref<boolean | null>(null)

  async function look() {
    isSealed.value = window.isSecureContext
    const workers = (navigator as { serviceWorker?: ServiceWorkerContainer }).serviceWorker
    isTrusted.value = workers
      ? await workers.register('/sw.js').then(
          () => true,
          () => false,
        )
      : false
    network.value = await askNetwork()
    asked.value = true
  }
  onMounted(look)
  return { network, asked, isSealed, isTrusted }
}
