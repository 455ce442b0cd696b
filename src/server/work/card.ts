import type { Knex } from 'knex'
import { cardOf, type Entry, processesNow } from '@/core/card'
import type { JobKind, LiveJob } from '@/core/job'
import type { Floor, FloorJob } from '@/core/planning'
import { everyone } from '@/core/shop'
import type { Instant } from '@/core/time'
import { panelsOf, type Shape } from '@/core/vehicle'
import { listPhotos, type Photo } from '../photos/photo-store'
import { bayAir } from '../shop/air'
import { listBottles } from '../stock/stock-store'
import { type WashLine, washLines } from '../survey/wash-plan'
import { loadEntries } from './acts-store'
import { type StepSheet, stepSheets } from './card-sheets'
import { type LayerLog, loadLayers } from './work-store'

/** A job card as it travels to the tablet: plain data, from which the card shows and goes on by itself. */
export type CardView = {
  now: Instant
  zone: string
  job: { id: string; plate: string; shape: Shape; kind: JobKind }
  live: LiveJob
  entries: Entry[]
  sheets: Record<string, StepSheet>
  /** The process of each panel, as agreed or as changed at the car. */
  processes: Record<string, string>
  people: { id: string; name: string }[]
  layers: LayerLog[]
  /** The wash as it was planned, with what to pour; empty until that was done. */
  wash: WashLine[]
  photos: Photo[]
}

/** Undefined where nothing is agreed yet. */
export async function loadCardView(db: Knex, floor: Floor, entry: FloorJob): Promise<CardView | undefined> {
  const { job, live, agreement } = entry
  if (!live || !agreement) return undefined
  const { now, shop } = floor
  const entries = await loadEntries(db, job.id)
  const state = cardOf(live, entries)
  const bays = [...new Set(live.published.map(({ place }) => place))]
  const sheets = stepSheets({
    now,
    shop,
    live,
    state,
    agreement,
    panels: panelsOf(job.vehicle.shape),
    air: await bayAir(db, floor.shop.setup, bays, now),
    bottles: await listBottles(db),
  })
  return {
    now,
    zone: shop.setup.timezone,
    job: { id: job.id, plate: job.vehicle.plate, shape: job.vehicle.shape, kind: job.kind },
    live,
    entries,
    sheets,
    processes: processesNow(agreement.summary.processes, state.processes),
    people: everyone(shop.setup).map(({ id, name }) => ({ id, name })),
    layers: await loadLayers(db, job.id),
    wash: await washLines(db, job, shop.setup.wash),
    photos: await listPhotos(db, job.id),
  }
}
