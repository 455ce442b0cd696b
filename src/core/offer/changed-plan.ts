import type { Product } from '../coating'
import type { WorkedStep } from '../correction'
import type { OperationId } from '../ids'
import { toOperationId } from '../ids'
import { stepCode } from './first-name'
import { inOrder, pieceStay } from './in-order'
import type { JobPlan, PlannedOperation } from './job-plan'
import { withoutKeptIn } from './kept-in'
import { machineRoles } from './machine-roles'
import { MINUTES } from './minutes'
import { changedPanels, moreAtTheMachine, moreExtras } from './more-work'
import type { Offer } from './offer'
import { planned } from './operations'
import { methodThen, type WorkedBy } from './worked-by'

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
  /** Panels are held to their methods as agreed: what is not changed is not worked out anew. */
  holds?: boolean
  /** The plan as it was agreed, where it is not `plan` itself. */
  asAgreed?: JobPlan
  workedBy?: WorkedBy
}

/** Whether a car is kept in is asked anew once it is finished once more. */
const asWorked = (standing: Standing): Standing => ({ ...standing, plan: withoutKeptIn(standing.plan) })

const isAgain = ({ title }: PlannedOperation) => stepCode(title) === 'again'
const isRewash = ({ title }: PlannedOperation) => stepCode(title) === 'rewash'
/** What the shop does once more of itself, a rework or a short wash: no change leaves it out, and nobody is charged for it. */
export const isUncharged = (operation: PlannedOperation): boolean => isAgain(operation) || isRewash(operation)

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

