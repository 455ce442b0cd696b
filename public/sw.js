// Keeps the job card at hand while the network is away: the pages at the car, and what they are made of.
const CACHE = 'fern-yard-2'
/** Pages that are used beside a car. */
const AT_THE_CAR = /^\/(work|jobs\/[^/]+\/work)$/
/** Built files are named by their content: what is in the cache is what would come. */
const BUILT = /^\/_next\/static\//
/** How a page and a script name what they are made of. */
const PART = /static\/(?:chunks|media|css)\/[\w.~-]+\.(?:js|css|woff2)/g
/** No more is kept than this: files of builds long gone, and cards of cars long gone, are let go. */
const MOST_FILES = 300
const MOST_PAGES = 60
/** A network that does not answer within this time is taken for none, ms. */
const PATIENCE_MS = 4000

self.addEventListener('install', () => self.skipWaiting())
self.addEventListener('activate', (event) => event.waitUntil(begin()))

async function begin() {
  for (const name of await caches.keys()) if (name !== CACHE) await caches.delete(name)
  await self.clients.claim()
}

self.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== self.location.origin) return
  if (BUILT.test(url.pathname)) event.respondWith(keptFirst(request))
  else if (request.mode === 'navigate' && AT_THE_CAR.test(url.pathname)) event.respondWith(shopFirst(request))
})

async function keptFirst(request) {
  const cache = await caches.open(CACHE)
  const kept = await cache.match(request)
  if (kept) return request.destination === 'worker' ? nameless(kept) : kept
  const answer = await fetch(request)
  if (isKeepable(answer)) await cache.put(request, answer.clone())
  return answer
}

/** The thing itself: neither the door, to which whoever is not signed in is led, nor a word that the page is for somebody else. */
const isKeepable = (answer) =>
  answer.status === 200 && !answer.redirected && !answer.headers.has('x-fern-not-yours')

/**
 * An answer that says nothing of the address it once came from. All workers of a page begin with one file and are told by the fragment of
 * their address which work is theirs; a kept answer carries the fragment of whoever asked first, and the worker would take that for its own.
 */
const nameless = ({ body, status, statusText, headers }) =>
  new Response(body, { status, statusText, headers })

async function shopFirst(request) {
  const cache = await caches.open(CACHE)
  try {
    const answer = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) })
    if (isKeepable(answer)) await cache.put(request, answer.clone())
    return answer
  } catch {
    return (
      (await cache.match(request)) ??
      new Response('No network, and this card was not opened on this tablet before.', {
        status: 503,
        headers: { 'content-type': 'text/plain; charset=utf-8' },
      })
    )
  }
}

// A page that came before this worker was there tells what it is made of.
self.addEventListener('message', (event) =>
  event.waitUntil(event.data.forget ? forgetPages() : keep(event.data)),
)

async function keep({ page, parts, ahead = [] }) {
  const cache = await caches.open(CACHE)
  const urls = parts.filter((part) => BUILT.test(new URL(part).pathname))
  for (const url of [page, ...urls])
    if (url === page || !(await cache.match(url))) await keepOne(cache, url).catch(() => undefined)
  for (const path of ahead) await keepAhead(cache, path).catch(() => undefined)
  await shed(cache)
}

async function keepOne(cache, url) {
  const answer = await fetch(url)
  if (isKeepable(answer)) await cache.put(url, answer)
}

/** Lets go of what was kept longest ago. */
async function shed(cache) {
  const kept = await cache.keys()
  const isFile = ({ url }) => BUILT.test(new URL(url).pathname)
  const files = kept.filter(isFile)
  const pages = kept.filter((each) => !isFile(each))
  const over = [
    ...files.slice(0, Math.max(0, files.length - MOST_FILES)),
    ...pages.slice(0, Math.max(0, pages.length - MOST_PAGES)),
  ]
  for (const each of over) await cache.delete(each)
}

/** Whoever signs out leaves no card behind; the files they are made of tell nothing. */
async function forgetPages() {
  const cache = await caches.open(CACHE)
  for (const each of await cache.keys()) if (!BUILT.test(new URL(each.url).pathname)) await cache.delete(each)
}

/** A page nobody has opened here yet, with all it is made of: what its text names, and what that names in turn. */
async function keepAhead(cache, path) {
  const answer = await fetch(path)
  if (!isKeepable(answer)) return
  await cache.put(path, answer.clone())
  const open = [await answer.text()]
  const seen = new Set()
  for (const text of open)
    for (const [name] of text.matchAll(PART)) {
      const url = `/_next/${name}`
      if (seen.has(url)) continue
      seen.add(url)
      const kept = (await cache.match(url)) ?? (await fetch(url).catch(() => undefined))
      if (!kept?.ok) continue
      await cache.put(url, kept.clone())
      if (/\.(js|css)$/.test(url)) open.push(await kept.text())
    }
}
