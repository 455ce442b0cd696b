import type { Product } from '../coating'
import type { Worked, WorkedStep } from '../correction'
import type { OperationId } from '../ids'
import { calledOff } from './called-off'
import { changedPlan, isTouched, isUncharged, isWorkedOut, type Standing, type StateOf } from './changed-plan'
import { attendedMinutes, type JobPlan } from './job-plan'
import { stillToWork } from './more-work'
import type { Offer } from './offer'
import type { Rates, Terms } from './package'
import { closePrice, type Price, type PriceLine, priceLines } from './quote'
import { type CustomerTax, taxationFor } from './tax'
import { agreedWork, type Summary, summaryOf, taxOf } from './told'
import type { WorkedBy } from './worked-by'

/** A change of what was agreed: work done stays, its lines stay, and the price says what the rest comes to. */

export type AgreedNow = {
  plan: JobPlan
  summary: Summary
  totalCents: number
  stateOf: StateOf
  /** Number of the version that the change makes. */
  version: number
  /** Panels are held to their methods as agreed: what is not changed is not worked out anew. */
  holds?: boolean
  /** The plan as it was agreed, where work at the machine was made anew since: by it what is changed back has its minutes again. */
  asAgreed?: JobPlan
  /** Where a method was changed at the car: by which one each step that is over worked. */
  workedBy?: WorkedBy
  /** The car comes at another time: that alone is a change. */
  otherDay?: boolean
}

export type ChangeFault = 'nothing-differs' | 'coated-already' | 'layer-lies'

type Charges = {
  rates: Rates
  terms: Pick<Terms, 'discountPercent' | 'depositPercent'>
  customerTax?: CustomerTax
}

/** An agreed job with a change worked out: what the calendar, the paper and the record need of it. */
export type Changed = { plan: JobPlan; summary: Summary; price: Price }

/** Which lines are the same thing before and after. */
export function lineKey(line: PriceLine): string {
  switch (line.kind) {
    case 'labour':
      return `labour ${line.skill}`
    case 'product':
      return `product ${line.productId}`
    case 'extra':
      return `extra ${line.extra}`
    case 'vendor':
      return `vendor ${line.vendorId}`
    case 'one-off':
      return `one-off ${line.words}`
    default:
      return line.kind
  }
}

const amountOf = (line: PriceLine): number =>
  line.kind === 'labour'
    ? line.minutes
    : line.kind === 'product'
      ? line.ml
      : line.kind === 'extra'
        ? line.count
        : 1

/**
 * A line that was agreed and goes on, integer cents: as agreed for as much as there was of it, at today’s price for what came to it.
 */
export function lineAfter(before: PriceLine, after: PriceLine): PriceLine {
  const [had, has] = [amountOf(before), amountOf(after)]
  const cents =
    has === had
      ? before.cents
      : has > had
        ? before.cents + Math.round((after.cents * (has - had)) / has)
        : Math.round((before.cents * has) / had)
  return { ...after, cents }
}

/** Whether what a line stands for has been done or has begun: then it stays. */
function isWorked(line: PriceLine, { plan, stateOf }: Pick<AgreedNow, 'plan' | 'stateOf'>): boolean {
  const begun = (holds: (operation: JobPlan['operations'][number]) => boolean) =>
    plan.operations.some((operation) => holds(operation) && stateOf(operation.id) !== 'open')
  switch (line.kind) {
    case 'extra':
      return begun(({ extra }) => extra === line.extra)
    case 'vendor':
      return begun(({ vendorId }) => vendorId === line.vendorId)
    case 'product':
      return begun(({ productId, kind }) => productId === line.productId && kind !== 'hold')
    case 'one-off':
      return begun(
        ({ title }) => typeof title === 'object' && title.code === 'one-off' && title.words === line.words,
      )
    default:
      return false
  }
}

