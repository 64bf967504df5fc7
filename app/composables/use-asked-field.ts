import { onMounted, watch } from 'vue'

/** Time enough for a page that is opened cold to have its fields. */
const WAIT_MS = 4000

/**
 * Brings the field that a link asked for (`?at=takeIn.wallMm`) under the hand once it is there, and puts the focus on
 * it: what was assumed, or wants measuring, is one press from being put right.
 */
export function useAskedField() {
  const route = useRoute()
  function go(path: unknown) {
    if (typeof path !== 'string' || !/^[\w.]{1,80}$/.test(path)) return
    const find = () =>
      document.querySelector<HTMLElement>(
        `input[data-path="${path}"], [data-path="${path}"] input, [data-pick^="${path}:"], [data-path="${path}"]`,
      )
    const show = (field: HTMLElement) => {
      field.scrollIntoView({ block: 'center' })
      field.focus({ preventScroll: true })
    }
    const there = find()
    if (there) return show(there)
    const seen = new MutationObserver(() => {
      const field = find()
      if (!field) return
      seen.disconnect()
      show(field)
    })
    seen.observe(document.body, { childList: true, subtree: true })
    setTimeout(() => seen.disconnect(), WAIT_MS)
  }
  onMounted(() => go(route.query.at))
  watch(() => route.query.at, go, { flush: 'post' })
}
