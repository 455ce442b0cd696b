import type { Knex } from 'knex'
import { cardOf } from '@/core/card'
import { atPanels } from '@/core/card/at-panel'
import { stepSheets } from '@/core/card/sheets'
import type { CardView } from '@/core/card/view'
import { washTooOld } from '@/core/job'
import type { Floor, FloorJob } from '@/core/planning'
import { everyone } from '@/core/shop'
import { panelsOfVehicle, singleStagePanels } from '@/core/vehicle'
import { listVerdicts } from '../handover/handover-store'
import { listPhotos } from '../photos/photo-store'
import { panelsThatWait } from '../quotes/methods-changed'
import { bayAir } from '../shop/air'
import { listBottles, listSupplies } from '../stock/stock-store'
import { listStores } from '../stock/stores'
import { loadJudged } from '../survey/judged'
import { washLines } from '../survey/wash-plan'
import { loadEntries } from './acts-store'
import { seenBefore } from './seen-before'
import { loadWetElsewhere } from './wet'
import { loadLayers } from './work-store'

/** Undefined where nothing is agreed yet. */
export async function loadCardView(db: Knex, floor: Floor, entry: FloorJob): Promise<CardView | undefined> {
  const { job, live, agreement } = entry
  if (!live || !agreement) return undefined
  const { now, shop } = floor
  const entries = await loadEntries(db, job.id)
  const state = cardOf(live, entries)
  const bays = [...new Set(live.published.map(({ place }) => place))]
  const old = washTooOld(live, now)
  const waits = await panelsThatWait(db, shop, live, now)
  const wetElsewhere = await loadWetElsewhere(db, floor, job.id)
  const sheets = stepSheets({
    now,
    shop,
    live,
    state,
    agreement,
    panels: panelsOfVehicle(job.vehicle),
    singleStage: singleStagePanels(job.vehicle),
    air: await bayAir(db, floor.shop.setup, bays, now),
    bottles: await listBottles(db),
    cleanTowels: (await listSupplies(db)).reduce(
      (sum, { kind, clean }) => sum + (kind === 'towel' ? clean : 0),
      0,
    ),
    left: new Map((await listStores(db)).flatMap(({ key, left }) => (key === 'tape' ? [] : [[key, left]]))),
    faults: new Map(
      (await listVerdicts(db, job.id)).flatMap(({ item, verdict, note, by }) =>
        verdict === 'fault' ? [[item, { note, by }]] : [],
      ),
    ),
  })
  return {
    now,
    region: shop.setup.region,
    job: {
      id: job.id,
      plate: job.vehicle.plate,
      shape: job.vehicle.shape,
      ...(job.vehicle.panelFacts ? { panelFacts: job.vehicle.panelFacts } : {}),
      kind: job.kind,
    },
    live,
    entries,
    sheets,
    processes: {
      ...agreement.summary.processes,
      ...Object.fromEntries(state.processes.map(({ panel, process }) => [panel, process])),
    },
    ...(waits.size > 0 ? { waits: [...waits] } : {}),
    people: everyone(shop.setup).map(({ id, name }) => ({
      id,
      name,
      ...(shop.setup.people.some((own) => own.id === id) ? {} : { outside: true }),
    })),
    layers: await loadLayers(db, job.id),
    wash: await washLines(db, job, shop),
    photos: await listPhotos(db, job.id),
    ...(old ? { washOld: old } : {}),
    ...(wetElsewhere.length > 0 ? { wetElsewhere } : {}),
    atPanels: atPanels(
      (await loadJudged(db, job, shop.setup)).judgement,
      agreement.summary,
      await seenBefore(db, job, shop.setup.region.timezone),
    ),
  }
}
