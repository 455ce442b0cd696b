import type { Knex } from 'knex'
import type { Job } from '@/core/job'
import { daysOfCalendar } from '@/core/offer'
import { typedCrew } from '@/core/planning'
import { answerCaller } from '@/core/planning/caller'
import { MoveDesk, solve } from '@/core/schedule'
import { everyone } from '@/core/shop'
import { atLocal, type Instant, localDayOrThrow, plusMinutes } from '@/core/time'
import { loadProtection } from '../aftercare/protection'
import { loadFloor } from '../floor/floor'
import { calendarToMove } from '../planning/moving'
import { problemToPlan } from '../planning/proposal'
import { shopVersion } from '../shop/shop-store'
import { listSupplies } from '../stock/stock-store'
import { listKnown } from '../vehicles/vehicle-store'
import { action, answered, key } from './deed.fixture'
import type { Deed } from './filled-in.fixture'

/** What is done at the desk: planning, visits and vehicles, the shop itself. */

const ZONE = 'Europe/Dublin'
const MONDAY = localDayOrThrow('2027-01-18')

export async function planningDeeds(db: Knex, now: Instant): Promise<Deed[]> {
  const { from, problem } = await problemToPlan(db, now)
  const { schedule } = solve(problem, { seed: 5, steps: 20 })
  const calendar = await calendarToMove(db, now)
  if (calendar.kind === 'blocked') throw new Error('the demo cannot be moved')
  const desk = new MoveDesk(calendar.problem, calendar.operations)
  const fixed = new Set(calendar.problem.fixed.map(({ job, operation }) => `${job} ${operation}`))
  const moved = calendar.operations
    .filter(({ job, operation }) => !fixed.has(`${job} ${operation}`))
    .map(({ job, operation, start }) =>
      desk.tryOperation({ job, operation, start: plusMinutes(start, 30) }, true),
    )
    .find((tried) => tried.kind === 'allowed')
  if (moved?.kind !== 'allowed') throw new Error('nothing in the demo can be moved')
  const { live } = (await loadFloor(db, now)).jobs.find(({ stage }) => stage.kind === 'between')!
  const step = live!.plan.operations.find(({ id, mode }) => !live!.progress[id] && mode !== 'unattended')!
  const day = { day: '2027-01-18', time: '08:00' }
  const week = { from: day, until: { day: '2027-01-22', time: '18:00' } }
  const told = { shape: 'hatchback', state: 'usual', packageKey: 'headland' } as const
  const caller = answerCaller(await loadFloor(db, now), { ...told, arrive: atLocal(ZONE, MONDAY, '08:00') })
  if (caller.kind !== 'promise') throw new Error('no caller can be promised anything')
  return [
    // Freed again, so that the calendar is as it was.
    action('hold', 'planning.hold-slot', {
      ...told,
      day: MONDAY,
      time: '08:00',
      name: 'Ita Breen',
      phone: '00 353 1 555 0142',
      car: 'a green one',
      until: MONDAY,
      said: caller.usual.collectAt,
    }),
    action('hold-longer', 'planning.keep-hold', { hold: answered('hold', 'id'), until: '2027-01-16' }),
    action('hold-off', 'planning.end-hold', { hold: answered('hold', 'id') }),
    action('offer', 'planning.offer', { from, schedule }),
    action('move', 'planning.move', {
      from: calendar.from,
      operations: moved.ways[0]!.operations,
      what: 'a step',
    }),
    action('undo', 'planning.undo-move', null),
    action('redo', 'planning.redo-move', null),
    action('propose', 'planning.propose', null),
    action('take-plan', 'planning.take', { id: answered('propose', 'id') }),
    action('away', 'planning.foresee-outage', { what: { kind: 'person', id: 'oran' }, ...week }),
    action('take-away', 'planning.take', { id: answered('away', 'id') }),
    action('surer', 'planning.foresee-surer', { job: live!.id }),
    action('longer', 'planning.foresee-longer', { job: live!.id, operation: step.id, minutes: 45 }),
    action('frost', 'planning.foresee-frost', {
      from: { day: '2027-01-13', time: '11:00' },
      until: week.until,
    }),
    action('lent', 'planning.foresee-lent', { name: 'Nuala', like: 'oran', ...week }),
    action('back', 'planning.end-outage', { id: key('outage') }),
    action('trial', 'what-if.keep', {
      change: { kind: 'person', like: 'oran' },
      busier: 1,
      weeklyCents: 124_000,
      bought: { booked: { kind: 'nothing' } },
    }),
    action('trial-off', 'what-if.forget', { id: answered('trial', 'id') }),
  ]
}

