import type { Knex } from 'knex'
import type { Coat, KeptLook } from '@/core/aftercare'
import { type HistoryStay, readHistory, type VehicleHistory } from '@/core/history'
import { type JobId, toJobId, toProductId, type VehicleId } from '@/core/ids'
import type { Shop } from '@/core/shop'
import { mean } from '@/core/survey'
import { type Instant, instantOrThrow } from '@/core/time'

/** What other shops have written of a vehicle: shown as they wrote it, and counted like our own. */

/** Histories other shops wrote of a vehicle, the oldest first; and when those came that this version cannot read. */
export async function readBroughtFiles(
  db: Knex,
  vehicleId: VehicleId,
): Promise<{ read: VehicleHistory[]; unread: Instant[] }> {
  const rows: { history: string; read_at: string }[] = await db('brought_histories')
    .where({ vehicle_id: vehicleId })
    .orderBy('id')
    .select('history', 'read_at')
  const found: { read: VehicleHistory[]; unread: Instant[] } = { read: [], unread: [] }
  for (const { history, read_at } of rows) {
    const read = readHistory(history)
    if (read.ok) found.read.push(read.value)
    else found.unread.push(instantOrThrow(read_at))
  }
  return found
}

/** Those of them that can be read. */
export const listBrought = async (db: Knex, vehicleId: VehicleId): Promise<VehicleHistory[]> =>
  (await readBroughtFiles(db, vehicleId)).read

/** A stay elsewhere, under a name that no job of ours has. */
type Elsewhere = { key: string; shop: string; stay: HistoryStay }

export type BroughtPast = {
  coats: Coat[]
  looks: (KeptLook & { jobId: JobId })[]
  /** Mean gloss by panel, GU, under `STAY before` and `STAY after`. */
  gloss: Map<string, Record<string, number>>
}

/**
 * What lies on a vehicle from other shops and what was seen of it there. A product we know by its name is that product; but we
 * stand for nobody else's work, so nothing of it is on our guarantee.
 */
export async function loadBrought(
  db: Knex,
  { catalogue }: Pick<Shop, 'catalogue'>,
  vehicleId: VehicleId,
): Promise<BroughtPast> {
  const stays = (await listBrought(db, vehicleId)).flatMap(({ shop, stays: own }, file) =>
    own.map((stay, at): Elsewhere => ({ key: `brought-${file}-${at}`, shop, stay })),
  )
  return {
    coats: stays.flatMap((elsewhere) => coatsOf(elsewhere, catalogue)),
    looks: stays.flatMap(looksOf),
    gloss: new Map(stays.flatMap(glossOf)),
  }
}

function coatsOf({ key, stay }: Elsewhere, catalogue: Shop['catalogue']): Coat[] {
  return stay.layers.map(
    ({ product, kind, lot, surface, panels, endedAt, lifeMonths, firstVisitMonths }) => ({
      jobId: toJobId(key),
      product: {
        id: catalogue.find(({ name }) => name === product)?.id ?? toProductId(product),
        name: product,
        kind,
        lifeMonths,
        firstVisitMonths,
        guaranteeMonths: 0,
        topperFromMinutes: 0,
      },
      lot,
      endedAt: instantOrThrow(endedAt),
      part:
        surface === 'paint' ? { kind: 'paint', ...(panels ? { panels } : {}) } : { kind: 'surface', surface },
      homeOn: stay.homeOn,
    }),
  )
}

/** Seen at noon of the day on which it came: a file knows no hour. */
const looksOf = ({ key, shop, stay }: Elsewhere) =>
  stay.looks.map(({ part, ...look }) => ({
    ...look,
    unit: part,
    by: shop,
    at: instantOrThrow(`${stay.day}T12:00:00.000Z`),
    jobId: toJobId(key),
  }))

function glossOf({ key, stay }: Elsewhere): [string, Record<string, number>][] {
  return (['before', 'after'] as const).map((phase) => [
    `${key} ${phase}`,
    Object.fromEntries(
      stay.gloss.filter((round) => round.phase === phase).map(({ panel, values }) => [panel, mean(values)]),
    ),
  ])
}
