import type { Knex } from 'knex'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { ask } from '@/core/asks'
import { HISTORY_FORMAT, type HistoryStay, type VehicleHistory, writeHistory } from '@/core/history'
import type { Shop } from '@/core/shop'
import { instantOrThrow, type LocalDay, localDayOrThrow } from '@/core/time'
import { panelsOf, type Vehicle } from '@/core/vehicle'
import { failing, loadPaintPast, loadProtection } from '../aftercare/protection'
import { openDatabase } from '../db/connection'
import { loadShop } from '../shop/shop-store'
import { loadBrought } from './brought'
import { loadLedger } from './ledger-store'
import { withReadablePictures } from './readable-pictures'
import { bringHistory } from './vehicle-history'
import { findKnown } from './vehicle-store'

/** A car that comes with a history another shop has written: what it means here. */

const NOW = instantOrThrow('2027-01-13T10:00:00Z')
const day = localDayOrThrow

const stay = (at: LocalDay, homeOn: LocalDay, more: Partial<HistoryStay>): HistoryStay => ({
  day: at,
  homeOn,
  kind: 'work',
  title: 'Correction and coating',
  film: [],
  gloss: [],
  work: [],
  layers: [],
  looks: [],
  photographs: [],
  ...more,
})
const layer = (more: Partial<HistoryStay['layers'][number]> = {}): HistoryStay['layers'][number] => ({
  product: 'Heron Glaze',
  kind: 'single',
  lot: 'H-7',
  surface: 'paint',
  endedAt: instantOrThrow('2026-01-13T15:00:00.000Z'),
  lifeMonths: 24,
  firstVisitMonths: 12,
  ...more,
})
const removed = (panel: string, on: LocalDay): VehicleHistory['ledger'][number] => ({
  panel,
  day: on,
  removedUm: 2,
  uncertaintyUm: 0.5,
  source: 'measured',
  note: '',
})
const look = (part: string, water: 'tight' | 'wets'): HistoryStay['looks'][number] => ({
  part,
  water,
  cleaned: true,
  note: '',
})

let db: Knex
let shop: Shop
let cars = 0
beforeAll(async () => {
  db = await openDatabase(':memory:')
  shop = await loadShop(db)
})
afterAll(() => db.destroy())

async function bring(stays: HistoryStay[], ledger: VehicleHistory['ledger'] = []): Promise<Vehicle> {
  cars++
  const history: VehicleHistory = {
    format: HISTORY_FORMAT,
    writtenOn: day('2027-01-10'),
    shop: 'Heron Quay',
    vehicle: {
      plate: `HQ ${cars}`,
      vin: '',
      make: 'Tarrow',
      model: 'Lugger',
      shape: 'estate',
      colour: 'slate',
      colourCode: '',
      paintSystem: 'clear-over-base',
      hardness: 'medium',
      treatments: [],
    },
    stays,
    ledger,
  }
  const brought = await bringHistory(db, writeHistory(history), 'Conn Saltmarsh', NOW)
  if (brought.kind === 'refused') throw new Error(brought.message)
  return (await findKnown(db, brought.vehicleId))!.vehicle
}

const paintOf = async (vehicle: Vehicle) =>
  (await loadProtection(db, shop, vehicle, NOW)).surfaces.find(({ surface }) => surface === 'paint')
const units = async (vehicle: Vehicle) => (await paintOf(vehicle))?.units.map(({ id }) => id) ?? []
const PANELS = panelsOf('estate').map(({ id }) => id)

describe('what another shop has applied', () => {
  test('lies on all of the paint, or on the panels it names, or on another surface', async () => {
    const all = await bring([stay(day('2026-01-12'), day('2026-01-14'), { layers: [layer()] })])
    expect(await units(all)).toEqual(PANELS)
    const some = await bring([
      stay(day('2026-01-12'), day('2026-01-14'), {
        layers: [layer({ panels: ['bonnet', 'roof'] }), layer({ surface: 'glass', product: 'Heron Pane' })],
      }),
    ])
    expect((await units(some)).toSorted()).toEqual(['bonnet', 'roof'])
    const surfaces = (await loadProtection(db, shop, some, NOW)).surfaces.map(({ surface }) => surface)
    expect(surfaces).toEqual(['paint', 'glass'])
  })
  test('is not taken off by what was polished under it, but by what was polished after it went home', async () => {
    const stays = [stay(day('2026-01-12'), day('2026-01-14'), { layers: [layer()] })]
    const under = await bring(stays, [removed('bonnet', day('2026-01-14'))])
    expect(await units(under)).toContain('bonnet')
    const after = await bring(stays, [removed('bonnet', day('2026-06-01'))])
    expect(await units(after)).not.toContain('bonnet')
    expect(await units(after)).toContain('roof')
  })
  test('is our own product where the name is ours, and nobody’s guarantee in any case', async () => {
    const ours = shop.catalogue.find(({ guaranteeMonths, kind }) => guaranteeMonths > 0 && kind === 'single')!
    const car = await bring([
      stay(day('2026-01-12'), day('2026-01-14'), {
        layers: [layer({ product: ours.name }), layer({ product: 'Heron Glaze', kind: 'topper' })],
      }),
    ])
    const [coat, topper] = (await loadBrought(db, shop, car.id)).coats
    expect(coat!.product).toMatchObject({ id: ours.id, guaranteeMonths: 0, lifeMonths: 24 })
    expect(topper!.product.id).toBe('Heron Glaze')
    const dates = (await db('care_dates').where({ vehicle_id: car.id }).first())!
    expect(dates).toMatchObject({ laid_on: '2026-01-13', product_id: ours.id, guarantee_until: null })
  })
})