/** The operations of the offer; work at the machine as it was agreed, where no panel's method is another one. */
function asHeld(offer: Offer, standing: Standing): PlannedOperation[] {
  const { plan, holds, asAgreed = plan } = standing
  if (!holds || changedPanels(offer, standing).length > 0) return offer.plan.operations
  return offer.plan.operations.map((operation) => {
    const agreed = asAgreed.operations.find(({ id }) => id === operation.id)
    return agreed && machineRoles(operation).length > 0 ? agreed : operation
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

type OnPanel = { panel: string; by: string }

const rolesDone = (roles: readonly WorkedStep['role'][], standing: Standing, on?: OnPanel) =>
  roles.every((role) =>
    standing.plan.operations.some(
      (operation) =>
        !isAgain(operation) &&
        operation.panels === undefined &&
        machineRoles(operation).includes(role) &&
        standing.stateOf(operation.id) === 'over' &&
        (!on || methodThen(standing, operation.id, on.panel) === on.by),
    ),
  )

/** Whether all that a method does to a panel has been done as it was agreed. */
export const isWorkedOut = (roles: readonly WorkedStep['role'][], standing: Standing): boolean =>
  roles.length > 0 && rolesDone(roles, standing)

/** Whether any of it has been done; `on` a panel, by that very method. */
export const isTouched = (roles: readonly WorkedStep['role'][], standing: Standing, on?: OnPanel): boolean =>
  roles.some((role) => rolesDone([role], standing, on))

/**
 * The stays of the car: what has begun keeps its own, what is still to do goes on where the car stands, and the car moves where it cannot:
 * to the wash bay once more where something wet came to a car in its studio.
 */
function staysOf(
  operations: readonly PlannedOperation[],
  fresh: JobPlan,
  { plan, stateOf, version }: Standing,
): JobPlan['stays'] {
  const stayIn = (of: JobPlan, id: OperationId) => of.stays.find((stay) => stay.operations.includes(id))
  const stays: JobPlan['stays'] = []
  const isPiece = ({ away }: PlannedOperation) => away === 'piece'
  const isBegun = ({ id }: PlannedOperation) => stateOf(id) !== 'open'
  const ofCar = operations.filter((operation) => !isPiece(operation))
  const walked = [...ofCar.filter(isBegun), ...ofCar.filter((each) => !isBegun(each))]
  for (const operation of walked) {
    const { id } = operation
    const begun = isBegun(operation) ? stayIn(plan, id) : undefined
    const now = stays.at(-1)
    const known = begun && stays.find((stay) => stay.id === begun.id)
    if (known) known.operations.push(id)
    else if (begun) stays.push({ ...begun, operations: [id] })
    else {
      const own = stayIn(fresh, id) ?? { id: 'dry', kind: 'studio' }
      // Whoever works under any roof works in the studio, too.
      const goesOn = now && (now.kind === own.kind || (now.kind === 'studio' && own.kind === 'indoor'))
      if (goesOn) now.operations.push(id)
      else {
        const isUsed = stays.some((stay) => stay.id === own.id)
        stays.push({ id: isUsed ? `${own.id}-${version}` : own.id, kind: own.kind, operations: [id] })
      }
    }
  }
  return [...stays, ...operations.filter(isPiece).map(pieceStay)]
}

/** A short wash that is planned and not yet done stays before whatever is worked first. */
function withWashesAgain(open: readonly PlannedOperation[], { plan, stateOf }: Standing): PlannedOperation[] {
  const washes = plan.operations.filter(
    (wash) => isRewash(wash) && stateOf(wash.id) === 'open' && !open.some(({ id }) => id === wash.id),
  )
  const at = open.findIndex((operation) => machineRoles(operation).length > 0 || isCoat(operation))
  return at < 0 ? [...open] : open.toSpliced(at, 0, ...washes)
}

/** What is wanted put together with what was done: begun work first and as it was begun, then what is open, then the reworks. */
function together(
  { wanted, more, fresh }: { wanted: readonly PlannedOperation[]; more: PlannedOperation[]; fresh: JobPlan },
  standing: Standing,
  products: readonly Product[],
): JobPlan {
  const { plan, stateOf } = standing
  const now = new Map(wanted.map((operation) => [operation.id, operation]))
  const begun = plan.operations
    .filter((operation) => !isAgain(operation) && stateOf(operation.id) !== 'open')
    .map((operation) => (stateOf(operation.id) === 'over' ? operation : (now.get(operation.id) ?? operation)))
  const open = withWashesAgain(
    wanted.filter(({ id }) => stateOf(id) === 'open'),
    standing,
  )
  const ordered = [...begun, ...more, ...open]
  const whole = [...ordered, ...lastLook(ordered, standing)]
  const again = plan.operations.filter(isAgain)
  const operations = [...whole.slice(0, -1), ...again, ...whole.slice(-1)]
  const has = new Set(operations.map(({ id }) => id))
  const ofAgain = plan.links.filter(
    ({ from, to }) => has.has(from) && has.has(to) && again.some(({ id }) => id === from || id === to),
  )
  return {
    operations,
    links: [...inOrder(whole, products).links, ...ofAgain],
    stays: staysOf(operations, fresh, standing),
  }
}

/**
 * The plan of a change: what is over stays as it was, what has begun goes on, what is still open is as the new offer has it, and what
 * came to a step that is over is a step of its own. Reworks stay where they were, before the last step.
 */
export function changedPlan(offer: Offer, of: Standing, products: readonly Product[]): JobPlan {
  const standing = asWorked(of)
  const wanted = withCoatAsBegun(asHeld(offer, standing), standing)
  const more = [...moreAtTheMachine(offer, standing), ...moreExtras(wanted, standing)]
  return together({ wanted, more, fresh: offer.plan }, standing, products)
}

/**
 * A change that was written while the work went on, as it can be done now; undefined where a step that it changes or leaves out has been
 * begun or ended since.
 */
export function broughtForward(
  written: JobPlan,
  of: Standing,
  products: readonly Product[],
): JobPlan | undefined {
  const standing = asWorked(of)
  const { plan, stateOf } = standing
  const now = new Map(written.operations.map((operation) => [operation.id, operation]))
  const isMet = plan.operations.every((operation) => {
    const state = stateOf(operation.id)
    const wished = now.get(operation.id)
    if (isUncharged(operation) || state === 'open') return true
    return wished !== undefined && (state === 'begun' || wished.minutes === operation.minutes)
  })
  const wanted = written.operations.filter((operation) => !isAgain(operation))
  return isMet ? together({ wanted, more: [], fresh: written }, standing, products) : undefined
}
