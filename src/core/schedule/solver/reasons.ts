import { unreachable } from '../../result'
import { fromEpochMinutes } from '../../time'
import type { ScheduleReason } from '../contract/schedule-file'
import type { Impossibility } from './impossible'
import type { Model, ModelJob } from './model'
import type { PlaceFailure } from './place-job'

/** Words for why something cannot be placed; the operation and the rule are always named. */

function moment(model: Model, minute: number): string {
  const format = new Intl.DateTimeFormat('en-IE', {
    timeZone: model.problem.timezone,
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
  return format.format(new Date(fromEpochMinutes(model.originMinute + minute)))
}

function impossibilityText(job: ModelJob, found: Impossibility): string {
  const name = job.operations[found.operation]!.known
  switch (found.code) {
    case 'link-circle':
      return 'The links of this job run in a circle, so no operation can come first.'
    case 'link-contradicts':
      return `“${job.operations[found.to]!.known}” must follow “${name}” after at least ${found.min} and at most ${found.max} minutes, which contradict each other.`
    case 'skill-missing':
      return `“${name}” needs ${found.wanted} with the skill “${found.skill}”; ${found.found === 0 ? 'nobody has it' : `only ${found.found} there`}.`
    case 'place-missing':
      return `No place is of the kind “${found.kind}” that “${name}” needs.`
    case 'no-shift-long-enough':
      return `“${name}” takes ${found.minutes} minutes without a break; the longest open stretch of anyone with “${found.skill}” is ${found.longest} minutes.`
    case 'pin-skill':
      return `“${name}” is fixed to ${found.person}, who lacks the skill “${found.skill}”.`
    case 'pin-before-arrival':
      return `“${name}” is fixed to start before its vehicle arrives.`
    case 'pin-place':
      return `“${name}” is fixed to ${found.place}, which is not of the kind “${found.kind}”.`
    default:
      return unreachable(found)
  }
}

export function impossibilityReason(model: Model, found: Impossibility): ScheduleReason {
  const job = model.jobs[found.job]!
  return {
    job: job.id,
    operation: job.operations[found.operation]!.known,
    code: found.code,
    message: impossibilityText(job, found),
  }
}

/** What lets an operation begin only after `opens`: the air, or a link from work that lies fixed. Minutes. */
function heldBeyond(
  job: ModelJob,
  operation: number,
  opens: number,
): { because: string; opens: number } | undefined {
  const { dryFrom } = job.operations[operation]!
  if (dryFrom !== undefined && dryFrom > opens)
    return { because: ', when the air is dry enough to coat', opens: dryFrom }
  return job.links
    .filter(({ to }) => to === operation)
    .flatMap(({ from, min }) => {
      const { known, pin, mode, minutes } = job.operations[from]!
      return pin && mode !== 'pausable'
        ? [{ because: ` because of “${known}”`, opens: pin.start + minutes + min }]
        : []
    })
    .find((held) => held.opens > opens)
}

function failureText(model: Model, job: ModelJob, failure: PlaceFailure): string {
  const operation = job.operations[failure.operation]!
  const { window } = failure
  if (window) {
    const after = job.operations[window.after]!.known
    const held = heldBeyond(job, failure.operation, window.opens)
    const span = `${moment(model, window.opens)} to ${moment(model, window.closes)}`
    const since = held ? `, and no earlier than ${moment(model, held.opens)}${held.because}` : ''
    const rest =
      held && held.opens > window.closes
        ? ''
        : `; nobody who can do it is free then, and no other time for “${after}” opens a better window before the horizon`
    return `“${operation.known}” must begin ${span}, after “${after}”${since}${rest}.`
  }
  switch (failure.code) {
    case 'air-too-damp':
      return `“${operation.known}” must begin by ${moment(model, operation.dryUntil!)}, before the air gets too damp to coat; nobody who can do it is free before that.`
    case 'pin-broken':
      return `“${operation.known}” is fixed to a start at which its people, its place or its links do not allow it.`
    case 'place-taken':
      return `“${operation.known}” does not fit into any free time of a place of the kind “${job.stays[operation.stay]!.kind}”.`
    case 'no-slot':
    case 'window-closed':
      return operation.mode === 'unattended'
        ? `“${operation.known}” does not end before the horizon.`
        : `Nobody with the skill “${operation.skill}” has room for “${operation.known}” before the horizon.`
    case 'no-place':
      return `No place of the kind “${job.stays[operation.stay]!.kind}” is free for “${operation.known}”.`
    default:
      return unreachable(failure.code)
  }
}

export function failureReason(model: Model, jobIndex: number, failure: PlaceFailure): ScheduleReason {
  const job = model.jobs[jobIndex]!
  return {
    job: job.id,
    operation: job.operations[failure.operation]!.known,
    code: failure.code,
    message: failureText(model, job, failure),
  }
}
