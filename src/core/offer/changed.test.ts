import { describe, expect, test } from 'vitest'
import { withRework } from '../handover'
import { type OperationId, toOperationId } from '../ids'
import { type AgreedNow, type Changed, calledOffAt, changeOf, lineChanges } from './changed'
import { broughtForward, type StepState } from './changed-plan'
import { type Choices, chosenOffer } from './choices'
import { machineRoles } from './machine-roles'
import { catalogue, offerInput, templates } from './offer.fixture'
import { summaryOf } from './told'
import { withWashAgain } from './wash-again'

const input = offerInput()
const TERMS = { discountPercent: 0, depositPercent: 20, validDays: 14 }
const CHARGES = { rates: input.rates, terms: TERMS }
const LAMPS = (count: number) => ({ key: 'headlamps' as const, count })
const choices = (more: Partial<Choices> = {}): Choices => ({
  packageKey: 'lantern',
  extras: [],
  terms: TERMS,
  ...more,
})
const offerFor = (more: Partial<Choices> = {}) => chosenOffer(templates, input, choices(more))!
const processesOf = (more: Partial<Choices> = {}) =>
  Object.fromEntries(
    offerFor(more).correction.panels.map(({ judged, option }) => [judged.panel.id, option.method.key]),
  )

/** A job as it was agreed, with the steps up to one of them over. */
function agreedWith(more: Partial<Choices> = {}, upTo?: string, begun?: string): AgreedNow {
  const offer = offerFor(more)
  const at = offer.plan.operations.findIndex(({ id }) => id === upTo)
  const over = new Set<OperationId>(offer.plan.operations.slice(0, at + 1).map(({ id }) => id))
  const stateOf = (id: OperationId): StepState => (over.has(id) ? 'over' : id === begun ? 'begun' : 'open')
  return {
    plan: offer.plan,
    summary: summaryOf(offer),
    totalCents: offer.price.totalCents,
    stateOf,
    version: 2,
    holds: true,
  }
}

function changed(agreed: AgreedNow, more: Partial<Choices>, charges = CHARGES): Changed {
  const made = changeOf(offerFor(more), agreed, charges, catalogue)
  if (typeof made === 'string') throw new Error(made)
  return made
}
const held = (panel: string, method: string) => ({ processes: { ...processesOf(), [panel]: method } })
const idsOf = ({ plan }: Pick<Changed, 'plan'>) => plan.operations.map(({ id }) => String(id))
const line = (of: Pick<Changed, 'summary'>, kind: string) =>
  of.summary.priceLines.find((each) => each.kind === kind)!

