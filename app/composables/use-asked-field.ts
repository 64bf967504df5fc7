import { onMounted, watch } from 'vue'
import { focusWhenThere } from './kept-focus'

/**
 * Brings the field that a link asked for (`?at=takeIn.wallMm`) under the hand once it is there, and puts the focus on
 * it: what was assumed, or wants measuring, is one press from being put right.
 */
export function useAskedField() {
  const route = useRoute()
  function go(path: unknown) {
    if (typeof path !== 'string' || !/^[\w.]{1,80}$/.test(path)) return
    const own = `[data-path="${path}"]`
    focusWhenThere([`input${own}`, `${own} input`, `[data-pick^="${path}:"]`, own].join(','), true)
  }
  onMounted(() => go(route.query.at))
  watch(() => route.query.at, go, { flush: 'post' })
}
