import type { BayAir, BayClimate, SensorState } from '../climate'
import { believed } from '../climate'
import {
  type CoatingOutlook,
  coatingOutlook,
  flashBand,
  type Product,
  SHEET_AIR,
  sheetThen,
} from '../coating'
import type { BottleId, PersonId } from '../ids'
import type { LiveJob } from '../job'
import { type Agreement, agreedWork, type PlannedOperation, shareOfLayer } from '../offer'
import { openMinutesBetween } from '../schedule'
import { everyone, type Shop } from '../shop'
import { type BottleState, bottleState, pourPlan, type ShelfBottle } from '../stock'
import { type SupplyKind, setTime } from '../supply'
import { dayIn, type Instant, minutesBetween } from '../time'
import type { Panel, PanelId } from '../vehicle'
import { towelsPlanned } from './coat-sections'
import type { AirLimits } from './facts'
import { type LiquidHere, liquidsAt } from './liquids'
import { type CardState, workOn } from './state'
import { type WashStands, washStands } from './timers'
import { type MachineRecipe, type PanelTask, worklist, workNow } from './worklist'

/** What a step needs at the car beside its plan: words, panels, and for a coat its product, air and bottles. */
export type StepSheet = {
  tasks: PanelTask[]
  /** Minutes worked so far of a step under way: on shift, and not resting. */
  workedMinutes?: number
  machines: MachineRecipe[]
  /** What the inspector found, where a place is done again. */
  found?: { note: string; by: PersonId }
  /** Left out where nothing is poured. */
  liquids?: LiquidHere[]
  /** How long an all-in-one of this step sets before it is wiped off. */
  setMinutes?: number
  /** How long what is poured at a wash may stand, where nobody planned it. */
  standsMinutes?: WashStands
  /** The gloss agreed, and the panels it is read on; where this step is at the machine. */
  gloss?: { targetGu: number; panels: string[] }
  coat?: CoatSheet
}

export type CoatSheet = {
  product: Pick<Product, 'id' | 'name' | 'sectionM'> & AirLimits
  /** What this coat was planned to take, ml. */
  ml: number
  /** Undefined where the step is on no calendar. */
  bayName: string | undefined
  sensor: SensorState
  climate?: BayClimate
  outlook: CoatingOutlook
  /** Seconds. */
  flash: { min: number; max: number }
  bottles: (Pick<ShelfBottle, 'id' | 'code' | 'lot' | 'leftMl' | 'openedOn'> & { state: BottleState })[]
  /** From which bottles it would be poured, and what the shelf lacks. */
  poured: { bottle: BottleId; ml: number }[]
  shortMl: number
  /** What this layer takes of clean towels, and how many there are. */
  towels: { planned: number; clean: number }
}

/** All that the sheets of one job are made from, at one moment. */
export type SheetInput = {
  now: Instant
  shop: Shop
  live: LiveJob
  state: CardState
  agreement: Agreement
  panels: readonly Panel[]
  singleStage: readonly PanelId[]
  air: ReadonlyMap<string, BayAir>
  bottles: readonly ShelfBottle[]
  cleanTowels: number
  /** What is left of the liquids that are counted, ml. */
  left?: ReadonlyMap<SupplyKind, number>
  /** What is at fault, by the place it was found at. */
  faults: ReadonlyMap<string, NonNullable<StepSheet['found']>>
}

/** The sheet of every step, by its id. */
export function stepSheets(input: SheetInput): Record<string, StepSheet> {
  return Object.fromEntries(
    input.live.plan.operations.map((operation) => [operation.id, stepSheet(input, operation)]),
  )
}

