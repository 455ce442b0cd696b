import { readdirSync } from 'node:fs'
import path from 'node:path'
import { describe, expect, test } from 'vitest'
import { dutyOf, mayDo, PAGES, type Role, STAFF_ROLES } from '@/core/staff'
import { addressesOf, doorOf } from './address'
import { atTheDoor, type Knock, onceKnown } from './gate'
import { contentPolicy } from './headers'

const ADDRESSES = addressesOf({
  FERN_YARD_NAMES: 'shop.lan, yard',
  FERN_YARD_PUBLIC_URL: 'https://cars.shop.example',
})
const knock = (over: Partial<Knock> = {}): Knock => ({
  method: 'GET',
  path: '/',
  host: '127.0.0.1:3210',
  origin: null,
  site: null,
  isAction: false,
  isPassedOn: false,
  ...over,
})
const write = (over: Partial<Knock> = {}) =>
  knock({ method: 'POST', path: '/api/queue', origin: 'http://127.0.0.1:3210', ...over })
const why = (asked: Knock) => {
  const verdict = atTheDoor(asked, ADDRESSES)
  return verdict?.kind === 'refused' ? verdict.why : verdict?.kind
}

describe('the names the shop answers to', () => {
  test.each([
    ['localhost:3210', 'shop'],
    ['127.0.0.1', 'shop'],
    ['[::1]:3210', 'shop'],
    ['192.168.1.20:3210', 'shop'],
    ['SHOP.lan', 'shop'],
    ['cars.shop.example', 'owners'],
    ['evil.example', 'none'],
    ['localhost.evil.example', 'none'],
    ['127.0.0.1.evil.example', 'none'],
    ['shop.lan@evil.example', 'none'],
    ['', 'none'],
  ])('%s leads to %s', (host, door) => {
    expect(doorOf(host, ADDRESSES)).toBe(door)
  })
  test('a name that somebody pointed here is answered nothing', () => {
    expect(why(knock({ host: 'evil.example' }))).toBe('no-such-host')
    expect(why(write({ host: 'evil.example', origin: 'http://evil.example' }))).toBe('no-such-host')
    expect(why(knock({ host: null }))).toBe('no-such-host')
  })
})

describe('what would write', () => {
  test('comes from a page of the shop, or is not taken', () => {
    expect(why(write())).toBeUndefined()
    expect(why(write({ origin: 'http://evil.example' }))).toBe('not-own-page')
    expect(why(write({ origin: 'http://127.0.0.1:9999' }))).toBe('not-own-page')
    expect(why(write({ origin: 'null' }))).toBe('not-own-page')
    expect(why(write({ origin: null }))).toBe('not-own-page')
    expect(why(write({ site: 'cross-site' }))).toBe('not-own-page')
    expect(why(write({ site: 'same-site' }))).toBe('not-own-page')
  })
  test('is a POST', () => {
    for (const method of ['PUT', 'DELETE', 'PATCH', 'OPTIONS', 'TRACE'])
      expect(why(write({ method }))).toBe('no-such-method')
  })
  test('is not sent to a file', () => {
    for (const path of [
      '/sw.js',
      '/icon.svg',
      '/icons/fern-192.png',
      '/manifest.webmanifest',
      '/_next/static/x',
    ])
      expect(why(write({ path }))).toBe('no-such-method')
  })
  test('runs no action where only owners of cars are, nor among the scripts', () => {
    const action = { isAction: true }
    for (const path of ['/o/token', '/g/token', '/_next/static/x', '/_next/static/../../o/x'])
      expect(why(write({ path, ...action }))).not.toBeUndefined()
    const outside = { host: 'cars.shop.example', origin: 'https://cars.shop.example' }
    expect(why(write({ path: '/', ...outside, ...action }))).toBe('nothing-done-here')
  })
})

describe('the door of owners', () => {
  const outside = { host: 'cars.shop.example' }
  test('leads to their pages and nothing else', () => {
    expect(why(knock({ ...outside, path: '/o/token' }))).toBe('in')
    expect(why(knock({ ...outside, path: '/o/token/photos/abc' }))).toBe('in')
    expect(why(knock({ ...outside, path: '/_next/static/chunks/a.js' }))).toBe('in')
    for (const path of [
      '/',
      '/vehicles',
      '/sign-in',
      '/O/x',
      '/o/../vehicles',
      '/o/x/../../vehicles',
      '/api/queue',
    ])
      expect(why(knock({ ...outside, path }))).toBe('nothing-here')
  })
})

/** The address of each page and route in the folders of the app. */
function addressesOnDisk(): string[] {
  const app = path.resolve(import.meta.dirname, '../../app')
  return readdirSync(app, { recursive: true, encoding: 'utf8' })
    .filter((name) => /(^|\/)(page\.tsx|route\.ts|icon\.svg|manifest\.ts)$/.test(name))
    .map((name) => {
      const parts = name
        .replace(/manifest\.ts$/, 'manifest.webmanifest')
        .split('/')
        .filter((part) => !/^\(/.test(part) && !/^(page\.tsx|route\.ts)$/.test(part))
      return `/${parts.map((part) => part.replace(/^\[(.*)\]$/, ':$1')).join('/')}`
    })
    .filter((address) => !address.includes(':...'))
}

describe('every page of the app', () => {
  test('has somebody it is for, and nothing else has', () => {
    const elsewhere = ['/sw.js', '/_next/static/*', '/icons/*']
    expect(
      Object.keys(PAGES)
        .filter((page) => !elsewhere.includes(page))
        .sort(),
    ).toEqual(addressesOnDisk().sort())
  })
  test('is shown to who may see it, and to nobody else', () => {
    const roles: Role[] = [...STAFF_ROLES, 'customer', 'stranger']
    for (const page of Object.keys(PAGES)) {
      const asked = page.replaceAll(/:\w+/g, 'x1').replace('*', 'x1')
      const open = dutyOf(asked) === 'anybody'
      expect(atTheDoor(knock({ path: asked }), ADDRESSES)?.kind).toBe(open ? 'in' : undefined)
      for (const role of roles) {
        const { kind } = onceKnown(knock({ path: asked }), { role }, false)
        expect(kind === 'in').toBe(mayDo(role, dutyOf(asked)))
        if (role === 'stranger' && !open) expect(kind).toBe('sign-in')
      }
    }
  })
})

test('until somebody can sign in, the machine itself is answered and nobody else, through a proxy on it either', () => {
  const asked = (over: Partial<Knock>) =>
    onceKnown(knock({ path: '/work', ...over }), { role: 'owner' }, true)
  for (const host of ['127.0.0.1:3210', 'localhost', '[::1]:3210'])
    expect(asked({ host })).toEqual({ kind: 'in' })
  const no = { kind: 'refused', status: 403, why: 'nobody-signs-in' }
  for (const host of ['192.168.1.9', 'yard.lan:3210', null]) expect(asked({ host })).toEqual(no)
  expect(asked({ isPassedOn: true })).toEqual(no)
})

test('only scripts that bear the nonce run, no frame holds the shop, and no form leads away', () => {
  const policy = contentPolicy('abc', { isSecure: true })
  expect(policy).toContain("script-src 'self' 'nonce-abc' 'strict-dynamic';")
  expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  for (const rule of ["frame-ancestors 'none'", "object-src 'none'", "base-uri 'none'", "form-action 'self'"])
    expect(policy).toContain(rule)
})
