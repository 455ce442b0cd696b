import type { Knex } from 'knex'
import { offered, unprobed } from '@/core/correction'
import { type JobId, toJobId } from '@/core/ids'
import { lessonOf } from '@/core/learning'
import { makeOffer, summaryOf } from '@/core/offer'
import { seededRandom } from '@/core/schedule'
import { emptyRecord, judgeRecord } from '@/core/survey'
import { dayIn, type Instant, instantOrThrow, minutesBetween, plusDays, plusMinutes } from '@/core/time'
import { isMetal, panelsOf, type Shape } from '@/core/vehicle'
import { loadShop } from '@/server/shop/shop-store'

/** Five years of a busy shop: 3,000 vehicles, 9,000 stays, 400,000 readings, drawn from a seed and written row by row. */

export const VEHICLES = 3000
const STAYS_EACH = 3
const READINGS_EACH = 4
const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const YEARS_MINUTES = 5 * 365 * 1440
const SHAPES: readonly Shape[] = ['hatchback', 'saloon', 'estate', 'suv', 'pickup', 'coupe']
const WATERS = ['tight', 'tight', 'tight', 'loose', 'sheets'] as const
const NAMES = [
  'Arbutus',
  'Dunlin',
  'Eelgrass',
  'Gannet',
  'Hollin',
  'Kittiwake',
  'Marram',
  'Plover',
  'Redshank',
  'Whelk',
]

type Rows = Record<string, object[]>

/** A coated job as it is agreed, once for each shape: plan, words and prices are the same for all. */
async function agreedJobs(db: Knex) {
  const { setup, catalogue } = await loadShop(db)
  const template = setup.packages.find(({ key }) => key === 'headland')!
  return new Map(
    SHAPES.map((shape) => {
      const vehicle = { shape, paintSystem: 'clear-over-base' as const }
      const offer = makeOffer(template, {
        ...vehicle,
        methods: offered(setup.methods),
        knowledge: unprobed('medium'),
        treatments: [],
        judgement: judgeRecord(vehicle, setup, emptyRecord(), {}),
        proposals: [],
        catalogue,
        vendors: setup.vendors,
        rates: setup.rates,
      })
      return [
        shape,
        { offer, plan: JSON.stringify(offer.plan), summary: JSON.stringify(summaryOf(offer)) },
      ] as const
    }),
  )
}

export async function writeBusyYears(db: Knex): Promise<{ stays: number; readings: number }> {
  const random = seededRandom(20_270_113)
  const agreed = await agreedJobs(db)
  const rows: Rows = {}
  const add = (table: string, row: object) => {
    rows[table] ??= []
    rows[table].push(row)
  }
  let [number, readings] = [100, 0]
  for (let at = 0; at < VEHICLES; at++) {
    const shape = SHAPES[at % SHAPES.length]!
    const [customer, vehicle] = [`c${at}`, `v${at}`]
    add('customers', {
      id: customer,
      name: `${NAMES[at % 10]} ${NAMES[Math.floor(at / 10) % 10]} ${at}`,
      phone: `0555 ${at}`,
      email: `c${at}@inchmoyle.example`,
      may_remind: 1,
      created_at: NOW,
    })
    add('vehicles', {
      id: vehicle,
      customer_id: customer,
      plate: `IM ${10_000 + at}`,
      vin: '',
      make: 'Marl',
      model: 'Puffin',
      shape,
      colour: 'Slate',
      paint_system: 'clear-over-base',
      hardness: 'medium',
      storage: 'carport',
      washing: 'hand',
    })
    const start = plusMinutes(NOW, -Math.round(YEARS_MINUTES * (0.02 + 0.98 * random())))
    for (let stay = 0; stay < STAYS_EACH; stay++) {
      const arrive = plusMinutes(start, Math.round((stay * minutesBetween(start, NOW)) / STAYS_EACH))
      const job = toJobId(`j${at}-${stay}`)
      const [isWork, home] = [stay === 0, plusMinutes(arrive, 2880)]
      add('jobs', {
        id: job,
        number: number++,
        vehicle_id: vehicle,
        customer_id: customer,
        kind: isWork ? 'work' : 'visit',
        wishes: 'Clean.',
        arrive_at: arrive,
        created_at: arrive,
        handed_over_at: home,
      })
      add('surveys', { job_id: job, updated_at: arrive, version: 1 })
      for (const panel of panelsOf(shape)) {
        if (isMetal(panel.substrate))
          for (let position = 0; position < READINGS_EACH; position++) {
            readings++
            add('film_readings', {
              job_id: job,
              phase: 'before',
              panel: panel.id,
              position,
              film_um_x10: 1100 + Math.floor(120 * random()),
            })
          }
        if (!isWork)
          add('looks', {
            job_id: job,
            unit: panel.id,
            water: WATERS[Math.floor(random() * WATERS.length)],
            cleaned: 1,
            by_person: 'brida',
            at: home,
          })
      }
      if (isWork) addWork(add, job, arrive, home, agreed.get(shape)!, readings)
    }
    addCareDates(add, vehicle, start, random)
  }
  for (const [table, all] of Object.entries(rows)) await db.batchInsert(table, all, 60)
  return { stays: VEHICLES * STAYS_EACH, readings }
}

