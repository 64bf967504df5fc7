/** Where the service worker puts pictures that another application shares (server/assets/offline/sw.js). */
const SHARED = 'wild-sparrow-shared'

const nameOf = (url: string) => decodeURIComponent(new URL(url).pathname.split('/').at(-1) ?? '')

/** Pictures that were shared to this application and are not in a job yet. */
export async function sharedPictures(): Promise<File[]> {
  const cache = await caches.open(SHARED)
  const found: File[] = []
  for (const request of await cache.keys()) {
    const blob = await (await cache.match(request))?.blob()
    if (blob) found.push(new File([blob], nameOf(request.url), { type: blob.type }))
  }
  return found
}
export const dropShared = () => caches.delete(SHARED)
