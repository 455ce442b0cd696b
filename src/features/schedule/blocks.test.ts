import { expect, test } from 'vitest'
import { toBayId, toJobId, toPersonId } from '@/core/ids'
import type { LiveJob } from '@/core/job'
import { type Floor, type Hold, shopCalendar } from '@/core/planning'
import { type Instant, instantOrThrow, localDayOrThrow, plusMinutes } from '@/core/time'
import setup from '../../../demo/setup.json'
import { DRY, ONE, TWO, TWO_LAYERS } from '../two-layers.fixture'
import { blocksOf, staysOf } from './blocks'

const NOW = instantOrThrow('2027-01-13T07:00:00Z')
const hours = shopCalendar({ ...setup, equipment: {} } as never)
const at = (minutes: number) => plusMinutes(NOW, minutes)

/** The first layer ends at a minute of the day; the second is planned a while after. */
const live = (end: number, second: number): LiveJob => ({
  id: toJobId('j'),
  arrive: NOW,
  weight: 1,
  plan: TWO_LAYERS,
  progress: {},
  published: TWO_LAYERS.operations.map(({ id, minutes }) => {
    const start = id === ONE ? end - minutes : id === TWO ? second : second + 600
    const place = toBayId('loft-1')
    const people = id === DRY ? [] : [toPersonId(id === ONE ? 'brida' : 'oran')]
    return {
      job: toJobId('j'),
      operation: id,
      start: at(start),
      end: at(start + minutes),
      people,
      place,
      segments: [],
    }
  }),
})

const second = (job: LiveJob) =>
  blocksOf('IM 1', job, NOW, hours).find(({ operation }) => operation.id === TWO)!

test('a layer is tight where it may overrun by less than such work varies by, and nobody says so without the shop’s hours', () => {
  // Her shift goes on until 11:30; his evening has room for the second layer in any case.
  const tight = [180, 210, 240, 265].map((end) => {
    const { mayOverrun, tight: is } = second(live(end, 545))
    return [mayOverrun, is ?? false]
  })
  expect(tight).toEqual([
    [90, false],
    [60, false],
    [30, true],
    [5, true],
  ])
  const without = blocksOf('IM 1', live(265, 545), NOW)
  expect(without.some(({ tight, mayOverrun }) => tight || mayOverrun !== undefined)).toBe(false)
})

test('a held slot is drawn under its caller’s name, marked as held with every step of it', () => {
  const { published, plan } = live(300, 480)
  const hold: Hold = {
    id: toJobId('hold-1'),
    name: 'Ita Breen',
    phone: '01 555 0142',
    car: '',
    shape: 'hatchback',
    state: 'usual',
    packageKey: 'headland',
    packageName: 'Headland',
    bringAt: NOW,
    collectAt: at(3000),
    chance: 0.8,
    until: localDayOrThrow('2027-01-14'),
    plan,
    placed: published.map((placed) => ({ ...placed, job: toJobId('hold-1') })),
  }
  const floor = { now: NOW, jobs: [], holds: [hold] } as unknown as Floor
  const stays = staysOf(floor, hours)
  expect(stays.map(({ plate, held, jobId }) => [plate, held, jobId])).toEqual(
    plan.stays.map(() => ['Ita Breen', true, 'hold-1']),
  )
  expect(stays.flatMap(({ blocks }) => blocks).every(({ held }) => held)).toBe(true)
  expect(stays[0]!.start).toBe(published.map(({ start }) => start as Instant).sort()[0])
})
