import { type Product, type SurfaceCoat, surfaceMinutes } from '../coating'
import { type CorrectionPlan, type Pace, paceFor } from '../correction'
import { toOperationId } from '../ids'
import { type CoatPart, coatParts, partsFor } from './coat-parts'
import { type ChosenExtra, EXTRA, type ExtraStage } from './extras'
import { inOrder } from './in-order'
import type { JobPlan, OperationKind, PlannedOperation } from './job-plan'
import type { PolishingSchool } from './machine-roles'
import { MINUTES, TYPICAL_CONTAMINATION } from './minutes'
import { type OneOff, oneOffOperations } from './one-off'
import { paceKey } from './pace-key'
import { type Skill, vendorSkill } from './skill'
import type { StepName } from './step-name'
import type { Trade, Vendor, VendorStage } from './vendor'

/** An all-in-one sets about 30 min before wipe-off (cp), where its own sheet says nothing else. */
export const SET_MINUTES = 30

/** Estimates are planned in steps of five minutes; nobody believes a finer one. */
const PLANNING_STEP_MINUTES = 5
export const planned = (minutes: number) =>
  Math.max(PLANNING_STEP_MINUTES, Math.ceil(minutes / PLANNING_STEP_MINUTES) * PLANNING_STEP_MINUTES)

/** Longest piece of work without a break that is given to one person: half a shift (mem). */
const ALONE_MOST_MINUTES = 240

export const attended = (
  id: string,
  kind: OperationKind,
  title: StepName,
  minutes: number,
  skill: Skill,
  mode: 'solid' | 'pausable' = 'solid',
): PlannedOperation => {
  // What must not be interrupted and outlasts half a shift is done by two.
  const people = mode === 'solid' && minutes > ALONE_MOST_MINUTES ? 2 : 1
  return { id: toOperationId(id), kind, title, minutes: planned(minutes / people), mode, people, skill }
}

/** The same work at the pace of the shop's own hands: each operation by the name its minutes are learned under, and only here. */
const atThePaceOf =
  (pace: Pace | undefined): typeof attended =>
  (id, kind, title, minutes, skill, mode) =>
    attended(id, kind, title, minutes * paceFor(pace, paceKey({ kind, title })), skill, mode)

/** Minutes at the machine have their pace already, panel by panel. */
function correctionOperations({ minutes }: CorrectionPlan, school: PolishingSchool): PlannedOperation[] {
  const both = minutes.cut + minutes.refine
  if (school === 'panel-by-panel' && both > 0)
    return [
      attended('polish', 'polish', { code: 'polish-panels' }, both + minutes.single, 'correct', 'pausable'),
    ]
  const operations = [
    attended('cut', 'cut', { code: 'cut' }, minutes.cut, 'correct', 'pausable'),
    attended('refine', 'refine', { code: 'refine' }, minutes.refine, 'correct', 'pausable'),
    attended('polish', 'polish', { code: 'polish' }, minutes.single, 'correct', 'pausable'),
  ]
  const worked = { cut: minutes.cut, refine: minutes.refine, polish: minutes.single }
  return operations.filter(({ id }) => worked[id as keyof typeof worked] > 0)
}

/**
 * The towel follows in the order in which the panels were applied, so that the last one has set its half hour when it gets
 * there: buffing counts towards the wait.
 */
function allInOneOperations(work: typeof attended, areaM2: number, setMinutes: number): PlannedOperation[] {
  const buff = work('buff', 'wipe', { code: 'buff' }, MINUTES.buff(areaM2), 'prep')
  const minutes = planned(setMinutes - buff.minutes)
  return [
    {
      id: toOperationId('set'),
      kind: 'hold',
      title: { code: 'set' },
      minutes,
      mode: 'unattended',
      people: 0,
    },
    buff,
  ]
}

/** Extras that are done to panels of the drawing, and ticked there. */
const onPanels = ({ key, pieces = [] }: ChosenExtra) =>
  EXTRA[key].unit === 'panel' && pieces.length > 0 ? { panels: [...pieces] } : {}

function extraOperation(work: typeof attended, chosen: ChosenExtra): PlannedOperation {
  const { key, count, pieces = [] } = chosen
  const { minutesEach, backMinutes = 0, skill } = EXTRA[key]
  const title: StepName = {
    code: 'extra',
    extra: key,
    count,
    ...(pieces.length > 0 ? { pieces: [...pieces] } : {}),
  }
  return {
    ...work(`extra-${key}`, 'extra', title, minutesEach * count - backMinutes, skill, 'pausable'),
    extra: key,
    ...onPanels(chosen),
  }
}

