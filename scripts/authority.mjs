// The shop's own certificate authority and the certificate it serves with: made on this machine, renewed by themselves, sent nowhere.
import 'reflect-metadata'
import { randomBytes, webcrypto, X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { BlockList, isIP } from 'node:net'
import { hostname, networkInterfaces } from 'node:os'
import path from 'node:path'
import { AsnConvert } from '@peculiar/asn1-schema'
import {
  GeneralName,
  GeneralSubtree,
  GeneralSubtrees,
  id_ce_nameConstraints,
  NameConstraints,
} from '@peculiar/asn1-x509'
import * as x509 from '@peculiar/x509'

x509.cryptoProvider.set(webcrypto)

const DAY_MS = 86_400_000
/** Tablets trust the authority for so long. Days. */
const AUTHORITY_DAYS = 3650
/** No longer than browsers take from any authority: CA/Browser Forum, Baseline Requirements, 6.3.2. Days. */
const CERTIFICATE_DAYS = 397
const RENEW_DAYS = 30
/** A tablet's clock may be a little behind. */
const SLACK_DAYS = 1

const KEY = { name: 'ECDSA', namedCurve: 'P-256' }
const SIGNED = { ...KEY, hash: 'SHA-256' }

/** Networks of one's own: RFC 1122 (this machine), 1918, 3927, 4193 and 4291. */
const OWN_NETWORKS = [
  '127.0.0.0/8',
  '10.0.0.0/8',
  '172.16.0.0/12',
  '192.168.0.0/16',
  '169.254.0.0/16',
  '::1/128',
  'fc00::/7',
  'fe80::/10',
]
const own = new BlockList()
for (const network of OWN_NETWORKS) {
  const [base, bits] = network.split('/')
  own.addSubnet(base, Number(bits), isIP(base) === 6 ? 'ipv6' : 'ipv4')
}
const isOwn = (address) => own.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4')

/**
 * What the machine is called on its network and the addresses it is reached under, as `{ names, addresses }`. Of IPv6 only those of a
 * network of its own: the others change by the day.
 */
export function reachedAs(env = process.env, interfaces = networkInterfaces()) {
  const machine = hostname().toLowerCase()
  const given = `${env.FERN_YARD_NAMES ?? ''},${env.HOST ?? ''}`.toLowerCase().split(/[\s,]+/)
  const found = Object.values(interfaces)
    .flat()
    .map(({ address }) => address.split('%')[0])
  return {
    names: [
      ...new Set(['localhost', machine, `${machine}.local`, ...given.filter((name) => name && !isIP(name))]),
    ],
    addresses: [...new Set(['127.0.0.1', '::1', ...found])]
      .filter((address) => isIP(address) === 4 || isOwn(address))
      .sort(),
  }
}

const filesIn = (folder) => {
  const at = (name) => path.join(folder, 'tls', name)
  return {
    authority: at('authority.crt'),
    authorityKey: at('authority.key'),
    certificate: at('shop.crt'),
    key: at('shop.key'),
  }
}

/** Where the certificate lies that a tablet has to trust. */
export const authorityFile = (folder) => filesIn(folder).authority

/** Written beside and put in place, so that no half of it is ever read. */
function keep(file, text) {
  mkdirSync(path.dirname(file), { recursive: true, mode: 0o700 })
  writeFileSync(`${file}.new`, text, { mode: 0o600 })
  renameSync(`${file}.new`, file)
}

const read = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : undefined)
const later = (from, count) => new Date(from.getTime() + count * DAY_MS)
const isValid = (certificate, at) =>
  new Date(certificate.validFrom) <= at && at < later(new Date(certificate.validTo), -RENEW_DAYS)

const pem = async (key) =>
  x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
const keyOf = (text) =>
  webcrypto.subtle.importKey('pkcs8', x509.PemConverter.decodeFirst(text), KEY, true, ['sign'])
const freshKeys = () => webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify'])

