import { onBeforeUnmount, onMounted } from 'vue'

/** Buttons and links: in a field that takes the focus by itself the keys of the page would be typed as letters. */
const PRESSED = 'button:not([disabled]), a[href]'
/** Where a finger taps, a field that takes the focus by itself only brings the keyboard up. */
const byKeys = () => window.matchMedia('(pointer: fine)').matches
/** The first reading of the mend that is open. */
export const FIRST_READING = 'input[data-path*=".readings."], [data-path*=".readings."] input'
/** Time enough for a page that is opened cold to have its fields. */
const WAIT_MS = 4000

/**
 * Puts the focus on the first of what a selector finds as soon as it stands on the page; nothing comes of it where a
 * finger taps, or where the hand has gone elsewhere meanwhile.
 */
export function focusWhenThere(selector: string, always = false): void {
  if (!always && !byKeys()) return
  const from = document.activeElement
  const go = () => {
    const found = document.querySelector<HTMLElement>(selector)
    if (!found) return false
    const moved = document.activeElement !== from && document.activeElement !== document.body
    if (always || !moved) {
      found.scrollIntoView({ block: 'nearest' })
      found.focus({ preventScroll: true })
    }
    return true
  }
  if (go()) return
  const seen = new MutationObserver(() => {
    if (go()) seen.disconnect()
  })
  seen.observe(document.body, { childList: true, subtree: true })
  setTimeout(() => seen.disconnect(), WAIT_MS)
}

/**
 * Keeps the focus near the hand: where what had it goes away after a choice, the next control beside it has it, and
 * not the top of the page.
 */
export function useKeptFocus(): void {
  const router = useRouter()
  let path: Element[] = []
  const remember = (event: FocusEvent) => {
    path = []
    for (let at = event.target as Element | null; at && at !== document.body; at = at.parentElement) path.push(at)
  }
  const seen = new MutationObserver(() => {
    const [last] = path
    if (!last || last.isConnected || document.activeElement !== document.body || !byKeys()) return
    const home = path.find(each => each.isConnected)
    path = []
    const next = [...(home?.querySelectorAll<HTMLElement>(PRESSED) ?? [])].find(each => each.checkVisibility())
    next?.focus({ preventScroll: true })
  })
  // Another page has its own beginning.
  const left = router.beforeEach(() => {
    path = []
  })
  onMounted(() => {
    document.addEventListener('focusin', remember)
    seen.observe(document.body, { childList: true, subtree: true })
  })
  onBeforeUnmount(() => {
    left()
    document.removeEventListener('focusin', remember)
    seen.disconnect()
  })
}
