import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Poured } from '@/core/card'
import { PADS } from '@/core/correction'
import { type BottleId, type JobId, type OperationId, type ProductId, toBottleId } from '@/core/ids'
import type { Bottle, PadSize, ShelfBottle, Supply, SupplyKind } from '@/core/stock'
import { dayIn, type Instant, instantOrThrow, type LocalDay, localDayOrThrow } from '@/core/time'
import { oneOf } from '../db/one-of'
import type { BottlesRow } from '../db/tables'

/** The shelf: bottles with what was poured from them, and sets of pads and towels. */

type BottleRow = BottlesRow & { poured_x10: number | null }

function toBottle(row: BottleRow): ShelfBottle {
  return {
    id: row.id,
    code: row.code,
    productId: row.product_id,
    lot: row.lot,
    fullMl: row.full_ml_x10 / 10,
    leftMl: Math.max(0, row.full_ml_x10 - (row.poured_x10 ?? 0)) / 10,
    arrivedOn: localDayOrThrow(row.arrived_on),
    ...(row.opened_on ? { openedOn: localDayOrThrow(row.opened_on) } : {}),
    ...(row.gone_on ? { goneOn: localDayOrThrow(row.gone_on) } : {}),
  }
}

/** Every bottle that stands on the shelf, open ones and old ones too; those that are gone are left out. */
export async function listBottles(db: Knex): Promise<ShelfBottle[]> {
  const poured = db('pours').sum('ml_x10').whereRaw('pours.bottle_id = bottles.id')
  const rows: BottleRow[] = await db('bottles')
    .whereNull('gone_on')
    .select('bottles.*', poured.as('poured_x10'))
    .orderBy('code')
  return rows.map(toBottle)
}

export async function addBottle(
  db: Knex,
  bottle: Pick<Bottle, 'productId' | 'lot' | 'fullMl' | 'arrivedOn'>,
): Promise<BottleId> {
  const id = toBottleId(randomUUID())
  const last = await db('bottles').orderBy('code', 'desc').first('code')
  await db('bottles').insert({
    id,
    code: (last?.code ?? 0) + 1,
    product_id: bottle.productId,
    lot: bottle.lot,
    full_ml_x10: Math.round(bottle.fullMl * 10),
    arrived_on: bottle.arrivedOn,
  })
  return id
}

export async function markOpened(db: Knex, id: BottleId, day: LocalDay): Promise<void> {
  await db('bottles').where({ id }).whereNull('opened_on').update({ opened_on: day })
}

export async function markGone(db: Knex, id: BottleId, day: LocalDay): Promise<void> {
  await db('bottles').where({ id }).whereNull('gone_on').update({ gone_on: day })
}

const POURED_BACK = 'taken back'

export type PouredFor = { job: JobId; operation: OperationId; act: string; at: Instant; day: LocalDay }

/** Books what was poured. A bottle poured from is open from that day on. */
export async function pour(db: Knex, poured: readonly Poured[], why: PouredFor): Promise<void> {
  for (const { bottle, ml } of poured) {
    if (!(await db('bottles').where({ id: bottle }).first())) continue
    await db('pours').insert({
      bottle_id: bottle,
      ml_x10: Math.round(ml * 10),
      job_id: why.job,
      operation_id: why.operation,
      act_id: why.act,
      at: why.at,
    })
    await markOpened(db, bottle, why.day)
  }
}

/**
 * A layer was logged by mistake: what was booked for it goes back into its bottles, and both entries stay. A bottle that was opened
 * for it is closed again.
 */
export async function pourBack(
  db: Knex,
  job: JobId,
  operation: OperationId,
  { at, zone }: { at: Instant; zone: string },
): Promise<void> {
  const booked: { bottle_id: BottleId; ml_x10: number; first: string }[] = await db('pours')
    .join('acts', 'acts.id', 'pours.act_id')
    .where('pours.job_id', job)
    .where('pours.operation_id', operation)
    .whereRaw("json_extract(acts.act, '$.kind') IN ('done', 'record', 'high-spot-gone')")
    .groupBy('bottle_id')
    .select('bottle_id')
    .sum({ ml_x10: 'pours.ml_x10' })
    .min({ first: 'pours.at' })
  const back: { bottle_id: BottleId; ml_x10: number }[] = await db('pours')
    .where({ job_id: job, operation_id: operation, note: POURED_BACK })
    .groupBy('bottle_id')
    .select('bottle_id')
    .sum({ ml_x10: 'ml_x10' })
  const returned = new Map(back.map((row) => [row.bottle_id, Number(row.ml_x10)]))
  for (const { bottle_id, ml_x10, first } of booked) {
    const still = ml_x10 + (returned.get(bottle_id) ?? 0)
    if (still <= 0) continue
    await db('pours').insert({
      bottle_id,
      ml_x10: -still,
      job_id: job,
      operation_id: operation,
      note: POURED_BACK,
      at,
    })
    await closeAgain(db, bottle_id, dayIn(zone, instantOrThrow(first)))
  }
}

