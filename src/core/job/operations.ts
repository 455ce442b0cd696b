import type { Product } from '../coating'
import type { CorrectionPlan } from '../correction'
import { paintedAreaM2, type Shape } from '../vehicle'

export const SKILLS = ['prep', 'correct', 'coat'] as const
export type Skill = (typeof SKILLS)[number]

export const OPERATION_KINDS = [
  'wash',
  'mask',
  'cut',
  'refine',
  'polish',
  'wipe',
  'layer',
  'hold',
  'finish',
] as const
export type OperationKind = (typeof OPERATION_KINDS)[number]

/** One thing that is done to a vehicle, or waited for. Minutes are estimates until it is done. */
export type PlannedOperation = {
  id: string
  kind: OperationKind
  title: string
  minutes: number
  mode: 'solid' | 'pausable' | 'unattended'
  people: number
  skill?: Skill
  /** For a layer: its number from 1, and the product. For a hold: the product it waits for. */
  layer?: number
  productId?: string
}

export type JobLink = { from: string; to: string; min: number; max?: number }
export type JobStay = { id: string; kind: string; operations: string[] }
export type JobPlan = { operations: PlannedOperation[]; links: JobLink[]; stays: JobStay[] }

/** Minutes, all common practice or remembered, for a car of painted area a m². */
const MINUTES = {
  /** Foam, two buckets, iron, tar, clay, dry and blow out: about 90 on a middle-sized car (mem). */
  wash: (areaM2: number) => 30 + 7 * areaM2,
  /** Masking, lamp round the car, test spot (cp: 45 min of preparation). */
  mask: () => 45,
  /** Panel wipe twice round (mem). */
  wipe: (areaM2: number) => 15 + 3 * areaM2,
  /** A layer takes 3–4 h on a car (cp): a few minutes for each section of 0.6 m, its flash and two towels. */
  layer: (areaM2: number) => 20 + 17 * areaM2,
  /** An all-in-one sets about 30 min before wipe-off (cp). */
  set: () => 30,
  buff: (areaM2: number) => 4 * areaM2,
  /** Refit, glass, tyres, final inspection by a second pair of eyes (mem). */
  finish: () => 60,
}

/** Estimates are planned in steps of five minutes; nobody believes a finer one. */
const PLANNING_STEP_MINUTES = 5
const planned = (minutes: number) =>
  Math.max(PLANNING_STEP_MINUTES, Math.ceil(minutes / PLANNING_STEP_MINUTES) * PLANNING_STEP_MINUTES)

/** A washed car gathers dust: correction begins within a day of the wash, else it is washed again (mem). */
const WASH_KEEPS_MINUTES = 24 * 60
/** Oils gone, the coating follows before dust settles again (mem). */
const WIPE_KEEPS_MINUTES = 120

const attended = (
  id: string,
  kind: OperationKind,
  title: string,
  minutes: number,
  skill: Skill,
  mode: 'solid' | 'pausable' = 'solid',
): PlannedOperation => ({ id, kind, title, minutes: planned(minutes), mode, people: 1, skill })

function correctionOperations({ minutes }: CorrectionPlan): PlannedOperation[] {
  const operations = [
    attended('cut', 'cut', 'Cut', minutes.cut, 'correct', 'pausable'),
    attended('refine', 'refine', 'Refine', minutes.refine, 'correct', 'pausable'),
    attended('polish', 'polish', 'Polish', minutes.single, 'correct', 'pausable'),
  ]
  const worked = { cut: minutes.cut, refine: minutes.refine, polish: minutes.single }
  return operations.filter(({ id }) => worked[id as keyof typeof worked] > 0)
}

function allInOneOperations(areaM2: number): PlannedOperation[] {
  return [
    { id: 'set', kind: 'hold', title: 'Set', minutes: MINUTES.set(), mode: 'unattended', people: 0 },
    attended('buff', 'wipe', 'Buff off', MINUTES.buff(areaM2), 'prep'),
  ]
}

function coatingOperations(layers: readonly Product[], areaM2: number): PlannedOperation[] {
  return [
    attended('wipe', 'wipe', 'Panel wipe', MINUTES.wipe(areaM2), 'coat'),
    ...layers.map((product, index) => ({
      ...attended(
        `layer-${index + 1}`,
        'layer',
        `Layer ${index + 1}: ${product.name}`,
        MINUTES.layer(areaM2),
        'coat',
      ),
      layer: index + 1,
      productId: product.id,
    })),
    {
      id: 'dry',
      kind: 'hold',
      title: 'Dry hold',
      minutes: Math.max(...layers.map(({ indoorHoldMinutes }) => indoorHoldMinutes)),
      mode: 'unattended',
      people: 0,
      productId: layers.at(-1)!.id,
    },
  ]
}

/** How an operation follows the one before it. */
function linkBetween(
  from: PlannedOperation,
  to: PlannedOperation,
  products: ReadonlyMap<string, Product>,
): JobLink {
  const link = { from: from.id, to: to.id, min: 0 }
  if (from.kind === 'wash') return { ...link, max: WASH_KEEPS_MINUTES }
  if (from.kind === 'layer' && to.kind === 'layer') {
    const { min, max } = products.get(from.productId!)!.nextLayerMinutes
    return { ...link, min, max }
  }
  if (from.kind === 'layer' && to.kind === 'hold') return { ...link, max: 0 }
  if (to.kind === 'hold') return { ...link, max: 0 }
  if (from.id === 'wipe' && to.kind === 'layer') return { ...link, max: WIPE_KEEPS_MINUTES }
  return link
}

/** The operations, links and stays of a package on one vehicle: wash in the wash bay, all else in one studio. */
export function planOperations(
  shape: Shape,
  correction: CorrectionPlan,
  layers: readonly Product[],
): JobPlan {
  const areaM2 = paintedAreaM2(shape)
  const allInOne = correction.panels.some(({ option }) => option.process.leavesProtection)
  const operations = [
    attended('wash', 'wash', 'Wash and decontaminate', MINUTES.wash(areaM2), 'prep'),
    attended('mask', 'mask', 'Mask, inspect, test spot', MINUTES.mask(), 'prep'),
    ...correctionOperations(correction),
    ...(allInOne && layers.length === 0 ? allInOneOperations(areaM2) : []),
    ...(layers.length > 0 ? coatingOperations(layers, areaM2) : []),
    attended('finish', 'finish', 'Refit and final inspection', MINUTES.finish(), 'prep'),
  ]
  const products = new Map(layers.map((product) => [product.id, product]))
  const links = operations.slice(1).map((to, index) => linkBetween(operations[index]!, to, products))
  return {
    operations,
    links,
    stays: [
      { id: 'wet', kind: 'wash', operations: ['wash'] },
      { id: 'dry', kind: 'studio', operations: operations.slice(1).map(({ id }) => id) },
    ],
  }
}