describe('a change of what was agreed', () => {
  test('that differs in nothing is none', () => {
    expect(changeOf(offerFor(), agreedWith(), CHARGES, catalogue)).toBe('nothing-differs')
  })
  test('an extra is added before the paint is worked, or dropped while nobody has begun it', () => {
    const more = changed(agreedWith({}, 'mask'), { extras: [LAMPS(2)] })
    const ids = idsOf(more)
    expect(ids.indexOf('extra-headlamps')).toBe(ids.indexOf('mask') + 1)
    const less = changed(agreedWith({ extras: [LAMPS(2)] }, 'wash'), {})
    expect(idsOf(less)).not.toContain('extra-headlamps')
    expect(less.price.totalCents).toBe(offerFor().price.totalCents)
  })
  test('what is done of an extra stays and is paid; more of it is a step of its own', () => {
    const agreed = agreedWith({ extras: [LAMPS(1)] }, 'extra-headlamps')
    const dropped = changeOf(offerFor(), agreed, CHARGES, catalogue)
    expect(dropped).toBe('nothing-differs')
    const more = changed(agreed, { extras: [LAMPS(2)] })
    expect(more.plan.operations.find(({ id }) => id === 'more-2-extra-headlamps')).toMatchObject({
      title: { code: 'extra', extra: 'headlamps', count: 1 },
      minutes: 40,
    })
    expect(line(more, 'extra').cents).toBe(2 * line(agreed, 'extra').cents)
  })
  test('another method on a panel whose step is over is cut once more, and both stand in the record', () => {
    const agreed = agreedWith({}, 'cut')
    const bonnet = agreed.summary.panels.find(({ id }) => id === 'bonnet')!
    const other = bonnet.process === 'two-step' ? 'two-step-wool' : 'two-step'
    const more = changed(agreed, held('bonnet', other))
    const ids = idsOf(more)
    expect(ids.indexOf('more-2-cut')).toBe(ids.indexOf('cut') + 1)
    expect(more.plan.operations.find(({ id }) => id === 'more-2-cut')).toMatchObject({
      kind: 'cut',
      title: { code: 'more', of: { code: 'cut' } },
      panels: ['bonnet'],
    })
    const told = more.summary.panels.find(({ id }) => id === 'bonnet')!
    expect(told.process).toBe(other)
    expect(told.takesUm).toBeGreaterThan(bonnet.takesUm)
    // The others are as they were agreed, to the passes.
    expect(more.summary.processes.roof).toBe(agreed.summary.processes.roof)
  })
  test('what was changed at the car and worked so is told to the customer as it was, and not worked once more', () => {
    const before = agreedWith({}, 'mask', 'cut')
    const other = before.summary.processes.bonnet === 'two-step' ? 'two-step-wool' : 'two-step'
    const early = changed(before, held('bonnet', other))
    const machine = early.plan.operations.filter((step) => machineRoles(step).length > 0)
    const workedBy = Object.fromEntries(machine.map(({ id }) => [id, { bonnet: other }]))
    for (const last of [machine.at(-1)!.id, toOperationId('layer-1')]) {
      const at = early.plan.operations.findIndex(({ id }) => id === last)
      const over = new Set(early.plan.operations.slice(0, at + 1).map(({ id }) => id))
      const worked = {
        ...before,
        plan: early.plan,
        stateOf: (id: OperationId): StepState => (over.has(id) ? 'over' : 'open'),
      }
      const late = changed({ ...worked, workedBy }, held('bonnet', other))
      expect(idsOf(late).filter((id) => id.startsWith('more-'))).toEqual([])
      expect(late.price.totalCents).toBe(early.price.totalCents)
      const takes = ({ summary }: Changed) => summary.panels.find(({ id }) => id === 'bonnet')!.takesUm
      expect(takes(late)).toBe(takes(early))
      // Worked as it was agreed, it would have to be worked once more, or could not be.
      expect(changeOf(offerFor(held('bonnet', other)), worked, CHARGES, catalogue)).not.toEqual(late)
    }
  })
  test('a coat that lies is not argued with', () => {
    const coated = agreedWith({}, 'layer-1')
    const other = coated.summary.processes.bonnet === 'two-step' ? 'one-step-cut' : 'two-step'
    expect(changeOf(offerFor(held('bonnet', other)), coated, CHARGES, catalogue)).toBe('coated-already')
    expect(
      changeOf(
        offerFor({ ...held('bonnet', processesOf().bonnet!), layers: [] }),
        coated,
        CHARGES,
        catalogue,
      ),
    ).toBe('layer-lies')
    const one = changed(agreedWith({}, 'mask'), {
      layers: offerFor()
        .layers.slice(0, 1)
        .map(({ id }) => id),
    })
    expect(idsOf(one).filter((id) => id.startsWith('layer-'))).toEqual(['layer-1'])
  })
  test('prices may have risen: what was agreed keeps its price, what comes to it is priced as of today', () => {
    const dear = {
      ...CHARGES,
      rates: { ...input.rates, centsPerHour: { prep: 9000, correct: 9000, coat: 9000 } },
    }
    const agreed = agreedWith()
    const more = changed(agreed, { extras: [LAMPS(1)] }, dear)
    expect(
      lineChanges(agreed.summary.priceLines, more.summary.priceLines).map(({ line: { kind } }) => kind),
    ).toEqual(['extra'])
    expect(line(more, 'extra').cents).toBe(
      Math.round((40 * 9000) / 60) + (input.rates.extraMaterialsCents.headlamps ?? 0),
    )
  })
  test('something wet on a car in its studio takes it to the wash bay and back', () => {
    const more = changed(agreedWith({}, 'cut'), { extras: [{ key: 'engine-bay', count: 1 }] })
    expect(more.plan.stays.map(({ kind }) => kind)).toEqual(['wash', 'studio', 'wash', 'studio'])
    expect(new Set(more.plan.stays.map(({ id }) => id)).size).toBe(4)
  })
  test('a place that was sent back is still done again', () => {
    const agreed = agreedWith({}, 'cut')
    const panel = input.judgement.panels.find(({ panel: { id } }) => id === 'roof')!.panel
    const again = withRework(agreed.plan, toOperationId('cut'), {
      place: 'roof',
      panel,
      isDone: (id) => agreed.stateOf(id) === 'over',
      productOf: () => undefined,
    })!
    const more = changed({ ...agreed, plan: again }, { extras: [LAMPS(1)] })
    const ids = idsOf(more)
    expect(ids.indexOf('again-1')).toBe(ids.length - 2)
    expect(more.plan.links).toContainEqual({ from: 'again-1', to: 'finish', min: 0 })
    // What the shop puts right is not charged.
    expect(
      lineChanges(agreed.summary.priceLines, more.summary.priceLines).map((each) => each.line.kind),
    ).toEqual(['extra'])
  })
  test('written while the work went on, it is brought forward, unless a step it changes has been begun', () => {
    const before = agreedWith({}, 'mask')
    const written = changed(before, { extras: [LAMPS(1)] })
    const now = { ...agreedWith({}, 'mask', 'cut'), processes: before.summary.processes }
    expect(idsOf({ plan: broughtForward(written.plan, now, catalogue)! })).toContain('extra-headlamps')
    const dropped = changed(agreedWith({ extras: [LAMPS(1)] }, 'mask'), {})
    const lamp = { ...agreedWith({ extras: [LAMPS(1)] }, 'mask', 'extra-headlamps'), processes: {} }
    expect(broughtForward(dropped.plan, lamp, catalogue)).toBeUndefined()
  })
})