const vendorOperation = (vendor: Vendor): PlannedOperation => ({
  id: toOperationId(`vendor-${vendor.id}`),
  kind: 'vendor',
  title: { code: 'vendor', trade: vendor.trade, name: vendor.name },
  minutes: planned(vendor.minutes + 2 * (vendor.away?.travelMinutes ?? 0)),
  mode: 'pausable',
  people: 1,
  skill: vendorSkill(vendor.id),
  vendorId: vendor.id,
  ...(vendor.away ? { away: vendor.away.what } : {}),
})

/** What came off the car for the work is put back on, in a step of its own. */
function putBack(work: typeof attended, extras: readonly ChosenExtra[] = []): PlannedOperation[] {
  return extras.flatMap(({ key }) => {
    const { backMinutes, skill } = EXTRA[key]
    return backMinutes
      ? [{ ...work('wheels-on', 'extra', { code: 'wheels-on' }, backMinutes, skill, 'pausable'), extra: key }]
      : []
  })
}

const surfaceOperation = (
  work: typeof attended,
  areaM2: number,
  { surface, product }: SurfaceCoat,
): PlannedOperation => ({
  ...work(
    `surface-${surface}`,
    'surface',
    { code: 'surface', surface, product: product.name },
    surfaceMinutes(surface, areaM2),
    'coat',
  ),
  surface,
  productId: product.id,
})

function layerOperations(
  work: typeof attended,
  layers: readonly Product[],
  { areaM2, part }: CoatPart,
): PlannedOperation[] {
  const suffix = part && part.at > 1 ? `-part-${part.at}` : ''
  const partOf = part ? { part } : {}
  return [
    work(`wipe${suffix}`, 'wipe', { code: 'wipe', ...partOf }, MINUTES.wipe(areaM2), 'coat'),
    ...layers.map((product, index) => ({
      ...work(
        `layer-${index + 1}${suffix}`,
        'layer',
        { code: 'layer', layer: index + 1, product: product.name, ...partOf },
        layerMinutes(product, areaM2),
        'coat',
      ),
      layer: index + 1,
      productId: product.id,
    })),
  ]
}

const layerMinutes = ({ kind }: Product, areaM2: number) =>
  (kind === 'sealant' || kind === 'wax' ? MINUTES.sprayed : MINUTES.layer)(areaM2)

/** The wipe and the layers of the paint; part by part where it is too large to be coated at a stretch. */
function paintOperations(work: typeof attended, order: WorkOrder): PlannedOperation[] {
  const { layers, correction, coated } = order
  if (layers.length === 0) return []
  const all = correction.panels.map(({ judged }) => judged.panel)
  const panels = coated ? all.filter(({ id }) => coated.includes(id)) : all
  const areaM2 = panels.reduce((sum, panel) => sum + panel.areaM2, 0)
  const pace = paceFor(order.pace, 'layer')
  const longest = Math.max(...layers.map((product) => pace * layerMinutes(product, areaM2)))
  const parts = coatParts(panels, partsFor(longest, ALONE_MOST_MINUTES, layers.length))
  // Where all of it is coated at once no panels are named.
  const named = coated !== undefined || parts.length > 1
  return parts.flatMap((part) =>
    layerOperations(work, layers, part).map((operation) =>
      named ? { ...operation, panels: part.panels } : operation,
    ),
  )
}

/** The hold after the last coat: as long as the product on the car that asks longest. */
export function dryHold(products: readonly Product[]): PlannedOperation[] {
  const last = products.toSorted((a, b) => b.indoorHoldMinutes - a.indoorHoldMinutes)[0]
  return last
    ? [
        {
          id: toOperationId('dry'),
          kind: 'hold',
          title: { code: 'hold' },
          minutes: Math.max(1, last.indoorHoldMinutes),
          mode: 'unattended',
          people: 0,
          productId: last.id,
        },
      ]
    : []
}

