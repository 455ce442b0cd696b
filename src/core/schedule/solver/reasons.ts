import { fromEpochMinutes } from '../../time'
import type { PlacingReason } from '../contract/reason'
import type { Impossibility } from './impossible'
import type { Model, ModelJob } from './model'
import type { PlaceFailure } from './place-job'

/** Why something cannot be placed, from the numbers of the model back to the names and moments of the problem. */

const at = (model: Model, minute: number) => fromEpochMinutes(model.originMinute + minute)

export function impossibilityReason(model: Model, found: Impossibility): PlacingReason {
  const job = model.jobs[found.job]!
  const known = (operation: number) => job.operations[operation]!.known
  const where = { job: job.id, operation: known(found.operation) }
  return found.code === 'link-contradicts'
    ? { ...found, ...where, to: known(found.to) }
    : { ...found, ...where }
}

/** What lets an operation begin only after `opens`: the air, or a link from work that lies fixed. Minutes. */
function heldBeyond(model: Model, job: ModelJob, operation: number, opens: number) {
  const { dryFrom } = job.operations[operation]!
  if (dryFrom !== undefined && dryFrom > opens)
    return { since: at(model, dryFrom), because: { kind: 'damp-air' as const } }
  return job.links
    .filter(({ to }) => to === operation)
    .flatMap(({ from, min }) => {
      const { known, pin, mode, minutes } = job.operations[from]!
      const since = pin && mode !== 'pausable' ? pin.start + minutes + min : opens
      return since > opens
        ? [{ since: at(model, since), because: { kind: 'fixed' as const, operation: known } }]
        : []
    })[0]
}

export function failureReason(model: Model, jobIndex: number, failure: PlaceFailure): PlacingReason {
  const job = model.jobs[jobIndex]!
  const operation = job.operations[failure.operation]!
  const where = { job: job.id, operation: operation.known }
  const { kind } = job.stays[operation.stay]!
  const { window } = failure
  if (window) {
    const held = heldBeyond(model, job, failure.operation, window.opens)
    return {
      ...where,
      code: 'window-closed',
      after: job.operations[window.after]!.known,
      opens: at(model, window.opens),
      closes: at(model, window.closes),
      ...(held ? { held } : {}),
    }
  }
  switch (failure.code) {
    case 'air-too-damp':
      return { ...where, code: 'air-too-damp', by: at(model, operation.dryUntil!) }
    case 'pin-broken':
      return { ...where, code: 'pin-broken' }
    case 'place-taken':
      return { ...where, code: 'place-taken', kind }
    case 'no-place':
      return { ...where, code: 'no-place', kind }
    case 'equipment-taken':
      return {
        ...where,
        code: 'equipment-taken',
        equipment: model.problem.equipment![failure.equipment!]!.id,
      }
    case 'no-slot':
    case 'window-closed':
      return operation.mode === 'unattended'
        ? { ...where, code: 'ends-too-late' }
        : { ...where, code: 'nobody-free', skill: operation.skill }
  }
}