/** What both certificates have in common. A serial number is positive, hence the leading zero. */
const common = (at, forDays, keys) => ({
  serialNumber: `00${randomBytes(15).toString('hex')}`,
  notBefore: later(at, -SLACK_DAYS),
  notAfter: later(at, forDays - SLACK_DAYS),
  signingAlgorithm: SIGNED,
  publicKey: keys.publicKey,
})

/** Names and addresses that no network of one's own covers. */
const single = ({ names, addresses }) => [
  ...names.map((dNSName) => ({ dNSName })),
  ...addresses.filter((address) => !isOwn(address)).map((address) => ({ iPAddress: `${address}/32` })),
]

/**
 * The authority may speak for this machine and for networks of one's own: whoever steals it can play nobody else. RFC 5280, 4.2.1.10.
 */
function limitedTo(reached) {
  const permitted = [
    ...single(reached).map((name) => new GeneralName(name)),
    ...OWN_NETWORKS.map((iPAddress) => new GeneralName({ iPAddress })),
  ].map((base) => new GeneralSubtree({ base }))
  const limits = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(permitted) })
  return new x509.Extension(id_ce_nameConstraints, true, AsnConvert.serialize(limits))
}

async function makeAuthority(files, reached, at) {
  const keys = await freshKeys()
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    ...common(at, AUTHORITY_DAYS, keys),
    name: `CN=Fern Yard on ${reached.names[1]}`,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      limitedTo(reached),
    ],
  })
  keep(files.authorityKey, await pem(keys.privateKey))
  keep(files.authority, `${certificate.toString('pem')}\n`)
}

async function makeCertificate(files, { names, addresses }, at) {
  const authority = new x509.X509Certificate(read(files.authority))
  const keys = await freshKeys()
  const certificate = await x509.X509CertificateGenerator.create({
    ...common(at, CERTIFICATE_DAYS, keys),
    subject: `CN=${names[1]}`,
    issuer: authority.subject,
    signingKey: await keyOf(read(files.authorityKey)),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension([
        ...names.map((value) => ({ type: 'dns', value })),
        ...addresses.map((value) => ({ type: 'ip', value })),
      ]),
      await x509.AuthorityKeyIdentifierExtension.create(authority.publicKey),
    ],
  })
  keep(files.key, await pem(keys.privateKey))
  keep(files.certificate, `${certificate.toString('pem')}\n`)
}

/** Whether the authority that lies there is whole and may speak for these names and addresses. */
function isAuthorityFor(files, reached, at) {
  const text = read(files.authority)
  if (!text || !read(files.authorityKey)) return false
  if (!isValid(new X509Certificate(text), at)) return false
  const limits = new x509.X509Certificate(text).getExtension(id_ce_nameConstraints)
  const known = AsnConvert.parse(limits.value, NameConstraints).permittedSubtrees.flatMap(({ base }) => [
    base.dNSName,
    base.iPAddress,
  ])
  return single(reached).every(({ dNSName, iPAddress }) => known.includes(dNSName ?? iPAddress))
}

function isCertificateFor(files, { names, addresses }, at) {
  const text = read(files.certificate)
  if (!text || !read(files.key)) return false
  const certificate = new X509Certificate(text)
  return (
    isValid(certificate, at) &&
    certificate.verify(new X509Certificate(read(files.authority)).publicKey) &&
    names.every((name) => certificate.checkHost(name)) &&
    addresses.every((address) => certificate.checkIP(address))
  )
}

/**
 * The key and certificates to serve with, made or renewed where those of the folder do not do. `{ key, cert, isNewAuthority }`; a new
 * authority has to be trusted by every tablet again, so it is made only where there is none, where it is about to end, or where the shop
 * got a name or an address that it may not speak for.
 */
export async function certificateFor(folder, reached, at = new Date()) {
  const files = filesIn(folder)
  const isNewAuthority = !isAuthorityFor(files, reached, at)
  if (isNewAuthority) await makeAuthority(files, reached, at)
  if (!isCertificateFor(files, reached, at)) await makeCertificate(files, reached, at)
  return { key: read(files.key), cert: `${read(files.certificate)}${read(files.authority)}`, isNewAuthority }
}