/** What is to be done to one vehicle. */
export type WorkOrder = {
  /** m² of all panels. */
  areaM2: number
  /** The panels that are coated, where that is not all of them. */
  coated?: string[]
  correction: CorrectionPlan
  /** First layer first. */
  layers: readonly Product[]
  surfaces?: readonly SurfaceCoat[]
  extras?: readonly ChosenExtra[]
  vendors?: readonly Vendor[]
  /** Lines of one quote alone. */
  oneOffs?: readonly OneOff[]
  /** How dirty it is, of 100; a usual car until somebody has felt it. */
  contamination?: number
  /** Washed without a hose: by weather, by place, or because somebody chose so. */
  rinseless?: boolean
  /** Whether the whole car is cut before it is refined, or each panel is finished. */
  polishing?: PolishingSchool
  /** What the all-in-one sets before it is wiped off, by its sheet. */
  setMinutes?: number
  /** How the shop's own hands go against the table of minutes. */
  pace?: Pace
}

function preparation(
  work: typeof attended,
  order: WorkOrder,
  areaM2: number,
  lightly: boolean,
): PlannedOperation[] {
  const score = order.contamination ?? TYPICAL_CONTAMINATION
  const called = vendorsAt(order, 'before-correction')
  const isFirst = ({ vendorId }: PlannedOperation) =>
    order.vendors?.some(({ id, trade }) => id === vendorId && BEFORE_THE_WASH.includes(trade)) ?? false
  return [
    ...called.filter(isFirst),
    // A soft top and an engine bay are worked wet: what runs from them is washed off with the rest.
    ...extrasAt(work, order, 'wet'),
    order.rinseless
      ? work('wash', 'wash', { code: 'rinseless-wash' }, MINUTES.rinselessWash(areaM2, score), 'prep')
      : work('wash', 'wash', { code: 'wash' }, MINUTES.wash(areaM2, score), 'prep'),
    lightly
      ? work('mask', 'mask', { code: 'tape' }, MINUTES.maskLightly(), 'prep')
      : work('mask', 'mask', { code: 'mask' }, MINUTES.mask(), 'prep'),
    ...extrasAt(work, order, 'before'),
    ...oneOffOperations(order.oneOffs ?? [], planned),
    // Whoever refinishes the wheels needs them off.
    ...called.filter((operation) => !isFirst(operation)),
  ]
}

/** Trades that leave dust, fingers and compound on a car, or take it away: it is washed after them (common practice). */
const BEFORE_THE_WASH: readonly Trade[] = ['dents', 'paint', 'glass', 'upholstery']

const extrasAt = (work: typeof attended, { extras = [] }: WorkOrder, stage: ExtraStage) =>
  extras
    .filter(({ key }) => EXTRA[key].stage === stage)
    // What has to dry comes first: other work fills its wait.
    .toSorted((a, b) => (EXTRA[b.key].dryMinutes ?? 0) - (EXTRA[a.key].dryMinutes ?? 0))
    .map((extra) => extraOperation(work, extra))
const vendorsAt = ({ vendors = [] }: WorkOrder, stage: VendorStage) =>
  vendors.filter((vendor) => vendor.stage === stage).map(vendorOperation)

/** The operations, links and stays of a package on one vehicle: what is wet in the wash bay, all else in one studio. */
export function planOperations(order: WorkOrder): JobPlan {
  const { areaM2, correction, layers, surfaces = [] } = order
  const work = atThePaceOf(order.pace)
  const allInOne = correction.panels.some(({ option }) => option.method.leavesProtection)
  const cut = correction.minutes.cut + correction.minutes.refine > 0
  const gentle = allInOne && layers.length === 0 && !cut
  const operations = [
    ...preparation(work, order, areaM2, gentle),
    ...correctionOperations(correction, order.polishing ?? 'step-by-step'),
    ...(allInOne && layers.length === 0
      ? allInOneOperations(work, areaM2, order.setMinutes ?? SET_MINUTES)
      : []),
    ...vendorsAt(order, 'before-coating'),
    // Other surfaces first: what runs from them is wiped off before the paint is coated.
    ...surfaces.map((coat) => surfaceOperation(work, areaM2, coat)),
    ...paintOperations(work, order),
    ...dryHold([...layers, ...surfaces.map(({ product }) => product)]),
    ...putBack(work, order.extras),
    ...vendorsAt(order, 'after-coating'),
    ...extrasAt(work, order, 'last'),
    gentle && surfaces.length === 0
      ? work('finish', 'finish', { code: 'inspect' }, MINUTES.lastLook(), 'prep')
      : work('finish', 'finish', { code: 'refit-and-inspect' }, MINUTES.finish(), 'prep'),
  ]
  return inOrder(operations, layers)
}
