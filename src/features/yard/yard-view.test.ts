import { describe, expect, test } from 'vitest'
import { toBayId, toCustomerId, toJobId, toOperationId, toPersonId, toVehicleId } from '@/core/ids'
import type { LiveJob, Progress } from '@/core/job'
import { stageOf } from '@/core/job'
import type { Floor, FloorJob } from '@/core/planning'
import { type Instant, instantOrThrow, plusMinutes } from '@/core/time'
import { SimulatedClimateSensor } from '@/devices/climate-sensor'
import { DUBLIN } from '@/text/region.fixture'
import catalogue from '../../../demo/catalogue.json'
import setup from '../../../demo/setup.json'
import { DRY, ONE, TWO, TWO_LAYERS } from '../two-layers.fixture'
import { waitsText } from './waits-text'
import { standsIn, waitsFor, yardView } from './yard-view'

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const WASH = toOperationId('wash')
const at = (minutes: number) => plusMinutes(NOW, minutes)
const words = { region: DUBLIN, now: NOW, nameOf: (id: string) => id }

const live = (progress: Record<string, Progress>): LiveJob => ({
  id: toJobId('j'),
  arrive: at(-3000),
  weight: 1,
  plan: {
    operations: [
      { id: WASH, kind: 'wash', title: 'Wash', minutes: 60, mode: 'solid', people: 1, skill: 'prep' },
      ...TWO_LAYERS.operations,
    ],
    links: [{ from: WASH, to: ONE, min: 0 }, ...TWO_LAYERS.links],
    stays: [{ id: 'wet', kind: 'wash', operations: [WASH] }, ...TWO_LAYERS.stays],
  },
  progress,
  published: [WASH, ONE, TWO, DRY].map((operation) => ({
    job: toJobId('j'),
    operation,
    start: at(120),
    end: at(300),
    people: operation === DRY ? [] : [toPersonId('oran')],
    place: toBayId(operation === WASH ? 'wash' : 'loft-1'),
    segments: [],
  })),
})
const done = (from: number, to: number): Progress => ({
  kind: 'done',
  from: at(from),
  to: at(to),
  by: toPersonId('oran'),
})

function entry(job: LiveJob, now: Instant = NOW): FloorJob {
  return {
    job: {
      id: toJobId('j'),
      number: 101,
      kind: 'work',
      onGuarantee: false,
      customer: {
        id: toCustomerId('c'),
        name: 'Ita',
        phone: '',
        email: '',
        mayRemind: false,
        language: 'en',
        writeBy: 'email',
        tax: 'as-usual',
      },
      vehicle: {
        id: toVehicleId('v'),
        plate: 'IM 1',
        vin: '',
        make: 'Marl',
        model: 'Stonecrop',
        shape: 'hatchback',
        colour: 'Red',
        colourCode: '',
        paintSystem: 'clear-over-base',
        hardness: 'medium',
        storage: 'unknown',
        washing: 'unknown',
        salted: false,
        hardWater: false,
        treatments: [],
      },
      purpose: 'daily',
      wishes: '',
      keys: '',
      belongings: '',
      warnings: '',
      arriveAt: job.arrive,
    },
    live: job,
    surveyed: true,
    stage: stageOf({ job, surveyed: true, handedOver: false }, now),
  }
}

describe('a car between layers', () => {
  const job = live({ wash: done(-600, -540), one: done(-400, -200) })
  test('waits for its next layer, with the window from the real end of the last', () => {
    const waits = waitsFor(entry(job), NOW)
    expect(waits).toMatchObject({
      kind: 'next',
      operation: { id: 'two' },
      window: { opens: at(-20), closes: at(520) },
      overdue: false,
    })
    expect(waitsText(waits, words)).toEqual({ what: 'Next: Layer 2', until: 'oran, from 12:00', hold: true })
  })
  test('says so when the window has been missed', () => {
    const late = at(600)
    expect(waitsText(waitsFor(entry(job, late), late), { ...words, now: late }).until).toContain(
      'Window closed',
    )
  })
  test('stands in the loft, not in the wash bay', () => expect(standsIn(job, NOW)).toBe('loft-1'))
})

