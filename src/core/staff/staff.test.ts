import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { instantOrThrow, plusMinutes } from '../time'
import { isClosed } from './closed'
import { asSeenBy, eyesOf } from './eyes'
import { closedTo, dutyOf, isSignOfLife, PAGES, patternOf } from './pages'
import { DUTIES, mayDo, STAFF_ROLES } from './roles'
import { passphraseFault, pinFault } from './secrets'
import { sessionState } from './session'
import { triesAgainAt, waitAfter } from './tries'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')

describe('roles', () => {
  test('the owner may do whatever anybody who works here may, and each duty is somebody’s', () => {
    for (const [duty, roles] of Object.entries(DUTIES)) {
      expect(roles.length).toBeGreaterThan(0)
      if (duty !== 'customer') expect(roles).toContain('owner')
    }
  })
  test('a trainee may do nothing a technician may not, and the counter nothing a manager may not', () => {
    for (const roles of Object.values(DUTIES) as readonly (readonly string[])[]) {
      if (roles.includes('trainee')) expect(roles).toContain('technician')
      if (roles.includes('counter')) expect(roles).toContain('manager')
    }
  })
  test('a word that is no role may do nothing, whatever it is', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.constantFrom('__proto__', 'toString', 'constructor')), (word) => {
        fc.pre(![...STAFF_ROLES, 'customer', 'stranger'].includes(word))
        for (const duty of Object.keys(DUTIES) as (keyof typeof DUTIES)[])
          expect(mayDo(word, duty)).toBe(false)
      }),
    )
  })
})

describe('pages', () => {
  test('an address that stands for several is found by any of them, one that is written out first', () => {
    expect(patternOf('/jobs/j-12/work')).toBe('/jobs/:id/work')
    expect(patternOf('/shop/data/tables.zip')).toBe('/shop/data/tables.zip')
    expect(patternOf('/_next/static/chunks/a/b.js')).toBe('/_next/static/*')
    expect(patternOf('/jobs//work')).toBeUndefined()
    expect(patternOf('/jobs/j-12/work/')).toBeUndefined()
  })
  test('what is in no list is for nobody from outside, however it is written', () => {
    fc.assert(
      fc.property(fc.webPath(), (path) => {
        fc.pre(patternOf(path) === undefined)
        expect(mayDo('stranger', dutyOf(path))).toBe(false)
      }),
    )
    for (const path of ['/O/token', '/o', '/_next/image', '/_next/data/x.json', '/sign-in/', '/SIGN-IN'])
      expect(mayDo('stranger', dutyOf(path))).toBe(false)
  })
  test('prices, wages and how a customer is reached are no pages of the floor', () => {
    const forFloor = Object.entries(PAGES).filter(([, duty]) => mayDo('technician', duty))
    for (const [page] of forFloor)
      expect(page).not.toMatch(/quote|handover|prices|packages|owner$|messages|crew|learning|plan$|data/)
  })
  test('a page that only asks for news is no sign that somebody is there', () => {
    expect(isSignOfLife('/api/revision')).toBe(false)
    expect(isSignOfLife('/api/jobs/j-1/way')).toBe(false)
    expect(isSignOfLife('/jobs/j-1/work')).toBe(true)
  })
})

describe('passphrases and PINs', () => {
  test.each([
    ['four or five words in a row', undefined],
    ['too short', 'short'],
    ['x'.repeat(129), 'long'],
    ['Rowan Rowan Rowan 1', 'name'],
    ['abababababababab', 'repeats'],
    // Letters, not bytes: fifteen of any script are enough.
    ['ковёр у окна белый', undefined],
  ])('%s', (typed, fault) => {
    expect(passphraseFault(typed, 'Rowan')).toBe(fault)
  })
  test.each([
    ['4711', undefined],
    ['12345678', 'easy'],
    ['9876', 'easy'],
    ['0000', 'easy'],
    ['123', 'digits'],
    ['123456789', 'digits'],
    ['47a1', 'digits'],
    ['٤٧١١', 'digits'],
  ])('PIN %s', (typed, fault) => {
    expect(pinFault(typed)).toBe(fault)
  })
})

