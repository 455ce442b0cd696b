// The shop's own small server round the app: what is too large, too slow or malformed never reaches it.
import { readdirSync } from 'node:fs'
import path from 'node:path'
import next from 'next'
import { certificateFor, reachedAs } from './authority.mjs'
import { plainDoor, proxiesOf, renewed, secureDoor, tellWhence } from './doors.mjs'
import { isLoopback, leaveFolder, mayNotOpen, wrongPublicUrl, wrongSecret } from './may-open.mjs'
import { address, ROOT, say } from './steps.mjs'

// Whatever is written is for the user who serves the shop, and nobody else on the machine.
process.umask(0o077)

/** The longest address and the largest body anything of the shop asks for, characters and bytes. */
const MOST_URL = 4096
const MOST_BODY = 32 * 1024 * 1024
/** What an action of a page may send, as the app is told as well: it answers words, not a fault. */
const MOST_ACTION = 8 * 1024 * 1024
const MOST_HEADERS = 16 * 1024
/** How long a client may take to say what it wants, and how often that is looked at, ms. */
const HEADERS_MS = 15_000
const REQUEST_MS = 120_000
const IDLE_MS = 10_000
const LOOK_MS = 5_000
/** How often it is looked whether the certificate still does: its days, the machine's names and addresses. */
const RENEW_MS = 3_600_000
/** What a tablet may ask for before it trusts the shop: how it comes to, and what that page is made of. */
const BEFORE_TRUST = /^\/(trust(\/authority\.crt)?|icon\.svg|_next\/static\/.+)(\?|$)/
/** What is under way is finished before the server ends, for so long, ms. */
const FINISHING_MS = 10_000

const METHODS = ['GET', 'HEAD', 'POST']

const { host, port } = address()
const isSecure = process.env.HTTPS === 'on'
const proxies = proxiesOf(process.env.FERN_YARD_PROXY)

/** Why a request is not taken, as [status, words]; nothing where it is. */
function refusal({ method, url = '', headers }) {
  if (!METHODS.includes(method ?? '')) return [405, 'Only GET, HEAD and POST are answered here.']
  if (url.length > MOST_URL) return [414, 'This address is longer than any of the shop’s.']
  if (!url.startsWith('/')) return [400, 'This is no address of the shop’s.']
  try {
    decodeURIComponent(url.split('?')[0])
    new URL(url, 'http://shop')
  } catch {
    return [400, 'This address cannot be read.']
  }
  if (method !== 'POST') return undefined
  const length = Number(headers['content-length'])
  if (headers['transfer-encoding'] || !Number.isInteger(length)) return [411, 'Say how long it is.']
  if (length > (headers['next-action'] ? MOST_ACTION : MOST_BODY))
    return [413, 'This is more than anything the shop takes.']
  return undefined
}

function refuse(response, [status, words]) {
  response.writeHead(status, {
    'content-type': 'text/plain; charset=utf-8',
    'x-content-type-options': 'nosniff',
    connection: 'close',
    ...(status === 405 ? { allow: METHODS.join(', ') } : {}),
  })
  response.end(words)
}

const folder = path.resolve(process.env.FERN_YARD_DATA ?? path.join(ROOT, 'data'))
const steps = readdirSync(path.join(ROOT, 'src/server/db/migrations'))
  .filter((name) => /^\d{4}-.*\.ts$/.test(name))
  .map((name) => name.replace(/\.ts$/, ''))
  .sort()
const publicUrl = process.env.FERN_YARD_PUBLIC_URL
const why =
  wrongPublicUrl(publicUrl) ??
  wrongSecret(process.env.FERN_YARD_BACKUP_PASSPHRASE_FILE) ??
  mayNotOpen({
    folder,
    host,
    proxies: process.env.FERN_YARD_PROXY,
    steps,
    isNew: process.env.FERN_YARD_NEW === '1',
  })
if (why) {
  say(why)
  process.exit(1)
}
process.once('exit', () => leaveFolder(folder))

const app = next({ dev: false, dir: ROOT, hostname: host, port: Number(port) })
await app.prepare()
const handle = app.getRequestHandler()

const limits = {
  maxHeaderSize: MOST_HEADERS,
  headersTimeout: HEADERS_MS,
  requestTimeout: REQUEST_MS,
  keepAliveTimeout: IDLE_MS,
  connectionsCheckingInterval: LOOK_MS,
}
function answer(request, response) {
  const refused = refusal(request)
  if (refused) return refuse(response, refused)
  tellWhence(request, proxies)
  tellNotYours(response)
  void handle(request, response)
}
/** A page that is somebody else's is answered with a page that says so; the framework would call that well answered. */
function tellNotYours(response) {
  const { writeHead } = response
  response.writeHead = function (status, ...rest) {
    return writeHead.call(this, this.hasHeader('x-fern-not-yours') ? 403 : status, ...rest)
  }
}
/** Leads to https whoever comes without it. */
function lead(request, response) {
  const { method, url = '/', headers } = request
  if (method === 'GET' && BEFORE_TRUST.test(url)) return answer(request, response)
  if (!['GET', 'HEAD'].includes(method) || !/^[\w.:[\]-]+$/.test(headers.host ?? '') || !url.startsWith('/'))
    return refuse(response, [403, 'Here one speaks https.'])
  response.writeHead(308, { location: `https://${headers.host}${url}`, connection: 'close' })
  response.end()
}

async function certified() {
  const { isNewAuthority, ...made } = await certificateFor(folder, reachedAs(process.env))
  if (isNewAuthority)
    say('made a certificate authority of the shop’s own: tablets have to trust it once, see Shop, Tablets.')
  return made
}
const server = isSecure ? secureDoor(await certified(), limits, { answer, lead }) : plainDoor(limits, answer)
if (isSecure) setInterval(() => renewed(server, certified, say), RENEW_MS).unref()
server.on('upgrade', (_request, socket) => socket.destroy())

let ending = false
function end() {
  if (ending) return
  ending = true
  say('closing …')
  server.close(() => process.exit(0))
  server.closeIdleConnections()
  setTimeout(() => process.exit(0), FINISHING_MS).unref()
}
for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, end)

server.once('error', (error) => {
  say(
    error.code === 'EADDRINUSE'
      ? `port ${port} is taken. Choose another with PORT=….`
      : String(error.message),
  )
  process.exit(1)
})
server.listen(Number(port), host, () => {
  say(`ready on ${isSecure ? 'https' : 'http'}://${host}:${port}`)
  if (publicUrl && !isLoopback(new URL(publicUrl).hostname))
    say(
      `at ${publicUrl} only the pages of owners are answered; the shop itself has to be reached at another address.`,
    )
})