describe('what another shop has seen', () => {
  const coated = stay(day('2026-01-12'), day('2026-01-14'), { layers: [layer()] })
  const seen = (looks: HistoryStay['looks']) =>
    stay(day('2026-07-13'), day('2026-07-13'), { kind: 'visit', title: 'Visit', looks })
  test('moves the outlook here, panel by panel', async () => {
    const unseen = await bring([coated])
    const good = await bring([coated, seen(PANELS.map((part) => look(part, 'tight')))])
    const bad = await bring([
      coated,
      seen(PANELS.map((part) => look(part, part === 'bonnet' ? 'wets' : 'tight'))),
    ])
    expect((await paintOf(good))!.goodUntil.mid > (await paintOf(unseen))!.goodUntil.mid).toBe(true)
    const found = failing(await loadProtection(db, shop, bad, NOW))
    expect(found.map(({ unit, alone }) => [unit.id, alone])).toEqual([['bonnet', true]])
    expect((await db('care_dates').where({ vehicle_id: bad.id }).first())!.failing).toBe(1)
  })
  test('counts as a visit, so that the next window follows it', async () => {
    const car = await bring([coated, seen([look('bonnet', 'tight')])])
    const dates = (await db('care_dates').where({ vehicle_id: car.id }).first())!
    expect(dates.last_visit).toBe('2026-07-13')
    expect(dates.visit_from > '2026-07-13').toBe(true)
  })
  test('is told in the order of days, with the gloss that was read', async () => {
    const car = await bring([
      { ...coated, gloss: [{ panel: 'bonnet', phase: 'after', values: [94, 96] }] },
      seen([look('roof', 'tight')]),
    ])
    const { looks, coats, gloss } = await loadPaintPast(db, shop, car.id)
    expect(coats.every(({ endedAt }) => endedAt < looks[0]!.at)).toBe(true)
    expect(looks[0]).toMatchObject({ unit: 'roof', by: 'Heron Quay' })
    expect([...gloss.values()].some(({ bonnet }) => bonnet === 95)).toBe(true)
  })
})

test('a car that brings readings alone has no outlook and no place among the visits', async () => {
  const car = await bring([
    stay(day('2026-01-12'), day('2026-01-14'), {
      film: [{ panel: 'bonnet', phase: 'before', values: [118, 120] }],
    }),
  ])
  expect(await paintOf(car)).toBeUndefined()
  expect(await db('care_dates').where({ vehicle_id: car.id })).toEqual([])
})

describe('a file from elsewhere', () => {
  test('may hold as many removals as the form allows', async () => {
    const many = Array.from({ length: 5000 }, (_, at) =>
      removed(PANELS[at % PANELS.length]!, day('2026-01-13')),
    )
    const car = await bring([stay(day('2026-01-12'), day('2026-01-14'), {})], many)
    expect(await loadLedger(db, car.id)).toHaveLength(5000)
  })
  test('that tells of days to come is refused', async () => {
    await expect(bring([stay(day('2027-01-12'), day('2027-01-16'), {})])).rejects.toThrow(ask('file-to-come'))
  })
  test('loses from its papers the pictures nobody can read, and keeps the others', async () => {
    const whole = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#2f6242' } })
      .jpeg()
      .toBuffer()
    const photograph = (bytes: Buffer) => ({
      place: 'bonnet',
      phase: 'before' as const,
      takenAt: instantOrThrow('2026-01-13T10:00:00.000Z'),
      sha256: '',
      picture: bytes.toString('base64'),
    })
    const stays = [
      stay(day('2026-01-12'), day('2026-01-14'), {
        photographs: [photograph(whole), photograph(whole.subarray(0, whole.length / 2))],
      }),
    ]
    const { stays: read } = await withReadablePictures({ stays } as VehicleHistory)
    expect(read[0]!.photographs.map(({ picture }) => picture !== undefined)).toEqual([true, false])
  })
})