type Agreed = Awaited<ReturnType<typeof agreedJobs>> extends Map<unknown, infer V> ? V : never

function addWork(
  add: (table: string, row: object) => void,
  job: JobId,
  arrive: Instant,
  home: Instant,
  { offer, plan, summary }: Agreed,
  number: number,
): void {
  add('agreements', {
    job_id: job,
    package_key: 'headland',
    package_name: 'Headland',
    plan,
    summary,
    total_cents: offer.price.totalCents,
    promised_for: home,
    agreed_at: arrive,
  })
  let from = arrive
  const progress: Parameters<typeof lessonOf>[0]['progress'] = {}
  for (const operation of offer.plan.operations) {
    const to = plusMinutes(from, operation.minutes)
    add('progress', {
      job_id: job,
      operation_id: operation.id,
      started_at: from,
      ended_at: to,
      by_person: 'oran',
      version: 1,
    })
    Object.assign(progress, { [operation.id]: { kind: 'done', from, to, by: 'oran' } })
    if (operation.kind === 'layer')
      add('layers', {
        job_id: job,
        operation_id: operation.id,
        product_id: operation.productId,
        lot: 'L',
        air_c_x10: 180,
        rh_x10: 500,
        panel_c_x10: 180,
      })
    from = to
  }
  const day = dayIn('Europe/Dublin', home)
  const lesson = lessonOf({
    job: { id: job, number, packageKey: 'headland', packageName: 'Headland' },
    day,
    promisedFor: home,
    plan: offer.plan,
    progress,
    published: [],
    panels: panelsOf('hatchback'),
    work: {},
    care: 'usual',
    pace: {},
    ticks: [],
    worked: (_operation, _person, a, b) => minutesBetween(a, b),
    money: { netCents: offer.price.netCents, discountCents: 0, vendorCents: 0, consumablesCents: 3500 },
    products: [],
    clearing: [],
  })
  add('lessons', { job_id: job, day, package_key: 'headland', lesson: JSON.stringify(lesson) })
}

/** Dates as they are kept after each stay; drawn here, since working them out is not what is measured. */
function addCareDates(
  add: (table: string, row: object) => void,
  vehicle: string,
  start: Instant,
  random: () => number,
): void {
  const from = plusDays(dayIn('Europe/Dublin', NOW), Math.round(720 * (random() - 0.5)))
  add('care_dates', {
    vehicle_id: vehicle,
    laid_on: dayIn('Europe/Dublin', start),
    product_id: 'ebb-single',
    visit_from: from,
    visit_until: plusDays(from, 28),
    why: 'rhythm',
    good_low: plusDays(from, 100),
    good_mid: plusDays(from, 200),
    good_high: plusDays(from, 400),
    guarantee_until: null,
    failing: random() < 0.05 ? 1 : 0,
    last_visit: null,
  })
}
