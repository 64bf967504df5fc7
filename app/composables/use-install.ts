import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** The browser's own offer to keep a page like an application; not every browser makes one. */
interface InstallOffer extends Event {
  prompt(): Promise<unknown>
}

const offer = ref<InstallOffer | null>(null)

/** Catches the offer once, at the start: it comes before any menu is open. */
export function watchInstall() {
  useEventListener(window, 'beforeinstallprompt', event => {
    event.preventDefault()
    offer.value = event as InstallOffer
  })
  useEventListener(window, 'appinstalled', () => {
    offer.value = null
  })
}

/** Whether this browser offers to install the application, and taking it up on that. */
export function useInstall() {
  async function install() {
    const taken = offer.value
    offer.value = null
    await taken?.prompt()
  }
  return { offer, install }
}
