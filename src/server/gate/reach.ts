import { X509Certificate } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { networkInterfaces } from 'node:os'
import path from 'node:path'
import { dataFolder } from '../db/data-folder'
import { listed } from './address'

/** Under which addresses other machines of the network reach the shop, and what they have to trust for it. */

export type Reach = {
  /** Such as `https://192.168.1.20:3210`, those a person may read before the rest; none where only this machine is let in. */
  origins: string[]
  isEncrypted: boolean
}

const EVERYWHERE = ['0.0.0.0', '::']
const LOOPBACK = /^(localhost|127\.|\[?::1)/i

const ownAddresses = () =>
  Object.values(networkInterfaces())
    .flatMap((each) => each ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)

/** From the environment the server was started with: `HOST`, `PORT`, `HTTPS` and `FERN_YARD_NAMES`. */
export function reachOf(
  env: Readonly<Record<string, string | undefined>>,
  addresses: () => readonly string[] = ownAddresses,
): Reach {
  const host = env.HOST ?? '127.0.0.1'
  const isEncrypted = env.HTTPS === 'on'
  const names = listed(env.FERN_YARD_NAMES)
  const own = EVERYWHERE.includes(host) ? addresses() : [host]
  const hosts = LOOPBACK.test(host) ? [] : [...names, ...own]
  const origins = hosts.map((name) => {
    const written = isIP(name) === 6 ? `[${name}]` : name
    return new URL(`${isEncrypted ? 'https' : 'http'}://${written}:${env.PORT ?? '3210'}`).origin
  })
  return { origins, isEncrypted }
}

export type Authority = { pem: string; name: string; fingerprint: string }

/** The shop's own certificate authority, as a tablet is to trust it; nothing where the shop has none. */
export function ownAuthority(): Authority | undefined {
  const file = path.join(dataFolder(), 'tls', 'authority.crt')
  if (!existsSync(file)) return undefined
  const pem = readFileSync(file, 'utf8')
  const { subject, fingerprint256 } = new X509Certificate(pem)
  return { pem, name: subject.replace(/^CN=/, ''), fingerprint: fingerprint256 }
}
