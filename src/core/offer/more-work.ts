import { correctionOf } from '../correction'
import type { OperationId } from '../ids'
import { toOperationId } from '../ids'
import type { Standing } from './changed-plan'
import { firstNameOf } from './first-name'
import type { PlannedOperation } from './job-plan'
import { machineRoles } from './machine-roles'
import type { Offer } from './offer'
import { planned } from './operations'
import { methodThen } from './worked-by'

/** What comes to steps that are over: panels whose method is another one now, and pieces of an extra. */

/** Panels whose method is another one now and which are to be polished. */
export const changedPanels = ({ correction }: Pick<Offer, 'correction'>, { processes }: Standing) =>
  correction.panels.filter(
    ({ judged, option }) =>
      option.method.steps.length > 0 && processes[judged.panel.id] !== option.method.key,
  )

/** Of these the panels that nothing at the machine has worked so yet. */
export const stillToWork = (offer: Pick<Offer, 'correction'>, standing: Standing) =>
  changedPanels(offer, standing).filter(
    ({ judged, option }) =>
      !standing.plan.operations.some(
        (step) =>
          machineRoles(step).length > 0 &&
          standing.stateOf(step.id) === 'over' &&
          methodThen(standing, step.id, judged.panel.id) === option.method.key,
      ),
  )

const MACHINE = ['cut', 'refine', 'polish'] as const

const isMore = (operation: OperationId) => operation.startsWith('more-')

/** An id for what comes to a step: nothing that has begun bears it. */
function freshId({ plan, stateOf, version }: Standing, id: string): OperationId {
  const named = `more-${version}-${id}`
  const begun = plan.operations.filter(
    (each) => each.id.startsWith(named) && stateOf(each.id) !== 'open',
  ).length
  return toOperationId(begun === 0 ? named : `${named}-${begun + 1}`)
}

/** What comes to steps at the machine that are over: the panels whose method has changed since, with their own minutes. */
export function moreAtTheMachine(offer: Offer, standing: Standing): PlannedOperation[] {
  const { plan, stateOf } = standing
  const changed = changedPanels(offer, standing)
  return MACHINE.flatMap((id): PlannedOperation[] => {
    const over = plan.operations.find((operation) => operation.id === id)
    if (!over || stateOf(over.id) !== 'over') return []
    const roles = machineRoles(over)
    const under = plan.operations.filter(
      ({ id: other, kind }) => isMore(other) && kind === over.kind && stateOf(other) !== 'open',
    )
    const own = changed.filter(
      ({ judged, option }) =>
        option.method.steps.some(({ role }) => roles.includes(role)) &&
        methodThen(standing, over.id, judged.panel.id) !== option.method.key &&
        !under.some(({ panels }) => panels?.includes(judged.panel.id)),
    )
    const { minutes } = correctionOf(own)
    const takes = roles.reduce((sum, role) => sum + minutes[role], 0)
    return own.length === 0 || takes <= 0
      ? []
      : [
          {
            id: freshId(standing, id),
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
export function moreExtras(wanted: readonly PlannedOperation[], standing: Standing): PlannedOperation[] {
  const { plan, stateOf } = standing
  return wanted.flatMap((operation): PlannedOperation[] => {
    const { title, extra } = operation
    if (typeof title !== 'object' || title.code !== 'extra') return []
    const begun = plan.operations.flatMap((each) =>
      each.extra === extra && stateOf(each.id) !== 'open' && typeof each.title === 'object'
        ? [each.title]
        : [],
    )
    const done = begun.flatMap((name) => (name.code === 'extra' ? [name] : []))
    const count = title.count - done.reduce((sum, name) => sum + name.count, 0)
    if (done.length === 0 || count <= 0) return []
    const pieces = title.pieces?.filter((piece) => !done.some((name) => name.pieces?.includes(piece)))
    return [
      {
        ...operation,
        id: freshId(standing, operation.id),
        title: { ...title, count, ...(pieces && pieces.length > 0 ? { pieces } : {}) },
        minutes: planned((operation.minutes * count) / title.count),
        ...(operation.panels ? { panels: pieces ?? operation.panels } : {}),
      },
    ]
  })
}
