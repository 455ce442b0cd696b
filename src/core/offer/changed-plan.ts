import type { Product } from '../coating'
import type { WorkedStep } from '../correction'
import { correctionOf } from '../correction'
import type { OperationId } from '../ids'
import { toOperationId } from '../ids'
import { inOrder } from './in-order'
import type { JobPlan, PlannedOperation } from './job-plan'
import { machineRoles } from './machine-roles'
import { MINUTES } from './minutes'
import type { Offer } from './offer'
import { planned } from './operations'
import { firstNameOf } from './step-name'

/** How far a step has come, as far as a change of what was agreed cares. */
export type StepState = 'open' | 'begun' | 'over'
export type StateOf = (operation: OperationId) => StepState

/** What was agreed, and how far it has come. */
export type Standing = {
  plan: JobPlan
  /** The method of each panel, as it was agreed. */
  processes: Readonly<Record<string, string>>
  stateOf: StateOf
  /** Number of the version that the change makes. */
  version: number
}

const isAgain = ({ title }: PlannedOperation) => typeof title === 'object' && title.code === 'again'
const isCoat = ({ kind, id }: PlannedOperation) =>
  kind === 'layer' || (kind === 'wipe' && id.startsWith('wipe'))

/** The work of a coat once it has begun: as it was agreed, and layers that come on top of it. */
function withCoatAsBegun(
  wanted: readonly PlannedOperation[],
  { plan, stateOf }: Standing,
): PlannedOperation[] {
  const own = plan.operations.filter((operation) => isCoat(operation) && !isAgain(operation))
  if (!own.some(({ id }) => stateOf(id) !== 'open')) return [...wanted]
  const highest = Math.max(0, ...own.map(({ layer = 0 }) => layer))
  const more = wanted.filter((operation) => isCoat(operation) && (operation.layer ?? 0) > highest)
  const at = wanted.findIndex(isCoat)
  const others = wanted.filter((operation) => !isCoat(operation))
  const before = at < 0 ? others.length - 1 : wanted.slice(0, at).filter((each) => !isCoat(each)).length
  return [...others.slice(0, before), ...own, ...more, ...others.slice(before)]
}

/** Panels whose method is another one now and which are to be polished. */
export const changedPanels = ({ correction }: Pick<Offer, 'correction'>, { processes }: Standing) =>
  correction.panels.filter(
    ({ judged, option }) =>
      option.method.steps.length > 0 && processes[judged.panel.id] !== option.method.key,
  )

const MACHINE = ['cut', 'refine', 'polish'] as const

/** What comes to steps at the machine that are over: the panels whose method has changed since, with their own minutes. */
function moreAtTheMachine(offer: Offer, standing: Standing): PlannedOperation[] {
  const { plan, stateOf, version } = standing
  const changed = changedPanels(offer, standing)
  const { minutes } = correctionOf(changed)
  const byRole = { single: minutes.single, cut: minutes.cut, refine: minutes.refine }
  return MACHINE.flatMap((id): PlannedOperation[] => {
    const over = plan.operations.find((operation) => operation.id === id)
    if (!over || stateOf(over.id) !== 'over') return []
    const roles = machineRoles(over)
    const own = changed.filter(({ option }) => option.method.steps.some(({ role }) => roles.includes(role)))
    const takes = roles.reduce((sum, role) => sum + byRole[role], 0)
    return own.length === 0 || takes <= 0
      ? []
      : [
          {
            id: toOperationId(`more-${version}-${id}`),
            kind: over.kind,
            title: { code: 'more', of: firstNameOf(over.title) },
            minutes: planned(takes),
            mode: 'pausable',
            people: 1,
            skill: 'correct',
            panels: own.map(({ judged }) => judged.panel.id),
          },
        ]
  })
}

/** Pieces of an extra that come to those that are done. */
function moreExtras(wanted: readonly PlannedOperation[], { plan, stateOf, version }: Standing) {
  return wanted.flatMap((operation): PlannedOperation[] => {
    const over = plan.operations.find(({ id }) => id === operation.id)
    const [now, before] = [operation.title, over?.title]
    if (!over || stateOf(over.id) !== 'over' || typeof now !== 'object' || typeof before !== 'object')
      return []
    if (now.code !== 'extra' || before.code !== 'extra' || now.count <= before.count) return []
    const pieces = now.pieces?.filter((piece) => !before.pieces?.includes(piece))
    const count = now.count - before.count
    return [
      {
        ...operation,
        id: toOperationId(`more-${version}-${operation.id}`),
        title: { ...now, count, ...(pieces && pieces.length > 0 ? { pieces } : {}) },
        minutes: planned((operation.minutes * count) / now.count),
        ...(operation.panels ? { panels: pieces ?? operation.panels } : {}),
      },
    ]
  })
}