function stepSheet(input: SheetInput, operation: PlannedOperation): StepSheet {
  const { summary } = input.agreement
  const work = workNow(agreedWork(summary), input.state.processes, input.shop.setup.methods)
  const coat = coatSheet(input, operation)
  const workedMinutes = workedSoFar(input, operation)
  const { tasks, recipes } = worklist(operation, input.panels, work, summary.care, coat?.product.sectionM)
  const { supplies } = input.shop.setup
  const liquids = liquidsAt(operation, { ...input, recipes, supplies })
  return {
    tasks,
    machines: recipes,
    ...foundAt(input, operation),
    ...(liquids.length > 0 ? { liquids } : {}),
    ...(liquids.some(({ kind }) => kind === 'all-in-one') ? setTime(supplies) : {}),
    ...(operation.kind === 'wash' ? { standsMinutes: washStands(supplies) } : {}),
    ...(recipes.length > 0 && summary.gloss ? { gloss: summary.gloss } : {}),
    ...(workedMinutes === undefined ? {} : { workedMinutes }),
    ...(coat
      ? { coat: { ...coat, towels: { planned: towelsPlanned(tasks), clean: input.cleanTowels } } }
      : {}),
  }
}

/** What was said of the place that this step does again. */
function foundAt({ faults }: SheetInput, { title }: PlannedOperation): Pick<StepSheet, 'found'> {
  if (typeof title !== 'object' || title.code !== 'again') return {}
  const found = faults.get(title.place)
  return found ? { found } : {}
}

/** Minutes on shift since a step was begun, less those in which it rested; undefined where it is not under way. */
function workedSoFar({ now, shop, state }: SheetInput, { id }: PlannedOperation): number | undefined {
  const progress = state.progress[id]
  if (progress?.kind !== 'started') return undefined
  const { setup } = shop
  const shifts = everyone(setup).find((person) => person.id === progress.by)?.calendar
  const calendar = shifts === undefined ? undefined : setup.calendars[shifts]
  const open = (from: Instant, until: Instant) =>
    calendar
      ? openMinutesBetween(calendar, setup.region.timezone, from, until)
      : Math.max(0, minutesBetween(from, until))
  const rested = workOn(state, id).pauses.reduce((sum, { from, to }) => sum + open(from, to ?? now), 0)
  return Math.max(0, open(progress.at, now) - rested)
}

/** What a coat was planned to take when it was agreed, ml; by its area where that was not kept. */
function agreedMl(
  { agreement, live, panels }: SheetInput,
  operation: PlannedOperation,
  product: Product,
): number {
  const told = agreement.summary.coats.find(
    (coat) =>
      coat.product === product.name &&
      (operation.kind === 'layer' ? coat.layer === operation.layer : coat.surface === operation.surface),
  )
  const own = panels.filter(({ id }) => operation.panels?.includes(id) ?? true)
  if (told) return Math.ceil(told.ml * shareOfLayer(operation, live.plan.operations, panels))
  return Math.ceil(product.mlPerM2 * own.reduce((sum, { areaM2 }) => sum + areaM2, 0))
}

function coatSheet(input: SheetInput, operation: PlannedOperation): Omit<CoatSheet, 'towels'> | undefined {
  const { live, shop, bottles, now } = input
  // What was agreed by a sheet is applied by it.
  const product = operation.productId && sheetThen(shop, operation.productId, input.agreement.agreedAt)
  if (!product || (operation.kind !== 'layer' && operation.kind !== 'surface')) return undefined
  const bay = live.published.find((placed) => placed.operation === operation.id)?.place
  const air = bay === undefined ? undefined : input.air.get(bay)
  const climate = believed(air)
  const { airC, rhPercent } = climate ?? SHEET_AIR
  const ml = agreedMl(input, operation, product)
  const own = bottles.filter(({ productId }) => productId === product.id)
  return {
    product: {
      id: product.id,
      name: product.name,
      sectionM: product.sectionM,
      airC: product.airC,
      rhPercent: product.rhPercent,
    },
    ml,
    bayName: shop.setup.places.find(({ id }) => id === bay)?.name,
    sensor: air?.state ?? { kind: 'silent' },
    ...(climate ? { climate } : {}),
    outlook: coatingOutlook(product, climate ? air!.readings : []),
    flash: flashBand(product, airC, rhPercent),
    bottles: own.map((bottle) => {
      const { id, code, lot, leftMl, openedOn } = bottle
      const state = bottleState(bottle, product, dayIn(shop.setup.region.timezone, now))
      return { id, code, lot, leftMl, state, ...(openedOn ? { openedOn } : {}) }
    }),
    ...pourPlan(own, product, ml, dayIn(shop.setup.region.timezone, now)),
  }
}
