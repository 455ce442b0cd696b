import { describe, expect, test } from 'vitest'
import { cardOf, pausedNow, workOn } from '@/core/card'
import { catalogueSchema } from '@/core/coating'
import { emptyIntake, intakeSchema } from '@/core/intake/intake'
import { setupSchema } from '@/core/shop'
import { DEFECT_KINDS } from '@/core/survey'
import { dayIn, instantOrThrow, plusMinutes } from '@/core/time'
import { isMetal, panelsOf, placesOf, readVin } from '@/core/vehicle'
import { demoShop } from '@/server/db/demo-shop.fixture'
import { loadFloor } from '@/server/floor/floor'
import { loadEntries } from '@/server/work/acts-store'
import { CARS_AWAY } from './away'
import { BOOKED_CARS } from './booked'
import { DEMO_CARS } from './cars'
import catalogueFile from './catalogue.json'
import { COMING_CARS } from './coming'
import { fullness, workdaysAhead } from './fortnight'
import setupFile from './setup.json'
import { RETURNING } from './visits'

const ALL_CARS = [...DEMO_CARS, ...COMING_CARS, ...CARS_AWAY, ...BOOKED_CARS]
const setup = setupSchema.parse(setupFile)
const catalogue = catalogueSchema.parse(catalogueFile)

describe('the set-up that ships', () => {
  test('sells packages made of products it has', () => {
    const products = new Set(catalogue.map(({ id }) => id))
    for (const { layers } of setup.packages) for (const layer of layers) expect(products).toContain(layer)
  })
  test('has someone for every skill on every working day, and a bay of each kind the work needs', () => {
    for (const day of ['mon', 'tue', 'wed', 'thu', 'fri'])
      for (const skill of ['prep', 'correct', 'coat']) {
        const there = setup.people.filter(({ skills, calendar }) => {
          const shifts = setup.calendars[calendar]!
          return (
            skills.includes(skill) &&
            ('always' in shifts || (shifts.weekly[day as never] as unknown[] | undefined)?.length)
          )
        })
        expect(there.length, `${skill} on ${day}`).toBeGreaterThan(0)
      }
    const kinds = new Set(setup.places.flatMap((place) => place.kinds))
    expect(kinds).toContain('wash')
    expect(kinds).toContain('studio')
  })
  test('is refused with the path of what is wrong', () => {
    const wrong = { ...setupFile, people: [{ id: 'x', name: 'X', skills: ['prep'], calendar: 'night' }] }
    const result = setupSchema.safeParse(wrong)
    expect(result.success ? [] : result.error.issues.map(({ path }) => path.join('.'))).toContain(
      'people.0.calendar',
    )
    expect(
      setupSchema.safeParse({ ...setupFile, region: { ...setupFile.region, timezone: 'Inchmoyle/Slip' } })
        .success,
    ).toBe(false)
    expect(setupSchema.safeParse({ ...setupFile, packages: [] }).success).toBe(false)
  })
})

describe.each(ALL_CARS.map((car) => [car.intake.plate, car] as const))('the demo car %s', (_, car) => {
  const panels = new Map(panelsOf(car.intake.shape).map((panel) => [panel.id, panel]))
  const places = new Set(placesOf(car.intake.shape).map(({ id }) => id))
  test('would be taken in as it is', () => {
    expect(intakeSchema.safeParse({ ...emptyIntake('2027-01-13'), ...car.intake }).success).toBe(true)
  })
  test('has its paint and its defects on panels of its shape', () => {
    for (const id of Object.keys(car.paint.panels)) expect(isMetal(panels.get(id)!.substrate)).toBe(true)
    for (const [id, defects] of Object.entries(car.defects)) {
      expect(panels.has(id)).toBe(true)
      for (const { kind, extentPercent } of defects) {
        expect(DEFECT_KINDS).toContain(kind)
        expect(extentPercent).toBeGreaterThan(0)
        expect(extentPercent).toBeLessThanOrEqual(100)
      }
    }
  })
  test('has everything else in places of its shape, and its photographs on its panels', () => {
    for (const id of Object.keys(car.places ?? {})) expect(places).toContain(id)
    for (const id of car.photographs ?? []) expect(panels.has(id)).toBe(true)
  })
  test('carries a number that is well formed, or none', () => {
    if (car.intake.vin !== '') expect(readVin(car.intake.vin).wellFormed).toBe(true)
  })
  test('asks for a package that is sold, if it asks for one', () => {
    if (car.packageKey) expect(setup.packages.map(({ key }) => key)).toContain(car.packageKey)
  })
})