/** The lines of the price once it has changed. */
function linesAfter(agreed: AgreedNow, fresh: readonly PriceLine[]): PriceLine[] {
  const before = agreed.summary.priceLines.filter(({ kind }) => kind !== 'discount')
  const was = new Map(before.map((line) => [lineKey(line), line]))
  const has = new Set(fresh.map(lineKey))
  const kept = before.filter((line) => !has.has(lineKey(line)) && isWorked(line, agreed))
  const changed = fresh.map((line) => {
    const old = was.get(lineKey(line))
    if (!old) return line
    // Of what was done there is never less.
    const least = isWorked(old, agreed) && amountOf(line) < amountOf(old)
    return least ? old : lineAfter(old, line)
  })
  const last = changed.findIndex(({ kind }) => kind === 'consumables')
  return last < 0 ? [...changed, ...kept] : [...changed.slice(0, last), ...kept, ...changed.slice(last)]
}

/** The roles of what was agreed for a panel. */
function agreedRoles(summary: Summary): Record<string, WorkedStep['role'][]> {
  return Object.fromEntries(
    Object.entries(agreedWork(summary)).map(([panel, { steps }]) => [panel, steps.map(({ role }) => role)]),
  )
}

/** The panels as they are told now: what was taken from them under the agreement stays told. */
function panelsAfter(
  fresh: Summary,
  agreed: AgreedNow,
  standing: Standing,
): Pick<Summary, 'panels' | 'processes' | 'works'> {
  const roles = agreedRoles(agreed.summary)
  const works = [...fresh.works]
  const placeOf = (work: Worked) => {
    const at = works.findIndex((each) => JSON.stringify(each) === JSON.stringify(work))
    return at >= 0 ? at : works.push(work) - 1
  }
  const panels = fresh.panels.map((panel) => {
    const old = agreed.summary.panels.find(({ id }) => id === panel.id)
    if (!old) return panel
    const own = roles[panel.id] ?? []
    const isSame = old.process === panel.process
    if (isSame && !agreed.holds && !isWorkedOut(own, standing)) return panel
    if (!isSame && !isTouched(own, standing, { panel: panel.id, by: old.process })) return panel
    // What a method has begun to take is not given back by another: both stand, and the ledger rather knows too much than too little.
    if (!isSame && panel.process !== 'leave') return { ...panel, takesUm: panel.takesUm + old.takesUm }
    const { work, ...kept } = old
    const done = agreed.summary.works[work ?? -1]
    return done ? { ...kept, work: placeOf(done) } : old
  })
  return { panels, works, processes: Object.fromEntries(panels.map(({ id, process }) => [id, process])) }
}

/** Whether a layer or another coat that lies on the car is missing in the change, or another product stands in its place. */
function losesACoat(offer: Offer, { plan, stateOf }: AgreedNow): boolean {
  return plan.operations.some(({ id, kind, productId, layer, surface }) => {
    const lies =
      (kind === 'layer' || kind === 'surface') && !id.startsWith('again-') && stateOf(id) !== 'open'
    if (!lies) return false
    const now = offer.plan.operations.find((operation) =>
      kind === 'layer' ? operation.layer === layer : operation.surface === surface,
    )
    return kind === 'layer' ? now?.productId !== productId : now !== undefined && now.productId !== productId
  })
}

/** A change of an agreed job worked out from an offer for the whole of it; or why it cannot be. */
export function changeOf(
  offer: Offer,
  agreed: AgreedNow,
  { rates, terms, customerTax = 'as-usual' }: Charges,
  catalogue: readonly Product[],
): Changed | ChangeFault {
  const standing: Standing = { ...agreed, processes: agreed.summary.processes }
  const coated = agreed.plan.operations.some(
    ({ id, kind }) => kind === 'layer' && agreed.stateOf(id) !== 'open',
  )
  if (losesACoat(offer, agreed)) return 'layer-lies'
  if (coated && stillToWork(offer, standing).length > 0) return 'coated-already'
  const plan = changedPlan(offer, standing, catalogue)
  const lines = linesAfter(agreed, priceLines({ ...offer, plan: charged(plan), rates, customerTax }))
  const price = closePrice(lines, terms, taxationFor(rates.tax, customerTax))
  const fresh = summaryOf({ ...offer, plan, price })
  const panels = panelsAfter(fresh, agreed, standing)
  const isSame =
    !agreed.otherDay &&
    price.totalCents === agreed.totalCents &&
    sameWork(plan, agreed.plan) &&
    JSON.stringify(panels.processes) === JSON.stringify(agreed.summary.processes)
  return isSame ? 'nothing-differs' : { plan, price, summary: { ...fresh, ...panels } }
}