/** What came after the final inspection is inspected, too. */
function lastLook(
  operations: readonly PlannedOperation[],
  { stateOf, version }: Standing,
): PlannedOperation[] {
  const looked = operations.find(({ kind, id }) => kind === 'finish' && stateOf(id) !== 'open')
  const isFinal = !operations.some(({ kind, id }) => kind === 'finish' && stateOf(id) === 'open')
  return looked && isFinal && operations.some(({ id }) => stateOf(id) === 'open')
    ? [
        {
          ...looked,
          id: toOperationId(`more-${version}-finish`),
          title: { code: 'inspect' },
          minutes: planned(MINUTES.lastLook()),
        },
      ]
    : []
}

const rolesDone = (roles: readonly WorkedStep['role'][], { plan, stateOf }: Standing) =>
  roles.every((role) =>
    plan.operations.some(
      (operation) =>
        !isAgain(operation) &&
        operation.panels === undefined &&
        machineRoles(operation).includes(role) &&
        stateOf(operation.id) === 'over',
    ),
  )

/** Whether all that a method does to a panel has been done as it was agreed. */
export const isWorkedOut = (roles: readonly WorkedStep['role'][], standing: Standing): boolean =>
  roles.length > 0 && rolesDone(roles, standing)

/**
 * The stays of the car: what has begun keeps its own; what is still to do goes where such work goes, and to the wash bay once more where
 * something wet came to a car that stands in its studio already.
 */
function staysOf(operations: readonly PlannedOperation[], fresh: JobPlan, { plan, stateOf }: Standing) {
  const stayIn = (of: JobPlan, id: OperationId) => of.stays.find((stay) => stay.operations.includes(id))
  const isDry = (stay: JobPlan['stays'][number] | undefined) => stay?.id.startsWith('dry') ?? true
  const inStudio = operations.some(
    ({ id }) => stateOf(id) !== 'open' && stayIn(plan, id) && isDry(stayIn(plan, id)),
  )
  const wetAgain = operations.filter(({ id }) => stateOf(id) === 'open' && stayIn(fresh, id)?.id === 'wet')
  const moves = inStudio && wetAgain.length > 0
  const wanted = operations.map((operation) => {
    const { id } = operation
    const begun = stateOf(id) === 'open' ? undefined : stayIn(plan, id)
    if (begun) return { id, stay: begun.id, kind: begun.kind }
    const own = stayIn(fresh, id)
    if (!inStudio && own) return { id, stay: own.id, kind: own.kind }
    if (moves && wetAgain.includes(operation)) return { id, stay: 'wet-again', kind: 'wash' }
    return { id, stay: moves ? 'dry-again' : 'dry', kind: 'studio' }
  })
  const ids = [...new Set(wanted.map(({ stay }) => stay))]
  return ids.map((stay) => {
    const own = wanted.filter((each) => each.stay === stay)
    return { id: stay, kind: own[0]!.kind, operations: own.map(({ id }) => id) }
  })
}

/**
 * The plan of a change: what is over stays as it was, what has begun goes on, what is still open is as the new offer has it, and what
 * came to a step that is over is a step of its own. Reworks stay where they were, before the last step.
 */
export function changedPlan(offer: Offer, standing: Standing, products: readonly Product[]): JobPlan {
  const { plan, stateOf } = standing
  const wanted = withCoatAsBegun(offer.plan.operations, standing)
  const before = new Map(plan.operations.map((operation) => [operation.id, operation]))
  const kept = wanted.map((operation) =>
    stateOf(operation.id) === 'over' ? (before.get(operation.id) ?? operation) : operation,
  )
  const dropped = plan.operations.filter(
    (operation) =>
      !isAgain(operation) &&
      stateOf(operation.id) !== 'open' &&
      !wanted.some(({ id }) => id === operation.id),
  )
  const again = plan.operations.filter(isAgain)
  const isOpen = ({ id }: PlannedOperation) => stateOf(id) === 'open'
  const ordered = [
    ...dropped,
    ...kept.filter((operation) => !isOpen(operation)),
    ...moreAtTheMachine(offer, standing),
    ...moreExtras(wanted, standing),
    ...kept.filter(isOpen),
  ]
  const whole = [...ordered, ...lastLook(ordered, standing)]
  const fresh = inOrder(whole, products)
  const operations = [...whole.slice(0, -1), ...again, ...whole.slice(-1)]
  const has = new Set(operations.map(({ id }) => id))
  const ofAgain = plan.links.filter(
    ({ from, to }) => has.has(from) && has.has(to) && again.some(({ id }) => id === from || id === to),
  )
  return {
    operations,
    links: [...fresh.links, ...ofAgain],
    stays: staysOf(operations, offer.plan, standing),
  }
}

/** What is left of a plan that is called off: what was done. */
export function calledOff({ plan, stateOf }: Pick<Standing, 'plan' | 'stateOf'>): JobPlan {
  const operations = plan.operations.filter(({ id }) => stateOf(id) === 'over')
  const has = new Set(operations.map(({ id }) => id))
  return {
    operations,
    links: plan.links.filter(({ from, to }) => has.has(from) && has.has(to)),
    stays: plan.stays
      .map((stay) => ({ ...stay, operations: stay.operations.filter((id) => has.has(id)) }))
      .filter((stay) => stay.operations.length > 0),
  }
}
