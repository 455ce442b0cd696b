import { beforeAll, describe, expect, test } from 'vitest'
import type { MethodKey } from '@/core/correction'
import type { Stay } from '@/core/job'
import { chosenOffer } from '@/core/offer'
import type { Floor } from '@/core/planning'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { loadFloor } from '../floor/floor'
import { gradesOf } from '../learning/practice-store'
import { listPhotos } from '../photos/photo-store'
import { loadWorked, whenForPlan } from '../quotes/offers'
import { earlierVisits } from '../vehicles/earlier-visits'
import { loadTimeline } from '../vehicles/timeline'
import { recentlyGone } from '../vehicles/vehicle-store'
import { linesToSign } from './to-sign'

const NOW = instantOrThrow('2027-01-13T10:20:00Z')

const shop = demoShop(NOW)
let floor: Floor
beforeAll(async () => {
  floor = await loadFloor(shop.db, NOW)
})
const jobOf = (plate: string) => floor.jobs.find(({ job }) => job.vehicle.plate === plate)!.job

test('what is to be signed names what was found on the car, panel and place', async () => {
  const lines = await linesToSign(shop.db, jobOf('IM 5012'), floor.shop.setup)
  const rules = lines.map(({ rule }) => rule)
  expect(rules).toEqual(
    expect.arrayContaining(['nail-catchers-stay', 'chips-stay', 'repainted', 'beside-the-paint']),
  )
  expect(lines.find(({ rule }) => rule === 'nail-catchers-stay')!.text).toMatch(
    /^Scratches on the left front door that catch a fingernail will remain\./,
  )
})

describe('methods chosen panel by panel', () => {
  const everywhere = async (key: MethodKey) => {
    const job = jobOf('IM 5012')
    const { input } = await loadWorked(shop.db, floor.shop, job)
    const processes = Object.fromEntries(input.judgement.panels.map(({ panel }) => [panel.id, key]))
    const choices = { packageKey: 'headland', processes, extras: [], terms: floor.shop.setup.terms }
    return { job, offer: chosenOffer(floor.shop.setup.packages, input, choices) }
  }
  test('a plan that leaves everything is an offer with a date and no machine', async () => {
    const { job, offer } = await everywhere('leave')
    expect(offer?.machineMinutes).toBe(0)
    expect(whenForPlan(floor, job, offer!.plan).kind).toBe('possible')
  })
  test('one that is forbidden on a single panel is no offer at all', async () => {
    expect((await everywhere('disc-two-step')).offer).toBeUndefined()
    expect((await everywhere('all-in-one')).offer).toBeUndefined()
  })
})

test('the history of a car that was here before holds its visit, and it is among those that went home', async () => {
  const gone = (await recentlyGone(shop.db)).find(({ vehicle }) => vehicle.plate === 'IM 7341')!
  const timeline = await loadTimeline(shop.db, floor.shop, gone.vehicle.id)
  const visit = timeline.find((entry): entry is Stay => entry.kind === 'stay')
  expect(visit).toMatchObject({ readings: 78, letter: expect.stringMatching(/[A-E]/) })
  expect(await earlierVisits(shop.db, visit!.job, 'Europe/Dublin')).toEqual([])
})

test('photographs of the demo are kept in pairs where the machine has been over the panel', async () => {
  const photos = await listPhotos(shop.db, jobOf('IM 4471').id)
  const after = photos.filter(({ phase }) => phase === 'after')
  expect(after.length).toBeGreaterThan(0)
  for (const { samePlaceAs } of after) expect(photos.some(({ id }) => id === samePlaceAs)).toBe(true)
})

test('of each colleague only the first grade of a panel is shown', async () => {
  const grades = await gradesOf(shop.db, 1)
  expect(new Set(grades.map(({ person }) => person)).size).toBe(grades.length)
  expect(grades.length).toBe(3)
})
