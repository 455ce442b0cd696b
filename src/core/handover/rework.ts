import type { Product } from '../coating'
import { type OperationId, toOperationId } from '../ids'
import {
  dryHold,
  firstNameOf,
  type JobPlan,
  linkBetween,
  type PlannedOperation,
  partOfLayer,
  recoat,
  withoutKeptIn,
} from '../offer'
import { airOf } from '../offer/side-by-side'
import type { Panel } from '../vehicle'

/** How long a single place takes to be done again by hand or at the machine, minutes (mem). */
export const REWORK_MINUTES = 30

/** Steps a fault can be sent back to: whatever somebody did that can be done again on one panel. */
export function stepsToSendTo(plan: JobPlan): PlannedOperation[] {
  return plan.operations.filter(
    ({ kind, id, title }) =>
      ['wash', 'cut', 'refine', 'polish', 'layer', 'surface', 'wipe'].includes(kind) &&
      !isRework(id) &&
      // A panel lies in one part only: it is sent back to the layer, not to a part of it.
      (partOfLayer({ title })?.at ?? 1) === 1,
  )
}

const PREFIX = 'again-'
export const isRework = (operation: OperationId) => operation.startsWith(PREFIX)

/** Which rework a step belongs to, from 1; undefined where it is done for the first time. */
export function reworkOf(operation: OperationId): number | undefined {
  const number = /^again-(\d+)/.exec(operation)?.[1]
  return number === undefined ? undefined : Number(number)
}

/** How many times a place was sent back. */
export const reworksIn = ({ operations }: Pick<JobPlan, 'operations'>): number =>
  new Set(operations.flatMap(({ id }) => reworkOf(id) ?? [])).size

/** The steps by which a place is done again, first to last; of the last time where it was sent back more than once. */
export function reworkFor({ operations }: Pick<JobPlan, 'operations'>, place: string): PlannedOperation[] {
  const own = operations.filter(
    ({ title }) => typeof title === 'object' && title.code === 'again' && title.place === place,
  )
  const last = Math.max(...own.map(({ id }) => reworkOf(id) ?? 0))
  return own.filter(({ id }) => reworkOf(id) === last)
}

/** What is known of the place that is done again. */
export type ReworkAt = {
  /** Its id, of a panel or of one of the places one easily misses. */
  place: string
  panel?: Pick<Panel, 'id' | 'areaM2'>
  /** Whether a step is over. */
  isDone: (operation: OperationId) => boolean
  productOf: (id: string) => Product | undefined
}

/** The layers that lie on a panel already, the first at the bottom. */
function layersOn(plan: JobPlan, { place, panel, isDone, productOf }: ReworkAt): Product[] {
  if (!panel) return []
  return plan.operations.flatMap(({ id, kind, panels, productId }) => {
    const covers = kind === 'layer' && !isRework(id) && (panels?.includes(place) ?? true)
    const product = covers && productId && isDone(id) ? productOf(productId) : undefined
    return product ? [product] : []
  })
}

/**
 * The steps that do a place again, from the step it is sent back to. Whatever is polished loses the coating that lies there, and a layer
 * that is at fault comes off by polishing: so a coated panel is polished, wiped, and gets all its layers and their hold anew.
 */
function chainFor(plan: JobPlan, source: PlannedOperation, at: ReworkAt): PlannedOperation[] {
  const { panel, productOf } = at
  const own = panel ? { panels: [panel.id] } : {}
  const byHand = { minutes: REWORK_MINUTES, mode: 'solid' as const, people: 1, ...own }
  const { kind, title, surface, productId } = source
  const skill = source.skill!
  const layers = kind === 'wash' || kind === 'surface' ? [] : layersOn(plan, at)
  if (panel && layers.length > 0) {
    const isAtMachine = kind === 'cut' || kind === 'refine' || kind === 'polish'
    return recoat(panel, layers, {
      id: toOperationId('polish'),
      kind: isAtMachine ? kind : 'polish',
      title: isAtMachine ? title : { code: 'polish-to-bare' },
      ...byHand,
      skill: 'correct',
    })
  }
  const product = kind === 'surface' && productId ? productOf(productId) : undefined
  if (product)
    return [
      {
        id: toOperationId('surface'),
        kind,
        title,
        ...byHand,
        skill,
        productId: product.id,
        ...(surface ? { surface } : {}),
      },
      ...dryHold([product]),
    ]
  // What is not coated yet is done again as it was; its coat is still to come.
  return [
    {
      id: toOperationId(kind),
      kind: kind === 'layer' || kind === 'surface' ? 'wipe' : kind,
      title,
      ...byHand,
      skill,
    },
  ]
}

