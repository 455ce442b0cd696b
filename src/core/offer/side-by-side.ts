import type { OperationId } from '../ids'
import type { ExtraKey } from './extras'
import { stepCode } from './first-name'
import type { JobLink, JobPlan, PlannedOperation } from './job-plan'
import { isWheelsOn } from './wheels-on'

/** Work that goes on beside the paint work of a car, and what must never go on beside what. */

/** A step of the job by what it means for work beside it. */
type Mark = 'wash' | 'mask' | 'wheels-off' | 'first-coat' | 'wheels-on' | 'last'

type Side = { after: Mark; before: Mark }

/**
 * Extras that another person can do meanwhile, with the step they follow and the one they are done before (common practice): the cabin once
 * the car is washed, until it is inspected; what is beside the paint once it is taped off, and before anything is coated.
 */
const SIDE: Partial<Record<ExtraKey, Side>> = {
  interior: { after: 'wash', before: 'last' },
  headlamps: { after: 'mask', before: 'first-coat' },
  'glass-polish': { after: 'mask', before: 'first-coat' },
  trim: { after: 'mask', before: 'first-coat' },
  chrome: { after: 'mask', before: 'first-coat' },
}

/** Wheels are coated off the car, while it is worked on. */
const WHEELS: Side = { after: 'wheels-off', before: 'wheels-on' }

/** The bare paint is about to be coated, or something beside it is. */
export const opensCoat = ({ id, kind }: PlannedOperation): boolean =>
  kind === 'surface' || kind === 'layer' || id === 'wipe'

/** It is wiped down for a coat, or coated: nobody raises dust beside it (common practice). */
const liesOpen = (operation: PlannedOperation) => opensCoat(operation) || operation.kind === 'wipe'

/** It lies open, or is still soft: nobody raises dust at the same car, an arm's length away. */
const isOpenCoat = (operation: PlannedOperation) => liesOpen(operation) || operation.kind === 'hold'

const DUSTY_EXTRAS: readonly ExtraKey[] = ['interior', 'headlamps', 'glass-polish', 'chrome', 'spot-work']

/** Work that raises dust: at the machine, with a sanding disc, with a brush and a vacuum cleaner. */
const raisesDust = ({ kind, extra, title }: PlannedOperation): boolean =>
  kind === 'cut' ||
  kind === 'refine' ||
  kind === 'polish' ||
  (kind === 'extra' && extra !== undefined && DUSTY_EXTRAS.includes(extra)) ||
  isWheelsOn({ title })

/** What an operation does to the air of the room its car is in, or fears from it. What is soft but no longer wet fears only its own car. */
export function airOf(operation: PlannedOperation): 'dust' | 'open' | undefined {
  if (raisesDust(operation)) return 'dust'
  return liesOpen(operation) ? 'open' : undefined
}

function marked(operations: readonly PlannedOperation[], mark: Mark): PlannedOperation | undefined {
  switch (mark) {
    case 'wash':
      return operations.find(({ kind }) => kind === 'wash')
    case 'mask':
      return operations.find(({ kind }) => kind === 'mask')
    case 'wheels-off':
      return operations.find(({ extra }) => extra === 'wheels-off')
    case 'wheels-on':
      return operations.find(isWheelsOn)
    case 'first-coat':
      return operations.find((operation) => opensCoat(operation) && !isWheelCoat(operation))
    default:
      return operations.at(-1)
  }
}

const isWheelCoat = ({ surface }: PlannedOperation) => surface === 'wheels'

const sideOf = (operation: PlannedOperation): Side | undefined =>
  isWheelCoat(operation)
    ? WHEELS
    : operation.extra && stepCode(operation.title) === 'extra'
      ? SIDE[operation.extra]
      : undefined

/**
 * What others can do meanwhile, each with the links that tie it to the rest: it follows one step, and is done before another. What finds no
 * such steps in this job stays in its chain.
 */
export function besideThePaint(operations: readonly PlannedOperation[]): Map<PlannedOperation, JobLink[]> {
  return new Map(
    operations.flatMap((operation): [PlannedOperation, JobLink[]][] => {
      const side = sideOf(operation)
      const from = side && marked(operations, side.after)
      const to = side && (marked(operations, side.before) ?? operations.at(-1))
      if (!from || !to || from === operation || to === operation) return []
      const at = (each: PlannedOperation) => operations.indexOf(each)
      const isBetween = at(from) < at(operation) && at(from) < at(to)
      return isBetween
        ? [
            [
              operation,
              [
                { from: from.id, to: operation.id, min: 0 },
                { from: operation.id, to: to.id, min: 0 },
              ],
            ],
          ]
        : []
    }),
  )
}

/** All that comes after each step, directly or by way of others. */
export function followers({
  operations,
  links,
}: Pick<JobPlan, 'operations' | 'links'>): Map<OperationId, Set<OperationId>> {
  const next = new Map<OperationId, OperationId[]>()
  for (const { from, to } of links) next.set(from, [...(next.get(from) ?? []), to])
  return new Map(
    operations.map(({ id }) => {
      const seen = new Set<OperationId>()
      const open = [...(next.get(id) ?? [])]
      for (let step = open.pop(); step !== undefined; step = open.pop()) {
        if (seen.has(step)) continue
        seen.add(step)
        open.push(...(next.get(step) ?? []))
      }
      return [id, seen] as const
    }),
  )
}

/**
 * Pairs that must not overlap though nothing orders them: work that raises dust, and a coat that lies open or is still soft. What already
 * follows one another needs no such pair.
 */
export function apartIn(plan: Pick<JobPlan, 'operations' | 'links'>): [OperationId, OperationId][] {
  const after = followers(plan)
  const dusty = plan.operations.filter(raisesDust)
  const coats = plan.operations.filter(isOpenCoat)
  return dusty.flatMap((dust) =>
    coats.flatMap((coat): [OperationId, OperationId][] =>
      after.get(dust.id)!.has(coat.id) || after.get(coat.id)!.has(dust.id) ? [] : [[dust.id, coat.id]],
    ),
  )
}
