import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toPersonId } from '../ids'
import { openMinutesBetween } from '../schedule'
import { everyone, type Setup } from '../shop'
import { atLocal, localDayOrThrow, plusDays } from '../time'
import { costPerWeek } from './change-cost'
import { aboutOf, MOST_SHIFTED, type ShopChange, setupWith, shopChangeSchema } from './shop-change'
import { setup } from './what-if.fixture'

const ZONE = setup.region.timezone
const MONDAY = localDayOrThrow('2026-03-02')
const WEDNESDAY = plusDays(MONDAY, 2)
const minutesOn = (shop: Setup, person: string, day = WEDNESDAY, days = 1) => {
  const { calendar } = shop.people.find(({ id }) => id === person)!
  const at = (after: number) => atLocal(ZONE, plusDays(day, after), '00:00')
  return openMinutesBetween(shop.calendars[calendar]!, ZONE, at(0), at(days))
}
const oran = toPersonId('oran')
const [loft] = setup.places.filter(({ id }) => id === 'loft-2')

describe('a change of the shop', () => {
  test('one more person can do what the other can, in the same hours, and nobody else is another', () => {
    const changed = setupWith(setup, { kind: 'person', like: oran })!
    const added = changed.people.at(-1)!
    expect(changed.people.slice(0, -1)).toEqual(setup.people)
    expect(new Set(everyone(changed).map(({ id }) => id)).size).toBe(everyone(changed).length)
    const { id: _, ...like } = setup.people.find(({ id }) => id === oran)!
    expect(added).toMatchObject(like)
    expect(minutesOn(changed, added.id)).toBe(minutesOn(setup, oran))
  })
  test('Saturdays are as long as a working day, and other days stay as they are', () => {
    const changed = setupWith(setup, { kind: 'saturdays', person: oran })!
    expect(minutesOn(changed, oran, plusDays(MONDAY, 5))).toBe(minutesOn(setup, oran))
    for (const day of [0, 1, 2, 3, 4, 6])
      expect(minutesOn(changed, oran, plusDays(MONDAY, day))).toBe(
        minutesOn(setup, oran, plusDays(MONDAY, day)),
      )
    expect(setupWith(setup, { kind: 'saturdays', person: toPersonId('merle') })).toBeUndefined()
  })
  test('a shift that is moved is as long as it was; one that is stretched is longer by just that, on every day somebody is there', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -MOST_SHIFTED, max: MOST_SHIFTED }),
        fc.integer({ min: -MOST_SHIFTED, max: MOST_SHIFTED }),
        (begins, leaves) => {
          const changed = setupWith(setup, { kind: 'hours', person: oran, begins, leaves })
          if (begins === 0 && leaves === 0) return expect(changed).toBeUndefined()
          expect(minutesOn(changed!, oran, MONDAY, 7)).toBe(
            minutesOn(setup, oran, MONDAY, 7) + 5 * (leaves - begins),
          )
          for (const { id } of setup.people)
            if (id !== oran) expect(minutesOn(changed!, id)).toBe(minutesOn(setup, id))
        },
      ),
    )
  })
  test('a closed day stays closed whatever hours are tried', () => {
    const own = setup.people.find(({ id }) => id === oran)!.calendar
    const closed = {
      ...setup,
      calendars: {
        ...setup.calendars,
        [own]: {
          ...setup.calendars[own]!,
          exceptions: [
            { date: plusDays(MONDAY, 5), open: [] },
            { date: WEDNESDAY, open: [] },
          ],
        },
      },
    } as Setup
    const tried: ShopChange[] = [
      { kind: 'saturdays', person: oran },
      { kind: 'hours', person: oran, begins: -120, leaves: 60 },
    ]
    for (const change of tried)
      for (const day of [WEDNESDAY, plusDays(MONDAY, 5)])
        expect(minutesOn(setupWith(closed, change)!, oran, day)).toBe(0)
  })
  test('a bay more takes what the other takes; equipment more only where it is counted; a package fewer is not the last', () => {
    const bays = setupWith(setup, { kind: 'bay', like: loft!.id })!
    expect(bays.places).toHaveLength(setup.places.length + 1)
    expect(bays.places.at(-1)).toMatchObject({ kinds: loft!.kinds, lengthM: loft!.lengthM, capacity: 1 })
    expect(setupWith(setup, { kind: 'equipment', what: 'lift' })).toBeUndefined()
    expect(
      setupWith({ ...setup, equipment: { lift: 1 } }, { kind: 'equipment', what: 'lift' })!.equipment.lift,
    ).toBe(2)
    const [first] = setup.packages
    const dropped: ShopChange = { kind: 'dropped', packageKey: first!.key }
    expect(setupWith(setup, dropped)!.packages).toEqual(setup.packages.slice(1))
    expect(setupWith({ ...setup, packages: [first!] }, dropped)).toBeUndefined()
  })
  test('of what is not in the shop has no meaning, and is called what it was', () => {
    const gone = toPersonId('nobody')
    const changes: ShopChange[] = [
      { kind: 'person', like: gone },
      { kind: 'saturdays', person: gone },
      { kind: 'hours', person: gone, begins: -60, leaves: 0 },
      { kind: 'dropped', packageKey: 'nothing' },
    ]
    for (const change of changes) {
      expect(setupWith(setup, change)).toBeUndefined()
      expect(costPerWeek(setup, change)).toBe(0)
      expect(['nobody', 'nothing']).toContain(aboutOf(setup, change))
    }
    expect(aboutOf(setup, { kind: 'bay', like: loft!.id })).toBe('Loft 2')
    expect(aboutOf(setup, { kind: 'person', like: oran })).toBe('Oran')
  })
  test('beyond three hours either way, or of no kind we know, is refused', () => {
    const wrong = [
      { kind: 'hours', person: 'oran', begins: -181, leaves: 0 },
      { kind: 'hours', person: 'oran', begins: 0.5, leaves: 0 },
      { kind: 'equipment', what: 'crane' },
      { kind: 'luck' },
    ]
    for (const change of wrong) expect(shopChangeSchema.safeParse(change).success).toBe(false)
  })
})

describe('what a change costs a week', () => {
  const { wageCentsPerHour: wage, bayCentsPerHour: bay } = setup.costs
  test('a person their hours at the best wage of what they can do', () => {
    expect(costPerWeek(setup, { kind: 'person', like: oran })).toBe(Math.round(40 * wage.coat))
    const senan = toPersonId('senan')
    expect(costPerWeek(setup, { kind: 'person', like: senan })).toBe(
      Math.round((minutesOn(setup, senan, MONDAY, 7) / 60) * wage.correct),
    )
  })
  test('a Saturday a day of them, a shift moved nothing, one stretched its hours, and one shortened saves them', () => {
    expect(costPerWeek(setup, { kind: 'saturdays', person: oran })).toBe(8 * wage.coat)
    const hours = (begins: number, leaves: number): ShopChange => ({
      kind: 'hours',
      person: oran,
      begins,
      leaves,
    })
    expect(costPerWeek(setup, hours(-120, -120))).toBe(0)
    expect(costPerWeek(setup, hours(-60, 60))).toBe(10 * wage.coat)
    expect(costPerWeek(setup, hours(60, 0))).toBe(-5 * wage.coat)
  })
  test('a bay its hour while somebody is here, at most a week of the longest shift', () => {
    const longest = Math.max(...setup.people.map(({ id }) => minutesOn(setup, id, MONDAY, 7) / 60))
    expect(costPerWeek(setup, { kind: 'bay', like: loft!.id })).toBe(Math.round(longest * bay))
  })
})