const charged = (plan: JobPlan): JobPlan => ({
  ...plan,
  operations: plan.operations.filter((operation) => !isUncharged(operation)),
})

const sameWork = (one: JobPlan, other: JobPlan) => {
  const told = ({ operations }: JobPlan) =>
    JSON.stringify(operations.map(({ id, minutes }) => `${id} ${minutes}`).toSorted())
  return told(one) === told(other)
}

/** What a job comes to that is called off: what was done, at the prices that were agreed; nothing where nothing was. */
export function calledOffAt(
  agreed: Omit<AgreedNow, 'version'>,
  { rates, terms, customerTax = 'as-usual' }: Charges,
): Changed {
  const plan = calledOff(agreed)
  const done = new Map(plan.operations.map((operation) => [operation.id as OperationId, operation]))
  const lines = agreed.summary.priceLines.flatMap((line): PriceLine[] => {
    if (line.kind === 'discount') return []
    if (line.kind === 'consumables') return done.size > 0 ? [line] : []
    if (line.kind !== 'labour') return isWorked(line, agreed) ? [line] : []
    const own = line.operations.flatMap((id) => done.get(id as OperationId) ?? [])
    // Minutes that were made anew since are no more than was agreed.
    const minutes = Math.min(attendedMinutes(own), line.minutes)
    return minutes > 0 ? [lineAfter(line, { ...line, minutes, operations: own.map(({ id }) => id) })] : []
  })
  const price = closePrice(lines, terms, taxationFor(rates.tax, customerTax))
  return {
    plan,
    price,
    summary: {
      ...leftUnworked(agreed, plan),
      priceLines: price.lines,
      netCents: price.netCents,
      taxCents: price.taxCents,
      ...taxOf(price),
      depositCents: 0,
    },
  }
}

/** What was told, of which only what was done is left: panels nobody worked on keep their condition. */
function leftUnworked(agreed: Omit<AgreedNow, 'version'>, plan: JobPlan): Summary {
  const { summary } = agreed
  const standing = { ...agreed, processes: summary.processes, version: 0 }
  const roles = agreedRoles(summary)
  const panels = summary.panels.map((panel) => {
    if (isTouched(roles[panel.id] ?? [], standing)) return panel
    const { work: _, ...rest } = panel
    return { ...rest, process: 'leave' as const, takesUm: 0, indexAfter: panel.indexBefore }
  })
  const share = panels.filter(({ process }) => process !== 'leave').length / Math.max(1, panels.length)
  const { gloss: _, ...rest } = summary
  return {
    ...rest,
    panels,
    processes: Object.fromEntries(panels.map(({ id, process }) => [id, process])),
    indexAfter: share > 0 ? summary.indexAfter : summary.indexBefore,
    expectedClearing: share * summary.expectedClearing,
    layers: summary.layers.filter((product) =>
      plan.operations.some(({ productId }) => productId === product),
    ),
    coats: summary.coats.filter(({ surface, layer }) =>
      plan.operations.some((operation) =>
        surface === 'paint' ? operation.layer === layer : operation.surface === surface,
      ),
    ),
    expectation: [],
    spots: [],
  }
}

/** How one line of the price has changed: cents before and after; nothing before where it is new. */
export type LineChange = { line: PriceLine; beforeCents: number; afterCents: number }

/** The lines in which two prices differ, in the order of the later one, then what has gone. */
export function lineChanges(before: readonly PriceLine[], after: readonly PriceLine[]): LineChange[] {
  const was = new Map(before.map((line) => [lineKey(line), line]))
  const has = new Set(after.map(lineKey))
  return [
    ...after.map((line) => ({
      line,
      beforeCents: was.get(lineKey(line))?.cents ?? 0,
      afterCents: line.cents,
    })),
    ...before
      .filter((line) => !has.has(lineKey(line)))
      .map((line) => ({ line, beforeCents: line.cents, afterCents: 0 })),
  ].filter(({ beforeCents, afterCents }) => beforeCents !== afterCents)
}