test('nobody in the demo comes twice', () => {
  for (const pick of ['plate', 'customerName', 'phone', 'email'] as const) {
    const values = [...ALL_CARS.map(({ intake }) => intake[pick]), RETURNING[pick]]
    expect(new Set(values).size).toBe(values.length)
  }
})

// The night to a Sunday in which the clocks change.
describe('the demo shop opened before dawn', () => {
  const DAWN = instantOrThrow('2027-03-28T00:30:00Z')
  const shop = demoShop(DAWN)
  // Making it takes some seconds, which the shop's clock goes on by.
  const soon = plusMinutes(DAWN, 10)

  test('holds nothing that was signed, tried or photographed in days to come', async () => {
    for (const [table, column] of [
      ['promises', 'signed_at'],
      ['test_spots', 'made_at'],
      ['photos', 'taken_at'],
      ['agreements', 'agreed_at'],
      ['acts', 'at'],
    ] as const)
      expect(await shop.db(table).where(column, '>', soon).select(column), table).toEqual([])
  })
  test('has nobody at a car: what was begun rests until somebody is back', async () => {
    const { jobs } = await loadFloor(shop.db, DAWN)
    const begun = jobs.flatMap(({ live }) =>
      (live?.plan.operations ?? [])
        .filter(({ id, mode }) => mode !== 'unattended' && live!.progress[id]?.kind === 'started')
        .map(({ id }) => ({ live: live!, id })),
    )
    expect(begun.length).toBeGreaterThan(0)
    for (const { live, id } of begun) {
      const state = cardOf(live, await loadEntries(shop.db, live.id))
      expect(pausedNow(workOn(state, id))?.reason).toBe('day-over')
    }
  })
})

describe('the whole demo shop on a working morning', () => {
  const NOW = instantOrThrow('2027-01-13T10:20:00Z')
  const shop = demoShop(NOW, 'years')
  const zone = setup.region.timezone

  test('has two busy weeks ahead of it, and no day on which the lofts stand empty', async () => {
    const { jobs } = await loadFloor(shop.db, NOW)
    const full = fullness(
      zone,
      jobs.flatMap(({ live }) => live?.published ?? []),
    )
    const days = workdaysAhead(dayIn(zone, NOW)).map(full)
    const mean = days.reduce((sum, share) => sum + share, 0) / days.length
    expect(mean).toBeGreaterThanOrEqual(0.6)
    expect(mean).toBeLessThanOrEqual(0.85)
    for (const share of days) expect(share).toBeGreaterThan(0.2)
  })
  test('has planned every step of what was agreed', async () => {
    const { jobs } = await loadFloor(shop.db, NOW)
    const agreed = jobs.filter(({ job, live }) => live && !job.handedOverAt)
    expect(agreed.length).toBeGreaterThan(20)
    for (const { live } of agreed) expect(live!.published.length).toBe(live!.plan.operations.length)
  })
  test('has a car out with somebody it has called in, due back on another day', async () => {
    const { jobs } = await loadFloor(shop.db, NOW)
    const { plan, progress, published } = jobs.find(
      ({ job }) => job.vehicle.plate === CARS_AWAY[0]!.intake.plate,
    )!.live!
    const { id } = plan.operations.find(({ vendorId, away }) => vendorId && away === 'car')!
    expect(progress[id]?.kind).toBe('started')
    expect(Object.keys(progress)).toEqual([id])
    expect(published.find(({ operation }) => operation === id)!.end > plusMinutes(NOW, 720)).toBe(true)
  })
})
