import path from 'node:path'
import { dayIn, instantOrThrow } from '@/core/time'
import { countDue, listDue } from '@/server/aftercare/due-list'
import { openDatabase } from '@/server/db/connection'
import { listKnown } from '@/server/vehicles/vehicle-store'
import { Shop } from '../e2e/shop'
import { VEHICLES, writeBusyYears } from './busy-years'

const NOW = '2027-01-13T10:00:00Z'
/** Every coated car is due for a word. */
const FROST_BEGINS = '2026-11-03T10:00:00Z'
const ASKED = 40

const percentile = (times: number[], share: number) =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))]!

const say = (what: string, times: number[]) =>
  console.log(
    `years: ${what}: median ${percentile(times, 0.5).toFixed(0)} ms, 95th percentile ${percentile(times, 0.95).toFixed(0)} ms`,
  )

/** Five years of a busy shop in the built app: every list and history page, asked over the wire; and finding as one types. */
export async function yearsBench(): Promise<void> {
  const shop = Shop.empty()
  const db = await openDatabase(path.join(shop.data, 'fern-yard.db'))
  const { stays, readings } = await writeBusyYears(db)
  console.log(`years: ${VEHICLES} vehicles, ${stays} stays, ${readings} readings`)
  await onTheDatabase(db)
  await db.destroy()
  try {
    await shop.open(NOW)
    const cars = Array.from({ length: ASKED }, (_, at) => `v${(at * 71) % VEHICLES}`)
    const pages: Record<string, (car: string, at: number) => string> = {
      'the yard': () => '/',
      vehicles: () => '/vehicles',
      'visits, due': () => '/aftercare',
      'visits, all, page by page': (_, at) => `/aftercare?show=all&page=${at}`,
      messages: () => '/aftercare/messages',
      'learning, a year': () => '/learning?months=12',
      'a vehicle’s care': (car) => `/vehicles/${car}`,
      'a vehicle’s history': (car) => `/vehicles/${car}/history`,
      'a vehicle’s paint': (car) => `/vehicles/${car}/paint`,
      'a vehicle’s owner': (car) => `/vehicles/${car}/owner`,
      'a job of long ago': (car) => `/jobs/j${car.slice(1)}-0/care`,
      'taking in': () => '/intake',
      schedule: () => '/schedule',
    }
    for (const [name, pathOf] of Object.entries(pages)) await askFor(shop, name, cars.map(pathOf))
    await shop.close()
    await shop.open(FROST_BEGINS)
    await askFor(shop, 'messages, in the week frost begins', Array(ASKED).fill('/aftercare/messages'))
  } finally {
    await shop.remove()
  }
}

async function askFor(shop: Shop, name: string, paths: readonly string[]): Promise<void> {
  const times: number[] = []
  for (const [at, asked] of paths.entries()) {
    const start = performance.now()
    const answer = await fetch(shop.url + asked)
    await answer.text()
    // The first ones load the page's code.
    if (at > 2) times.push(performance.now() - start)
    if (!answer.ok) throw new Error(`${asked} answered ${answer.status}`)
  }
  say(name, times)
}

async function onTheDatabase(db: Awaited<ReturnType<typeof openDatabase>>): Promise<void> {
  const today = dayIn('Europe/Dublin', instantOrThrow(NOW))
  const typed = ['I', 'IM', 'IM 1', 'IM 12', 'IM 123', 'g', 'ga', 'gan', 'gann', 'zz', 'puffin', '0555 12']
  const searches: number[] = []
  for (let round = 0; round < 5; round++)
    for (const text of typed) {
      const start = performance.now()
      await listKnown(db, text)
      searches.push(performance.now() - start)
    }
  say('finding a vehicle, a letter more each time', searches)
  const lists: number[] = []
  for (let page = 0; page < 20; page++) {
    const start = performance.now()
    await listDue(db, 'all', today, page)
    await countDue(db, today)
    lists.push(performance.now() - start)
  }
  say('a page of visits with its counts', lists)
}