test('a cure says until when it must not be touched, and is counted from the real end of the layer', () => {
  const job = live({ wash: done(-600, -540), one: done(-500, -400), two: done(-200, -60) })
  const waits = waitsFor(entry(job), NOW)
  expect(waits).toMatchObject({ kind: 'hold', until: at(660) })
  expect(waitsText(waits, words)).toEqual({
    what: 'Dry hold: do not touch',
    until: 'Until 21:00',
    hold: true,
  })
})

test('work that runs over says when it was due', () => {
  const job = live({ wash: { kind: 'started', at: at(-90), by: toPersonId('oran') } })
  const overdue = { ...job, published: job.published.map((placed) => ({ ...placed, end: at(-30) })) }
  expect(waitsText(waitsFor(entry(overdue), NOW), words).until).toBe('oran, was due by 09:30')
})

test('what is with somebody outside is said to be with them, not with whoever handed it over', () => {
  const job = live({ wash: { kind: 'started', at: at(-90), by: toPersonId('oran') } })
  const [wash, ...rest] = job.plan.operations
  const out = {
    ...job,
    plan: { ...job.plan, operations: [{ ...wash!, vendorId: 'tam-wheels' }, ...rest] },
    published: job.published.map((placed) => ({ ...placed, people: [toPersonId('tam')] })),
  }
  expect(waitsText(waitsFor(entry(out), NOW), words).until).toBe('tam, until about 15:00')
})

test('the yard puts each car into its bay and what is about to close onto the list', () => {
  const job = live({ wash: done(-600, -540), one: done(-400, -200) })
  const floor = { now: NOW, shop: { setup, catalogue }, jobs: [entry(job)] } as unknown as Floor
  const sensor = new SimulatedClimateSensor()
  const yard = yardView(
    floor,
    (place) => sensor.air(place, NOW),
    () => floor.shop.catalogue[0]!,
  )
  expect(yard.places.find(({ id }) => id === 'loft-1')?.car?.entry.job.vehicle.plate).toBe('IM 1')
  expect(yard.places.filter(({ car }) => car)).toHaveLength(1)
  expect(yard.next.map(({ kind }) => kind)).toEqual(['begin', 'window-closes'])
  expect([...yard.outside, ...yard.expected]).toEqual([])
})

test('a second car in a bay that was left standing in it on paper is still to be seen, and one that is away is not on the floor', () => {
  const job = live({ wash: done(-600, -540), one: done(-400, -200) })
  const gone = {
    ...job,
    published: job.published.map((placed) => ({ ...placed, place: toBayId('away') })),
  }
  const floor = {
    now: NOW,
    shop: { setup, catalogue },
    jobs: [entry(job), entry(job), entry(gone)],
  } as unknown as Floor
  const yard = yardView(
    floor,
    () => undefined,
    () => floor.shop.catalogue[0]!,
  )
  expect(yard.places.filter(({ car }) => car)).toHaveLength(1)
  expect(yard.outside.map(({ entry: { job: seen } }) => seen.vehicle.plate)).toEqual(['IM 1'])
  expect(yard.expected).toEqual([])
})

test('cars that are expected stand in the order in which they come', () => {
  const coming = [3000, 1000, 2000].map((minutes) => {
    const { live: _, ...known } = entry({ ...live({}), arrive: at(minutes) })
    return { ...known, stage: { kind: 'to-measure' } as const }
  })
  const floor = { now: NOW, shop: { setup, catalogue }, jobs: coming } as unknown as Floor
  const { expected } = yardView(
    floor,
    () => undefined,
    () => floor.shop.catalogue[0]!,
  )
  expect(expected.map(({ entry: { job } }) => job.arriveAt)).toEqual([at(1000), at(2000), at(3000)])
})
