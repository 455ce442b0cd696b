// The doors of the server: what a request says of where it comes from, and https and http at one port.
import { createServer as createPlain } from 'node:http'
import { createServer as createSecure } from 'node:https'
import { createServer as createDoor } from 'node:net'

/** The first byte of a TLS handshake record: RFC 8446, 5.1. */
const HANDSHAKE = 0x16

/** Whatever else a proxy may say of a request is not believed, whoever sends it. */
const HEARSAY = [
  'forwarded',
  'via',
  'x-forwarded-for',
  'x-forwarded-host',
  'x-forwarded-port',
  'x-forwarded-proto',
  'x-real-ip',
]

const plainAddress = (address = '') => address.replace(/^::ffff:(?=\d+\.)/, '')

/** The proxies that are believed, from `FERN_YARD_PROXY`: their addresses. */
export const proxiesOf = (text = '') => new Set(text.split(/[\s,]+/).filter((address) => address !== ''))

/**
 * Sets what the app may believe of where a request comes from: its address, whether it came over https, and whether somebody passed it on. Of a
 * proxy that the shop has named, the last address it adds and how it was reached itself; of anybody else, what the socket says.
 */
export function tellWhence(request, proxies) {
  const { headers, socket } = request
  const peer = plainAddress(socket.remoteAddress)
  const isProxy = proxies.has(peer)
  const client = isProxy ? headers['x-forwarded-for']?.split(',').at(-1)?.trim() : undefined
  const isSecure = socket.encrypted === true || (isProxy && headers['x-forwarded-proto'] === 'https')
  const isPassedOn = isProxy || HEARSAY.some((name) => name in headers)
  for (const name of HEARSAY) delete headers[name]
  delete headers['x-fern-passed-on']
  if (isPassedOn) headers['x-fern-passed-on'] = '1'
  headers['x-forwarded-proto'] = isSecure ? 'https' : 'http'
  headers['x-fern-peer'] = client || peer
}

/** A server of http alone. */
export const plainDoor = (limits, answer) => createPlain(limits, answer)

/**
 * A server of https that leads whoever comes to the same port without it to the right place: `answer` is given what is encrypted,
 * `lead` what is not. `renew` takes a new key and certificate while it runs.
 */
export function secureDoor({ key, cert }, limits, { answer, lead }) {
  const handshakeTimeout = limits.headersTimeout
  const secure = createSecure({ ...limits, handshakeTimeout, key, cert, minVersion: 'TLSv1.2' }, answer)
  const plain = createPlain(limits, lead)
  const door = createDoor({ pauseOnConnect: true }, (socket) => {
    const giveUp = () => socket.destroy()
    socket.setTimeout(limits.headersTimeout, giveUp)
    socket.once('error', giveUp)
    socket.once('data', (first) => {
      socket.pause()
      socket.setTimeout(0)
      socket.off('timeout', giveUp)
      socket.unshift(first)
      const server = first[0] === HANDSHAKE ? secure : plain
      server.emit('connection', socket)
      process.nextTick(() => socket.resume())
    })
    socket.resume()
  })
  secure.on('tlsClientError', (_error, socket) => socket.destroy())
  // They are handed connections and never listen themselves; a server counts its connections, and ends those that are too slow, only once it does.
  door.once('listening', () => {
    for (const server of [secure, plain]) server.emit('listening')
  })
  return {
    on: (event, listener) => (event === 'upgrade' ? secure : door).on(event, listener),
    once: (event, listener) => door.once(event, listener),
    listen: (...given) => door.listen(...given),
    renew: (made) => secure.setSecureContext({ ...made, minVersion: 'TLSv1.2' }),
    close: (done) => door.close(done),
    closeIdleConnections: () => {
      secure.closeIdleConnections()
      plain.closeIdleConnections()
    },
  }
}

/** Takes a new certificate where there is one; where none can be made the old one serves on, and it is tried again later. */
export async function renewed(door, certified, say) {
  try {
    door.renew(await certified())
  } catch (error) {
    say(`the certificate could not be renewed: ${error.message}`)
  }
}
