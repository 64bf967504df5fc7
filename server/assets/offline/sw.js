/* Keeps the whole application on the device, so that it opens and works with the server gone. Questions of the server are never kept. */
const { version, files } = __PRECACHE__
const CACHE = `wild-sparrow-${version}`
/** Pictures that another application shares, until a job takes them. */
const SHARED = 'wild-sparrow-shared'

// A new version waits until the pages of the old one are closed: they still want its files.
self.addEventListener('install', event => {
  event.waitUntil(caches.open(CACHE).then(cache => cache.addAll(files)))
})

self.addEventListener('activate', event => {
  event.waitUntil(
    caches
      .keys()
      .then(names =>
        Promise.all(names.filter(name => name !== CACHE && name !== SHARED).map(name => caches.delete(name))),
      )
      .then(() => self.clients.claim()),
  )
})

async function keepShared(request) {
  const cache = await caches.open(SHARED)
  let n = 0
  for (const file of (await request.formData()).getAll('pictures'))
    if (file instanceof File && file.type.startsWith('image/'))
      await cache.put(
        `/shared/${Date.now()}-${n++}/${encodeURIComponent(file.name || 'picture')}`,
        new Response(file, { headers: { 'content-type': file.type } }),
      )
  return Response.redirect('/share', 303)
}

self.addEventListener('fetch', event => {
  const url = new URL(event.request.url)
  if (event.request.method === 'POST' && url.origin === self.location.origin && url.pathname === '/share') {
    event.respondWith(keepShared(event.request))
    return
  }
  if (
    event.request.method !== 'GET' ||
    url.origin !== self.location.origin ||
    url.pathname.startsWith('/api/') ||
    url.pathname.startsWith('/schema/')
  )
    return
  if (event.request.mode === 'navigate') {
    // Every page is the same one; the newest where there is a server, the kept one where there is none.
    event.respondWith(
      fetch(event.request)
        .then(answer => (answer.ok ? answer : caches.match('/')))
        .catch(() => caches.match('/')),
    )
    return
  }
  event.respondWith(caches.match(event.request, { ignoreSearch: false }).then(kept => kept ?? fetch(event.request)))
})