/** A bottle that was opened on that day or later, and from which nothing that is poured stands any more. */
async function closeAgain(db: Knex, id: BottleId, day: LocalDay): Promise<void> {
  const stands = await db('pours')
    .where({ bottle_id: id })
    .andWhere((each) => each.whereNotNull('act_id').orWhere({ note: POURED_BACK }))
    .sum({ ml_x10: 'ml_x10' })
    .first()
  if (Number(stands?.ml_x10 ?? 0) === 0)
    await db('bottles').where({ id }).andWhere('opened_on', '>=', day).update({ opened_on: null })
}

/** Somebody looked: so much is really left. The difference is booked, so that the history stays. */
export async function recount(db: Knex, id: BottleId, leftMl: number, at: Instant): Promise<boolean> {
  const bottle = (await listBottles(db)).find((each) => each.id === id)
  if (!bottle) return false
  const difference = Math.round((bottle.leftMl - leftMl) * 10)
  if (difference !== 0) await db('pours').insert({ bottle_id: id, ml_x10: difference, note: 'counted', at })
  return true
}

export async function loadReorderPoints(db: Knex): Promise<Record<string, number>> {
  return Object.fromEntries((await db('reorder_points')).map(({ product_id, ml }) => [product_id, ml]))
}

export async function setReorderPoint(db: Knex, productId: ProductId, ml: number): Promise<void> {
  await db('reorder_points').insert({ product_id: productId, ml }).onConflict('product_id').merge()
}

export async function listSupplies(db: Knex): Promise<Supply[]> {
  return (await db('supplies').orderBy(['kind', 'name'])).map((row) => ({
    id: row.id,
    kind: row.kind,
    name: row.name,
    clean: row.clean,
    dirty: row.dirty,
    washes: row.washes,
    washesMost: row.washes_most,
    reorderAt: row.reorder_at,
    ...(row.cents > 0 ? { cents: row.cents } : {}),
    ...(row.pad && row.mm ? { of: { pad: oneOf(PADS, row.pad), mm: row.mm } } : {}),
  }))
}

export async function addSupply(db: Knex, supply: Omit<Supply, 'id'>): Promise<void> {
  const { kind, name, clean, dirty, washes, washesMost, reorderAt, of } = supply
  const counts = { clean, dirty, washes, washes_most: washesMost, reorder_at: reorderAt }
  const row = { kind, name, ...counts, pad: of?.pad ?? null, mm: of?.mm ?? null }
  await db('supplies').insert({ id: randomUUID(), ...row })
}

/** What one of a set costs, cents; false where there is no such set. */
export const setSupplyPrice = async (db: Knex, id: string, cents: number): Promise<boolean> =>
  (await db('supplies').where({ id }).update({ cents })) > 0

/**
 * So many of a set were used: from the clean pile to the dirty one, no more than are there. Pads come from a set of their kind and width,
 * where there is one.
 */
export async function soil(
  db: Knex,
  kind: SupplyKind,
  count: number,
  of: readonly PadSize[] = [],
): Promise<void> {
  const sets = await db('supplies').where({ kind }).where('clean', '>', 0).orderBy('name')
  const row = sets.find(({ pad, mm }) => of.some((each) => each.pad === pad && each.mm === mm)) ?? sets[0]
  if (!row) return
  const used = Math.min(row.clean, count)
  await db('supplies')
    .where({ id: row.id })
    .update({ clean: row.clean - used, dirty: row.dirty + used })
}

/** The dirty ones were washed: all are clean, and the set has one more wash behind it. False where there is no such set. */
export async function washSupply(db: Knex, id: string): Promise<boolean> {
  await db('supplies')
    .where({ id })
    .where('dirty', '>', 0)
    .update({ clean: db.raw('clean + dirty'), dirty: 0, washes: db.raw('washes + 1') })
  return (await db('supplies').where({ id }).first('id')) !== undefined
}

/** Counted anew: so many are there, clean and dirty together, the washed-out ones thrown away. */
export async function recountSupply(db: Knex, id: string, clean: number): Promise<boolean> {
  return (await db('supplies').where({ id }).update({ clean, dirty: 0 })) > 0
}

/** A worn set is replaced by a new one. */
export async function renewSupply(db: Knex, id: string): Promise<boolean> {
  const renewed = await db('supplies')
    .where({ id })
    .update({ washes: 0, clean: db.raw('clean + dirty'), dirty: 0 })
  return renewed > 0
}