/** A visit from a car in the yard to a repair of what was seen. */
export async function visitDeeds(db: Knex, now: Instant, cars: readonly Job[]): Promise<Deed[]> {
  const { shop, jobs } = await loadFloor(db, now)
  const open = new Set(jobs.filter(({ job }) => !job.handedOverAt).map(({ job }) => job.vehicle.id))
  const found: { id: string; panel: string }[] = []
  for (const { vehicle } of (await listKnown(db)).known) {
    if (open.has(vehicle.id) || cars.some((job) => job.vehicle.id === vehicle.id)) continue
    const { surfaces } = await loadProtection(db, shop, vehicle, now)
    const panel = surfaces.find(({ surface }) => surface === 'paint')?.units[0]?.id
    if (panel) found.push({ id: vehicle.id, panel })
  }
  const [car] = found
  if (!car) throw new Error('no coated car is at home')
  const visit = answered('visit-now', 'jobId')
  const look = { unit: car.panel, water: 'wets', feel: 'grips', cause: 'impact', note: 'a branch' }
  const by = everyone(shop.setup)[0]!.id
  return [
    action('visit-now', 'aftercare.log-visit', { vehicleId: car.id }),
    action('looks', 'aftercare.keep-looks', { jobId: visit, by, cleaned: true, looks: [look] }),
    action('life', 'aftercare.keep-life', {
      jobId: visit,
      odometerKm: '48000',
      storage: 'garage',
      washing: 'hand',
    }),
    action('repair', 'aftercare.book-repair', {
      visitId: visit,
      panels: [car.panel],
      onGuarantee: false,
      day: '2027-01-27',
    }),
    action('look-back', 'aftercare.take-look-back', { jobId: visit, unit: car.panel }),
    action('visit-over', 'aftercare.end-visit', { jobId: visit }),
  ]
}

export async function shopDeeds(db: Knex, now: Instant): Promise<Deed[]> {
  const { setup, catalogue } = (await loadFloor(db, now)).shop
  const version = await shopVersion(db)
  const sets = await listSupplies(db)
  const vendors = setup.vendors.map(({ calendar, ...vendor }) => ({
    ...vendor,
    when: daysOfCalendar(setup.calendars[calendar]!),
  }))
  const after = (deed: string) => answered(deed, 'version')
  return [
    action('costs', 'learning.keep-costs', { version, costs: setup.costs }),
    action('crew', 'shop.keep-crew', { version: after('costs'), crew: typedCrew(setup) }),
    action('devices', 'shop.keep-devices', { version: after('crew'), devices: setup.devices }),
    action('packages', 'shop.keep-packages', { version: after('devices'), packages: setup.packages }),
    action('methods', 'shop.keep-methods', { version: after('packages'), methods: setup.methods }),
    action('products', 'shop.keep-products', {
      version: after('methods'),
      catalogue,
      supplies: setup.supplies,
    }),
    action('prices', 'shop.keep-prices', {
      version: after('products'),
      prices: { rates: setup.rates, terms: setup.terms, vendors },
    }),
    action('ways', 'shop.keep-ways', {
      version: after('prices'),
      school: setup.school,
      polishing: setup.polishing,
      sharing: 'two',
      unagreed: 'goes-on',
      sure: 0.9,
      inspector: { rule: 'manager', manager: 'merle' },
      wash: setup.wash,
    }),
    action('identity', 'shop.keep-identity', {
      version: after('ways'),
      identity: { name: 'Killed Yard', address: setup.address, region: setup.region },
    }),
    // No picture: none is decoded in a process that is begun so often.
    action('logo', 'shop.keep-logo', { version: after('identity'), picture: '' }),
    action('times', 'messages.save-times', {
      version: after('logo'),
      quiet: setup.quiet,
      climate: setup.climate,
    }),
    action('pace', 'learning.accept', { of: 'pace', months: 12, shown: [] }),
    action('spreads', 'learning.take-spreads', { months: 12 }),
    action('pace-off', 'learning.drop', { of: 'pace', key: 'cut' }),
    action('spell', 'shop.begin-spell', { bay: 'loft-1', kind: 'humid', minutes: 60 }),
    action('set', 'stock.add-set', { kind: 'towel', name: 'Killed towels', count: 30, reorderAt: 5 }),
    action('set-washed', 'stock.wash-set', { id: sets.find(({ dirty }) => dirty > 0)!.id }),
    action('set-counted', 'stock.count-set', { id: sets[0]!.id, clean: 3 }),
    action('order', 'stock.order', { of: 'store:tape' }),
    action('order-came', 'stock.end-order', { id: 1, came: true }),
    action('set-price', 'stock.price-set', { id: sets[0]!.id, price: 4.5 }),
    action('set-new', 'stock.renew-set', { id: sets[1]!.id }),
  ]
}
