/**
 * Two shops on one bench: the reader's own, and a made-up one to look round in. Each has a database and journals of its
 * own, so that nothing of the one is ever in the other.
 */
export type WhichShop = 'own' | 'made-up'

const KEY = 'ws-shop'

/** A link of another screen leads into the shop that it was made in. */
const linked = (): string | undefined => (isJoining() ? /^#([mo])\./.exec(location.hash)?.[1] : undefined)

/** Whether this page was opened over another screen's link. */
export const isJoining = (): boolean => (globalThis as { location?: Location }).location?.pathname === '/join'

function stored(): WhichShop {
  try {
    const led = linked()
    if (led !== undefined) localStorage.setItem(KEY, led === 'm' ? 'made-up' : 'own')
    return localStorage.getItem(KEY) === 'made-up' ? 'made-up' : 'own'
  } catch {
    return 'own'
  }
}

/** The shop this page was opened in; it stays in it until it is loaded again. */
export const WHICH_SHOP: WhichShop = stored()

/** A name that the two shops do not share. */
export const ofShop = (name: string): string => (WHICH_SHOP === 'made-up' ? `${name}-made-up` : name)

/** Opens the other shop's shelf. Where the browser keeps no settings, there is only the reader's own. */
export function goToShop(which: WhichShop) {
  localStorage.setItem(KEY, which)
  location.assign('/')
}