/** The reworks of other places that are not over, each with its steps. */
function othersOpen({ operations }: JobPlan, { place, isDone }: ReworkAt): PlannedOperation[][] {
  const chains = new Map<number, PlannedOperation[]>()
  for (const operation of operations) {
    const { id, title } = operation
    const number = reworkOf(id)
    const isElsewhere = typeof title === 'object' && title.code === 'again' && title.place !== place
    if (number !== undefined && isElsewhere) chains.set(number, [...(chains.get(number) ?? []), operation])
  }
  return [...chains.values()].filter((steps) => !isDone(steps.at(-1)!.id))
}

/**
 * How a chain is tied to what the last step waits for. It follows all of that but other places that are done again as well: those are washed and
 * polished together and coated then, so that none waits for the hold of another. Where one is being coated already, it is waited for.
 */
function besideOthers(
  plan: JobPlan,
  last: OperationId,
  chain: readonly PlannedOperation[],
  at: ReworkAt,
): JobPlan['links'] {
  const first = chain[0]!
  const opens = (steps: readonly PlannedOperation[]) => steps.find((step) => airOf(step) === 'open')
  const spoils = (step: PlannedOperation) => airOf(step) === 'dust' || step.kind === 'wash'
  const link = (from: PlannedOperation | undefined, to: PlannedOperation | undefined) =>
    from && to && spoils(from) ? [{ from: from.id, to: to.id, min: 0 }] : []
  const together = othersOpen(plan, at).filter((steps) => {
    const open = opens(steps)
    return !open || !at.isDone(open.id)
  })
  const ends = new Set(together.map((steps) => steps.at(-1)!.id))
  return [
    ...plan.links
      .filter(({ from, to }) => to === last && !ends.has(from))
      .map(({ from }) => ({ from, to: first.id, min: 0 })),
    ...together.flatMap((steps) => [...link(first, opens(steps)), ...link(steps[0], opens(chain))]),
  ]
}

/**
 * The plan with one place done again before the last step is over, by the chain that is right for what lies there. It stands in the
 * stay of the last step, so the car is not moved for it. Undefined where there is no such step.
 */
export function withRework(kept: JobPlan, step: OperationId, at: ReworkAt): JobPlan | undefined {
  // Whether the car is kept in is asked anew once the place is done.
  const plan = withoutKeptIn(kept)
  const source = plan.operations.find(({ id }) => id === step)
  const last = plan.operations.at(-1)
  if (!source?.skill || !last) return undefined
  const prefix = `${PREFIX}${reworksIn(plan) + 1}`
  const chain = chainFor(plan, source, at).map(
    (operation, index): PlannedOperation => ({
      ...operation,
      id: toOperationId(index === 0 ? prefix : `${prefix}-${operation.id}`),
      title: { code: 'again', place: at.place, of: firstNameOf(operation.title) },
    }),
  )
  const products = new Map(
    chain.flatMap(({ productId }) => {
      const product = productId && at.productOf(productId)
      return product ? [[product.id, product] as const] : []
    }),
  )
  const before = plan.operations.slice(0, -1)
  return {
    operations: [...before, ...chain, last],
    links: [
      ...plan.links,
      ...besideOthers(plan, last.id, chain, at),
      ...chain.slice(1).map((to, index) => linkBetween(chain[index]!, to, products)),
      { from: chain.at(-1)!.id, to: last.id, min: 0 },
    ],
    stays: plan.stays.map((stay) =>
      stay.operations.includes(last.id)
        ? { ...stay, operations: [...stay.operations, ...chain.map(({ id }) => id)] }
        : stay,
    ),
  }
}
