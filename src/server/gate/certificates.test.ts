import { X509Certificate } from 'node:crypto'
import { once } from 'node:events'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { type IncomingMessage, request as plainRequest, type ServerResponse } from 'node:http'
import { Agent, request as secureRequest } from 'node:https'
import { type AddressInfo, connect } from 'node:net'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { connect as connectEncrypted } from 'node:tls'
import { afterEach, beforeEach, describe, expect, test } from 'vitest'
import { authorityFile, certificateFor, reachedAs } from '../../../scripts/authority.mjs'
import { proxiesOf, renewed, secureDoor, tellWhence } from '../../../scripts/doors.mjs'

const NOW = new Date('2027-01-13T10:20:00Z')
const days = (count: number) => new Date(NOW.getTime() + count * 86_400_000)
const REACHED = { names: ['localhost', 'loft', 'loft.local'], addresses: ['127.0.0.1', '192.168.1.20'] }

let folder: string
beforeEach(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'fern-yard-tls-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

const leafOf = ({ cert }: { cert: string }) => new X509Certificate(cert)

describe('the shop’s certificate', () => {
  test('is signed by its own authority, for its names and addresses', async () => {
    const made = await certificateFor(folder, REACHED, NOW)
    const leaf = leafOf(made)
    const authority = new X509Certificate(readFileSync(authorityFile(folder)))
    expect(made.isNewAuthority).toBe(true)
    expect(authority.ca).toBe(true)
    expect(leaf.ca).toBe(false)
    expect(leaf.verify(authority.publicKey)).toBe(true)
    expect(leaf.checkIssued(authority)).toBe(true)
    for (const name of REACHED.names) expect(leaf.checkHost(name)).toBe(name)
    for (const address of REACHED.addresses) expect(leaf.checkIP(address)).toBe(address)
    expect(leaf.checkHost('evil.example')).toBeUndefined()
  })
  test('its keys are for nobody else on the machine', async () => {
    await certificateFor(folder, REACHED, NOW)
    for (const name of ['authority.key', 'shop.key'])
      expect(statSync(path.join(folder, 'tls', name)).mode & 0o077).toBe(0)
  })
  test('stays while it does, and is renewed a month before it ends, by the same authority', async () => {
    const first = await certificateFor(folder, REACHED, NOW)
    const later = await certificateFor(folder, REACHED, days(360))
    expect(later).toEqual({ ...first, isNewAuthority: false })
    const renewed = await certificateFor(folder, REACHED, days(370))
    expect(renewed.isNewAuthority).toBe(false)
    expect(new Date(leafOf(renewed).validTo).getTime()).toBeGreaterThan(days(370 + 390).getTime())
    expect(leafOf(renewed).verify(new X509Certificate(readFileSync(authorityFile(folder))).publicKey)).toBe(
      true,
    )
  })
  test('lasts no longer than browsers take', async () => {
    const { validFrom, validTo } = leafOf(await certificateFor(folder, REACHED, NOW))
    expect(Date.parse(validTo) - Date.parse(validFrom)).toBeLessThanOrEqual(398 * 86_400_000)
  })
  test('follows an address of the shop’s own network that changed, without a new authority', async () => {
    await certificateFor(folder, REACHED, NOW)
    const moved = await certificateFor(folder, { ...REACHED, addresses: ['127.0.0.1', '10.1.2.3'] }, NOW)
    expect(moved.isNewAuthority).toBe(false)
    expect(leafOf(moved).checkIP('10.1.2.3')).toBe('10.1.2.3')
  })
  test('a name the authority may not speak for needs a new one', async () => {
    await certificateFor(folder, REACHED, NOW)
    const renamed = await certificateFor(folder, { ...REACHED, names: [...REACHED.names, 'yard.lan'] }, NOW)
    expect(renamed.isNewAuthority).toBe(true)
    expect(leafOf(renamed).checkHost('yard.lan')).toBe('yard.lan')
  })
})

test('the machine is reached as it is called, by addresses of its own network and by those it has', () => {
  const at = (address: string) => ({ address, internal: false, family: 'IPv4' })
  const { names, addresses } = reachedAs({ FERN_YARD_NAMES: 'yard.lan, Shop', HOST: '0.0.0.0' }, {
    eth0: [at('192.168.1.20'), at('fe80::1%eth0'), at('2001:db8::1')],
  } as never)
  expect(names).toEqual(expect.arrayContaining(['localhost', 'yard.lan', 'shop']))
  expect(names).not.toContain('0.0.0.0')
  expect(addresses).toEqual(['127.0.0.1', '192.168.1.20', '::1', 'fe80::1'])
})

describe('one port', () => {
  const limits = {
    headersTimeout: 500,
    requestTimeout: 1000,
    keepAliveTimeout: 60_000,
    connectionsCheckingInterval: 50,
  }
  const answered = async (sent: ReturnType<typeof plainRequest>) => {
    sent.end()
    const [response] = (await once(sent, 'response')) as [IncomingMessage]
    response.resume()
    return response
  }
  type Answer = (request: IncomingMessage, response: ServerResponse) => void
  const within: Answer = (_, response) => response.end('within')
  const led: Answer = (_, response) => response.writeHead(308, { location: 'https://elsewhere/' }).end()
  async function opened(answer?: Answer) {
    const door = secureDoor(await certificateFor(folder, REACHED), limits, {
      answer: answer ?? within,
      lead: answer ?? led,
    })
    const server = door.listen(0, '127.0.0.1')
    await once(server, 'listening')
    const { port } = server.address() as AddressInfo
    return { door, port }
  }

  test('answers https to whoever trusts the authority, and leads http there', async () => {
    const { door, port } = await opened()
    const ca = readFileSync(authorityFile(folder))
    const within = await answered(secureRequest({ host: '127.0.0.1', port, ca, agent: false }))
    expect(within.statusCode).toBe(200)
    const led = await answered(plainRequest({ host: '127.0.0.1', port, agent: false }))
    expect([led.statusCode, led.headers.location]).toEqual([308, 'https://elsewhere/'])
    const strange = secureRequest({ host: '127.0.0.1', port, agent: false })
    strange.end()
    const [error] = await once(strange, 'error')
    expect(error).toMatchObject({ code: 'SELF_SIGNED_CERT_IN_CHAIN' })
    door.close()
  })
  test('goes on with the certificate it has where a new one cannot be made, and says so', async () => {
    const { door, port } = await opened()
    const said: string[] = []
    await renewed(
      door,
      () => Promise.reject(new Error('no room')),
      (text) => said.push(text),
    )
    expect(said.join()).toContain('no room')
    const ca = readFileSync(authorityFile(folder))
    expect((await answered(secureRequest({ host: '127.0.0.1', port, ca, agent: false }))).statusCode).toBe(
      200,
    )
    door.close()
  })
  test('lets nobody stand in the door without a word', async () => {
    const { door, port } = await opened()
    const silent = connect(port, '127.0.0.1')
    silent.resume()
    await once(silent, 'close')
    door.close()
  })
  const HALF = {
    'of its headers': 'GET / HTTP/1.1\r\nHost: shop\r\n',
    'of its body': 'POST / HTTP/1.1\r\nHost: shop\r\nContent-Length: 9\r\n\r\nhalf',
  }
  test.each([true, false])('waits for no half of a request, encrypted: %s', async (encrypted) => {
    const { door, port } = await opened(() => {})
    for (const [what, said] of Object.entries(HALF)) {
      const slow = encrypted
        ? connectEncrypted({ port, host: '127.0.0.1', ca: readFileSync(authorityFile(folder)) })
        : connect(port, '127.0.0.1')
      let heard = ''
      slow.on('data', (piece) => {
        heard += piece
      })
      slow.write(said)
      await once(slow, 'close')
      expect(heard, what).toContain('408 Request Timeout')
    }
    door.close()
  })
  test('is closed at once for whoever has nothing under way', async () => {
    const { door, port } = await opened()
    const agent = new Agent({ keepAlive: true, ca: readFileSync(authorityFile(folder)) })
    await answered(secureRequest({ host: '127.0.0.1', port, agent }))
    const closed = new Promise((done) => door.close(done))
    door.closeIdleConnections()
    await closed
    agent.destroy()
  })
})

describe('where a request comes from', () => {
  const told = (peer: string, headers: Record<string, string>, encrypted = false) => {
    const request = { headers: { ...headers }, socket: { remoteAddress: peer, encrypted } }
    tellWhence(request, proxiesOf('10.0.0.2, 10.0.0.3'))
    return request.headers
  }
  const CLAIMS = {
    'x-forwarded-for': '203.0.113.9, 198.51.100.7',
    'x-forwarded-proto': 'https',
    'x-forwarded-host': 'evil.example',
    forwarded: 'host=evil.example',
    'x-fern-peer': '127.0.0.1',
  }
  test('is what the socket says, whatever the request claims', () => {
    expect(told('::ffff:192.168.1.9', { ...CLAIMS, 'x-fern-passed-on': '' })).toEqual({
      'x-forwarded-proto': 'http',
      'x-fern-peer': '192.168.1.9',
      'x-fern-passed-on': '1',
    })
    expect(told('192.168.1.9', { 'x-fern-passed-on': '1' })).toEqual({
      'x-forwarded-proto': 'http',
      'x-fern-peer': '192.168.1.9',
    })
    expect(told('192.168.1.9', {}, true)['x-forwarded-proto']).toBe('https')
  })
  test('is what a proxy of the shop adds last, and no host of its own', () => {
    expect(told('10.0.0.2', CLAIMS)).toEqual({
      'x-forwarded-proto': 'https',
      'x-fern-peer': '198.51.100.7',
      'x-fern-passed-on': '1',
    })
    expect(told('10.0.0.3', {})).toEqual({
      'x-forwarded-proto': 'http',
      'x-fern-peer': '10.0.0.3',
      'x-fern-passed-on': '1',
    })
  })
})
