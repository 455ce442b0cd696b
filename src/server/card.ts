import type { Knex } from 'knex'
import {
  cardOf,
  type Entry,
  type MachineRecipe,
  type PanelTask,
  processesNow,
  worklist,
  workOn,
} from '@/core/card'
import type { BayClimate, SensorState } from '@/core/climate'
import { type CoatingOutlook, coatingOutlook, flashBand, type Product } from '@/core/coating'
import { cautionFor, type LiveJob, type PlannedOperation, recipeFor } from '@/core/job'
import { openMinutesBetween } from '@/core/schedule'
import { pourPlan } from '@/core/stock'
import { dayIn, type Instant, minutesBetween } from '@/core/time'
import { panelsOf, type Shape } from '@/core/vehicle'
import { loadEntries } from './acts-store'
import { bayAir, believed } from './air'
import type { Floor, FloorJob } from './floor'
import { everyone } from './shop-store'
import { listBottles, type ShelfBottle } from './stock-store'
import type { LayerLog } from './work-store'
import { loadLayers } from './work-store'

/** What a step needs beside its plan: words, panels, and for a coat its product, air and bottles. */
export type StepSheet = {
  caution?: string
  recipe?: string
  tasks: PanelTask[]
  /** Minutes worked so far of a step under way: on shift, and not resting. */
  workedMinutes?: number
  machines: MachineRecipe[]
  coat?: CoatSheet
}

export type CoatSheet = {
  product: Pick<Product, 'id' | 'name' | 'mlPerM2'>
  /** What this coat was reckoned to take, ml. */
  ml: number
  bay: string
  bayName: string
  sensor: SensorState
  climate?: BayClimate
  outlook: CoatingOutlook
  dewMarginC?: number
  flash: { min: number; max: number }
  bottles: Pick<ShelfBottle, 'id' | 'code' | 'lot' | 'leftMl' | 'openedOn'>[]
  poured: { bottle: string; ml: number }[]
  shortMl: number
}

/** A job card as it travels to the tablet: plain data, from which the card shows and goes on by itself. */
export type CardView = {
  now: Instant
  zone: string
  job: { id: string; plate: string; car: string; shape: Shape; customer: string; number: number }
  live: LiveJob
  entries: Entry[]
  sheets: Record<string, StepSheet>
  processes: Record<string, string>
  people: { id: string; name: string; skills: string[] }[]
  layers: LayerLog[]
}

export async function loadCardView(db: Knex, floor: Floor, entry: FloorJob): Promise<CardView | undefined> {
  const { job, live, agreement } = entry
  if (!live || !agreement) return undefined
  const { setup, catalogue } = floor.shop
  const entries = await loadEntries(db, job.id)
  const state = cardOf(live, entries)
  const processes = processesNow(agreement.summary.processes, state.processes)
  const bays = [...new Set(live.published.map(({ place }) => place))]
  const air = await bayAir(db, bays, floor.now)
  const bottles = await listBottles(db)
  const today = dayIn(setup.timezone, floor.now)
  const panels = panelsOf(job.vehicle.shape)
  const coatOf = (operation: PlannedOperation): CoatSheet | undefined => {
    const product = catalogue.find(({ id }) => id === operation.productId)
    if (!product || (operation.kind !== 'layer' && operation.kind !== 'surface')) return undefined
    const bay = live.published.find((placed) => placed.operation === operation.id)?.place ?? bays[0] ?? ''
    const told = agreement.summary.coats.find(
      ({ product: name, layer, surface }) =>
        name === product.name &&
        (operation.kind === 'layer' ? layer === operation.layer : surface === operation.surface),
    )
    const ml = told?.ml ?? product.mlPerM2 * panels.reduce((sum, { areaM2 }) => sum + areaM2, 0)
    return coatSheet({ product, ml, bay, bottles, today, air: air.get(bay), places: setup.places })
  }
  const workedOn = (operation: PlannedOperation): number | undefined => {
    const progress = state.progress[operation.id]
    if (progress?.kind !== 'started') return undefined
    const calendar = setup.calendars[everyone(setup).find(({ id }) => id === progress.by)?.calendar ?? '']
    const open = (from: Instant, until: Instant) =>
      calendar
        ? openMinutesBetween(calendar, setup.timezone, from, until)
        : Math.max(0, minutesBetween(from, until))
    const rested = workOn(state, operation.id).pauses.map(({ from, to }) => open(from, to ?? floor.now))
    return Math.max(0, open(progress.at, floor.now) - rested.reduce((sum, minutes) => sum + minutes, 0))
  }
  const sheets = Object.fromEntries(
    live.plan.operations.map((operation): [string, StepSheet] => {
      const { tasks, recipes } = worklist(operation, panels, processes, agreement.summary.care)
      const [caution, recipe, coat] = [cautionFor(operation), recipeFor(operation), coatOf(operation)]
      const workedMinutes = workedOn(operation)
      return [
        operation.id,
        {
          tasks,
          machines: recipes,
          ...(workedMinutes === undefined ? {} : { workedMinutes }),
          ...(caution ? { caution } : {}),
          ...(recipe ? { recipe } : {}),
          ...(coat ? { coat } : {}),
        },
      ]
    }),
  )
  const { vehicle, customer } = job
  return {
    now: floor.now,
    zone: setup.timezone,
    job: {
      id: job.id,
      plate: vehicle.plate,
      car: `${vehicle.make} ${vehicle.model}`,
      shape: vehicle.shape,
      customer: customer.name,
      number: job.number,
    },
    live,
    entries,
    sheets,
    processes,
    people: everyone(setup).map(({ id, name, skills }) => ({ id, name, skills })),
    layers: await loadLayers(db, job.id),
  }
}

type CoatSheetInput = {
  product: Product
  ml: number
  bay: string
  bottles: readonly ShelfBottle[]
  today: ReturnType<typeof dayIn>
  air: Awaited<ReturnType<typeof bayAir>> extends Map<string, infer Air> ? Air | undefined : never
  places: readonly { id: string; name: string }[]
}

/** What the flash is reckoned by where no sensor says anything: the air a data sheet speaks of, °C and %. */
const SHEET_AIR = { airC: 20, rhPercent: 50 }

function coatSheet({ product, ml, bay, bottles, today, air, places }: CoatSheetInput): CoatSheet {
  const climate = believed(air)
  const { airC, rhPercent } = climate ?? SHEET_AIR
  const outlook = climate
    ? coatingOutlook(product, air!.readings)
    : { breaches: [{ rule: 'climate-not-measured' as const }] }
  return {
    product: { id: product.id, name: product.name, mlPerM2: product.mlPerM2 },
    ml: Math.ceil(ml),
    bay,
    bayName: places.find(({ id }) => id === bay)?.name ?? bay,
    sensor: air?.state ?? { kind: 'silent' },
    ...(climate ? { climate } : {}),
    outlook,
    flash: flashBand(product, airC, rhPercent),
    bottles: bottles
      .filter(({ productId }) => productId === product.id)
      .map(({ id, code, lot, leftMl, openedOn }) => ({
        id,
        code,
        lot,
        leftMl,
        ...(openedOn ? { openedOn } : {}),
      })),
    ...pourPlan(bottles, product, Math.ceil(ml), today),
  }
}
