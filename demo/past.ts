import type { Knex } from 'knex'
import type { Language } from '@/core/customer'
import type { VehicleId } from '@/core/ids'
import { emptyIntake } from '@/core/intake/intake'
import { nextLoud } from '@/core/messages'
import { seededRandom } from '@/core/schedule'
import type { Shop } from '@/core/shop'
import {
  atLocal,
  dayIn,
  daysBetween,
  type Instant,
  type LocalDay,
  plusDays,
  plusMinutes,
  plusMonths,
} from '@/core/time'
import { refreshCareDates } from '@/server/aftercare/care-dates'
import { workday } from './fern-yard'
import { BONNET_CAR, pastIntake, pastNames, pick } from './past-cars'
import { sayThen } from './past-messages'
import { liveVisit, trueLives } from './past-visits'
import { liveWork } from './past-work'

/** Two invented years of the demo shop: the cars that came, what was done to them, and how they were looked after since. */

const YEARS_DAYS = 730
/** The past ends here, so that it leaves the cars in hand alone. */
const UNTIL_DAYS = 14
const CARS = 170
const SEED = 20_250_113

/** What the shop has sold, as often as it stands here. */
const SOLD = [
  'tideline',
  'tideline',
  'slipway',
  'slipway',
  'headland',
  'headland',
  'headland',
  'headland',
  'lantern',
  'lantern',
  'lantern',
  'boathouse',
  'boathouse',
]
const LOFTS = ['loft-1', 'loft-2', 'loft-3'] as const
/** How many owners of a coated car come to their visits. */
const FAITHFUL = 0.78

/** The car whose bonnet is to fail was coated this long ago, and was seen once since. */
const BONNET_COATED_MONTHS = 14
const BONNET_VISIT_MONTHS = 6

/** Some have moved here from over the sea, and are written to in their own tongue. */
const spoken = (at: number): Language => (at % 43 === 0 ? 'fr' : at % 43 === 21 ? 'de' : 'en')

/** The two years as they are lived: where they are written, in which shop, by which dice. */
type Era = { trx: Knex; shop: Shop; random: () => number; today: LocalDay; last: LocalDay }

/** A car that went home coated, and whether it is the one whose bonnet is to fail. */
type Coated = Awaited<ReturnType<typeof liveWork>> & { layers: readonly string[]; isBonnet: boolean }

/** Its owner is told how to treat it, reminded, and comes to visits or does not. */
async function lookAfter(
  { trx, shop, random, today, last }: Era,
  { job, freeAt, paint, layers, isBonnet }: Coated,
): Promise<void> {
  const zone = shop.setup.region.timezone
  // With a chance of their own, so that what was said moves nothing that was done.
  const said = seededRandom(SEED + job.number)
  const say = (
    occasion: 'curing' | 'visit-due',
    about: string,
    at: Instant,
    from: LocalDay,
    until: LocalDay,
  ) =>
    sayThen(
      trx,
      job,
      {
        occasion,
        key: `${occasion}:${about}`,
        at: nextLoud(zone, at, shop.setup.quiet),
        facts: { from, until },
      },
      shop.setup.region,
      said,
    )
  const home = dayIn(zone, freeAt)
  await say('curing', job.id, plusMinutes(freeAt, 1500), plusDays(home, 1), plusDays(home, 7))
  const lives = trueLives(shop, job, layers, random)
  const first = isBonnet
    ? BONNET_VISIT_MONTHS
    : shop.catalogue.find(({ id }) => id === layers[0])!.firstVisitMonths
  let next = plusDays(plusMonths(home, first), isBonnet ? 9 : Math.floor(random() * 26))
  const comes = isBonnet || random() < FAITHFUL
  for (let visit = 0; comes && next < last && daysBetween(today, next) < 0; visit++) {
    if (isBonnet && visit > 0) break
    const own = isBonnet ? Object.fromEntries(Object.keys(lives).map((id) => [id, 40])) : lives
    if (job.customer.mayRemind)
      await say(
        'visit-due',
        `${job.vehicle.id}:past-${visit}`,
        atLocal(zone, plusDays(next, -20), '10:00'),
        plusDays(next, -6),
        plusDays(next, 22),
      )
    // What is to be seen at the car whose bonnet fails hangs on nothing that happened to other cars.
    const dice = isBonnet ? seededRandom(SEED + 1) : random
    await liveVisit(trx, shop, { work: job, laidAt: freeAt, day: workday(next), lives: own, paint }, dice)
    next = plusDays(plusMonths(next, 6), Math.floor(random() * 40))
  }
}

export async function addPast(db: Knex, shop: Shop, now: Instant): Promise<void> {
  const random = seededRandom(SEED)
  const zone = shop.setup.region.timezone
  const today = dayIn(zone, now)
  const last = plusDays(today, -UNTIL_DAYS)
  const names = pastNames(random, CARS)
  const free: Record<string, LocalDay> = {}
  const bonnetDay = workday(plusMonths(today, -BONNET_COATED_MONTHS))
  let bonnetDone = false
  const vehicles = new Set<VehicleId>()
  await db.transaction(async (trx) => {
    const era: Era = { trx, shop, random, today, last }
    for (const [at, name] of names.entries()) {
      const wanted = plusDays(today, -YEARS_DAYS + Math.floor(((YEARS_DAYS - UNTIL_DAYS - 6) * at) / CARS))
      const loft = LOFTS.reduce((a, b) => ((free[a] ?? '') <= (free[b] ?? '') ? a : b))
      const day = workday(free[loft] && free[loft]! > wanted ? free[loft]! : wanted)
      if (day > plusDays(last, -6)) break
      const isBonnet = !bonnetDone && day >= bonnetDay
      if (isBonnet) bonnetDone = true
      const packageKey = isBonnet ? 'headland' : pick(random, SOLD)
      const plate = `IM ${String(9100 + at * 7).slice(-4)}`
      const intake = isBonnet
        ? { ...emptyIntake(bonnetDay), ...BONNET_CAR }
        : { ...pastIntake(random, name, plate, day), language: spoken(at) }
      const work = await liveWork(
        trx,
        shop,
        { intake, day: isBonnet ? bonnetDay : day, loft, packageKey },
        random,
      )
      free[loft] = plusDays(dayIn(zone, work.freeAt), 1)
      const { layers } = shop.setup.packages.find(({ key }) => key === packageKey)!
      if (layers.length === 0) continue
      vehicles.add(work.job.vehicle.id)
      await lookAfter(era, { ...work, layers, isBonnet })
    }
    for (const vehicle of vehicles) await refreshCareDates(trx, shop, vehicle, now)
  })
}