describe('wrong tries', () => {
  test('three are free, and each further one costs no less than the one before it', () => {
    expect([0, 1, 2].map((wrong) => waitAfter(wrong))).toEqual([0, 0, 0])
    fc.assert(
      fc.property(fc.nat(1000), (wrong) => {
        expect(waitAfter(wrong + 1)).toBeGreaterThanOrEqual(waitAfter(wrong))
        expect(waitAfter(wrong)).toBeLessThanOrEqual(900)
      }),
    )
  })
  test('to try all PINs of four digits takes more than a quarter of a year', () => {
    let seconds = 0
    for (let wrong = 1; wrong < 10_000; wrong++) seconds += waitAfter(wrong)
    expect(seconds / 86_400).toBeGreaterThan(90)
  })
  test('the wait counts from the last wrong try, and is over when it is over', () => {
    const tries = { here: 4, anywhere: 4, last: NOW }
    expect(triesAgainAt(tries, plusMinutes(NOW, 0))).toBe('2027-01-13T10:20:10.000Z')
    expect(triesAgainAt(tries, plusMinutes(NOW, 1))).toBeUndefined()
  })
  test('many wrong tries from many addresses make everybody wait', () => {
    expect(triesAgainAt({ here: 0, anywhere: 25, last: NOW }, NOW)).toBeDefined()
    expect(triesAgainAt({ here: 0, anywhere: 10, last: NOW }, NOW)).toBeUndefined()
  })
})

describe('a session', () => {
  const began = { beganAt: NOW, usedAt: NOW }
  test('is locked once nobody was there for long, and over after a day’s work or when it was ended', () => {
    expect(sessionState(began, plusMinutes(NOW, 29), 30)).toBe('open')
    expect(sessionState(began, plusMinutes(NOW, 30), 30)).toBe('locked')
    const used = { ...began, usedAt: plusMinutes(NOW, 955) }
    expect(sessionState(used, plusMinutes(NOW, 959), 30)).toBe('open')
    expect(sessionState(used, plusMinutes(NOW, 960), 30)).toBe('over')
    expect(sessionState({ ...began, endedAt: NOW }, NOW, 30)).toBe('over')
  })
})

describe('what somebody may see', () => {
  const job = {
    plate: 'IM 903',
    budgetCents: 90_000,
    customer: { name: 'Nuala', phone: '0555 214', email: 'n@inchmoyle.example' },
    coats: [{ ml: 40, centsPerMl: 12 }],
    costs: { wageCentsPerHour: { prep: 2300 }, note: 'paid in cash' },
    rates: new Map([['dent', { priceCents: 100, minutes: 30 }]]),
  }
  const rules = { idleMinutes: 15, floorReaches: false }
  test('is everything at the desk', () => {
    for (const role of ['owner', 'manager', 'counter'] as const)
      expect(asSeenBy(eyesOf(role, rules), job)).toBe(job)
  })
  test('holds no sum and no way to reach a customer at the cars', () => {
    for (const role of ['technician', 'trainee'] as const)
      expect(asSeenBy(eyesOf(role, rules), job)).toEqual({
        plate: 'IM 903',
        budgetCents: 0,
        customer: { name: 'Nuala', phone: '', email: '' },
        coats: [{ ml: 40, centsPerMl: 0 }],
        costs: { wageCentsPerHour: { prep: 0 }, note: 'paid in cash' },
        rates: new Map([['dent', { priceCents: 0, minutes: 30 }]]),
      })
  })
  test('is how a customer is reached, where the shop says so', () => {
    const seen = asSeenBy(eyesOf('technician', { ...rules, floorReaches: true }), job)
    expect([seen.customer.phone, seen.budgetCents]).toEqual(['0555 214', 0])
    expect(eyesOf('stranger', { ...rules, floorReaches: true })).toEqual({ money: false, contact: false })
  })
})

test('what is closed to a screen is what the gate refuses, address by address', () => {
  for (const role of STAFF_ROLES)
    for (const pattern of Object.keys(PAGES)) {
      const path = pattern.replaceAll(/:\w+|\*/g, 'any')
      expect(isClosed(path, closedTo(role)), `${role} ${path}`).toBe(!mayDo(role, dutyOf(path)))
    }
  expect(closedTo('owner')).toEqual([])
})