test('a short wash that was put in since is not charged, and holds up no supplement', () => {
  const agreed = agreedWith({}, 'mask')
  const plan = withWashAgain(agreed.plan, toOperationId('cut'), 9)!
  const more = changed({ ...agreed, plan }, { extras: [LAMPS(1)] })
  expect(idsOf(more).indexOf('wash-again-1')).toBe(idsOf(more).indexOf('cut') - 1)
  expect(
    lineChanges(agreed.summary.priceLines, more.summary.priceLines).map((each) => each.line.kind),
  ).toEqual(['extra'])
  const washed = (id: OperationId) => (id === 'wash-again-1' ? 'over' : agreed.stateOf(id))
  const written = changed(agreed, { extras: [LAMPS(1)] })
  const standing = { ...agreed, plan, stateOf: washed, processes: agreed.summary.processes }
  expect(idsOf({ plan: broughtForward(written.plan, standing, catalogue)! })).toContain('wash-again-1')
})

test('what is cut once more is charged for those panels alone', () => {
  const agreed = agreedWith({}, 'cut')
  const other = (panel: string) =>
    agreed.summary.processes[panel] === 'two-step' ? 'two-step-wool' : 'two-step'
  const first = changed(agreed, held('bonnet', other('bonnet')))
  const minutes = (of: Changed, id: string) => of.plan.operations.find((each) => each.id === id)!.minutes
  const done = (id: OperationId) => (id === 'more-2-cut' ? 'over' : agreed.stateOf(id))
  // The bonnet is done, and still not as it is agreed: only the roof is to be cut.
  const next = changed(
    { ...agreed, plan: first.plan, stateOf: done },
    { processes: { ...processesOf(), bonnet: other('bonnet'), roof: other('roof') } },
  )
  const alone = changed(agreed, held('roof', other('roof')))
  expect(minutes(next, 'more-2-cut-2')).toBe(minutes(alone, 'more-2-cut'))
})

describe('a job that is called off', () => {
  test('costs no more than was agreed, though a step took longer in a plan that was made anew', () => {
    const agreed = agreedWith({}, 'cut')
    const operations = agreed.plan.operations.map((each) =>
      each.id === 'cut' ? { ...each, minutes: 9000 } : each,
    )
    const off = calledOffAt({ ...agreed, plan: { ...agreed.plan, operations } }, CHARGES)
    const correction = (lines: typeof off.summary.priceLines) =>
      lines.find((each) => each.kind === 'labour' && each.skill === 'correct')!.cents
    expect(correction(off.summary.priceLines)).toBe(correction(agreed.summary.priceLines))
  })
  test('costs nothing where nothing was done', () => {
    const off = calledOffAt(agreedWith(), CHARGES)
    expect(off.price.totalCents).toBe(0)
    expect(off.plan).toEqual({ operations: [], links: [], stays: [] })
    expect(off.summary.panels.every(({ takesUm }) => takesUm === 0)).toBe(true)
  })
  test('costs what was done as it was agreed; paint that was cut stays in the record, the rest is as it came', () => {
    const agreed = agreedWith({ extras: [LAMPS(1)] }, 'cut')
    const off = calledOffAt(agreed, CHARGES)
    expect(off.plan.operations.at(-1)!.id).toBe('cut')
    expect(off.summary.priceLines.map(({ kind }) => kind)).toEqual([
      'labour',
      'labour',
      'extra',
      'consumables',
    ])
    expect(off.price.totalCents).toBeLessThan(agreed.totalCents)
    const was = new Map(agreed.summary.panels.map((panel) => [panel.id, panel]))
    const steps = (id: string) => agreed.summary.works[was.get(id)!.work!]!.steps.map(({ role }) => role)
    for (const panel of off.summary.panels)
      expect(panel.takesUm, panel.id).toBe(steps(panel.id).includes('cut') ? was.get(panel.id)!.takesUm : 0)
    expect(off.summary.coats).toEqual([])
    expect(off.summary.expectation).toEqual([])
  })
})
