import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import setup from '../../../demo/setup.json'
import { toJobId } from '../ids'
import { type LiveJob, type Progress, progressAt } from '../job'
import { tries } from '../long.fixture'
import {
  type AgreedNow,
  type Choices,
  calledOffAt,
  changeOf,
  chosenOffer,
  lineChanges,
  type StateOf,
  summaryOf,
} from '../offer'
import { catalogue, offerInput, templates, vendors } from '../offer/offer.fixture'
import { checkSchedule, type PlacedOperation, solve } from '../schedule'
import { type Instant, instantOrThrow, plusMinutes } from '../time'
import { shopCalendar } from './floor'
import { joinParts } from './parts'
import { planningProblem } from './shop-problem'

const MONDAY = instantOrThrow('2027-01-11T07:00:00Z')
const shop = shopCalendar({ ...setup, vendors, equipment: {}, sharing: 'one' } as never)
const input = offerInput({}, { vendors })
const TERMS = { discountPercent: 5, depositPercent: 20, validDays: 14 }
const charges = { rates: input.rates, terms: TERMS }

const choicesOf = (packageKey: string, more: Partial<Choices> = {}): Choices => ({
  packageKey,
  extras: [],
  terms: TERMS,
  ...more,
})
const PACKAGES = ['slipway', 'headland', 'lantern'] as const
const chosen = fc.record({
  packageKey: fc.constantFrom(...PACKAGES),
  extras: fc.subarray([
    { key: 'headlamps' as const, count: 2 },
    { key: 'headlamps' as const, count: 1 },
    { key: 'engine-bay' as const, count: 1 },
    { key: 'touch-up' as const, count: 1, pieces: ['bonnet'] },
    { key: 'touch-up' as const, count: 2, pieces: ['bonnet', 'roof'] },
    { key: 'interior' as const, count: 1 },
    { key: 'wheels-off' as const, count: 1 },
  ]),
  vendors: fc.subarray(vendors.filter(({ trade }) => trade !== 'film').map(({ id }) => id)),
  oneOffs: fc.subarray([
    { words: 'Number plates', cents: 2500, minutes: 0, skill: 'prep' as const },
    { words: 'Tow bar cleaned', cents: 4000, minutes: 45, skill: 'prep' as const },
  ]),
  bonnet: fc.constantFrom(undefined, 'one-step-cut', 'two-step', 'two-step-wool'),
})
type Chosen = typeof chosen extends fc.Arbitrary<infer T> ? T : never

function offerFor({ packageKey, extras, vendors: called, oneOffs, bonnet }: Chosen) {
  const each = extras.filter((extra, at) => extras.findIndex(({ key }) => key === extra.key) === at)
  const more = { extras: each, vendors: called, oneOffs }
  const plain = chosenOffer(templates, input, choicesOf(packageKey, more))!
  if (!bonnet) return plain
  const own = Object.fromEntries(
    plain.correction.panels.map(({ judged, option }) => [judged.panel.id, option.method.key]),
  )
  return (
    chosenOffer(templates, input, choicesOf(packageKey, { ...more, processes: { ...own, bonnet } })) ?? plain
  )
}

const planned = (job: LiveJob, now: Instant) => {
  const { problem } = planningProblem(shop, [job], { now })
  const { schedule } = solve(problem, { seed: 1, steps: 0 })
  return { problem, schedule, placed: joinParts(problem, schedule) }
}

/** What has been done of a plan by then, had everything gone as it was placed. */
function livedTo(now: Instant, placed: readonly PlacedOperation[], before: LiveJob['progress']) {
  const progress: Record<string, Progress> = { ...before }
  for (const { operation, people, start: from, end: to } of placed) {
    if (people.length === 0 || progress[operation]?.kind === 'done') continue
    if (to <= now) progress[operation] = { kind: 'done', from, to, by: people[0]! }
    else if (from <= now) progress[operation] = { kind: 'started', at: from, by: people[0]! }
  }
  return progress
}

const statesOf =
  (job: LiveJob, now: Instant): StateOf =>
  (id) => {
    const operation = job.plan.operations.find((each) => each.id === id)
    const kind = operation ? progressAt(job, operation, now).kind : 'open'
    return ({ open: 'open', started: 'begun', done: 'over' } as const)[kind]
  }

const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0)
const linesOf = ({ priceLines }: AgreedNow['summary']) => priceLines.filter(({ kind }) => kind !== 'discount')

describe('a job that changes', () => {
  test('whatever is agreed when: no work done is lost, the money adds up, and the plan can be kept', () => {
    fc.assert(
      fc.property(
        chosen,
        fc.array(fc.tuple(fc.integer({ min: 0, max: 70 }), chosen), { minLength: 1, maxLength: 4 }),
        (first, changes) => {
          const offer = offerFor(first)
          let job: LiveJob = {
            id: toJobId('A'),
            arrive: MONDAY,
            weight: 1,
            plan: offer.plan,
            progress: {},
            published: [],
          }
          let { summary, total } = { summary: summaryOf(offer), total: offer.price.totalCents }
          let now = MONDAY
          job = { ...job, published: planned(job, now).placed }
          for (const [at, [hours, wish]] of changes.entries()) {
            now = plusMinutes(now, 60 * hours)
            job = { ...job, progress: livedTo(now, job.published, job.progress) }
            const stateOf = statesOf(job, now)
            const agreed: AgreedNow = {
              plan: job.plan,
              summary,
              totalCents: total,
              stateOf,
              version: at + 2,
              holds: wish.bonnet !== undefined,
            }
            const changed = changeOf(offerFor(wish), agreed, charges, catalogue)
            if (typeof changed === 'string') {
              // What lies on the car is not argued with; all else can be changed.
              if (changed !== 'nothing-differs')
                expect(
                  job.plan.operations.some(({ id, kind }) => kind === 'layer' && stateOf(id) !== 'open'),
                ).toBe(true)
              continue
            }
            const { plan, price } = changed
            const ids = plan.operations.map(({ id }) => id)
            expect(new Set(ids).size).toBe(ids.length)
            for (const operation of job.plan.operations)
              if (stateOf(operation.id) === 'over') expect(plan.operations).toContainEqual(operation)
              else if (stateOf(operation.id) === 'begun') expect(ids).toContain(operation.id)
            for (const { from, to } of plan.links) expect(ids).toEqual(expect.arrayContaining([from, to]))
            expect(plan.stays.flatMap(({ operations }) => operations).toSorted()).toEqual(ids.toSorted())
            // To the cent: what was agreed and what came to it are what is agreed now.
            const differences = lineChanges(linesOf(summary), linesOf(changed.summary))
            expect(sum(linesOf(changed.summary).map(({ cents }) => cents))).toBe(
              sum(linesOf(summary).map(({ cents }) => cents)) +
                sum(differences.map(({ beforeCents, afterCents }) => afterCents - beforeCents)),
            )
            expect(sum(price.lines.map(({ cents }) => cents))).toBe(price.netCents)
            expect(price.netCents + price.taxCents).toBe(price.totalCents)
            job = { ...job, plan }
            const again = planned(job, now)
            expect(again.schedule.reasons).toEqual([])
            expect(checkSchedule(again.problem, again.schedule)).toEqual([])
            job = { ...job, published: again.placed }
            summary = changed.summary
            total = price.totalCents
          }
          const stateOf = statesOf(job, now)
          const off = calledOffAt({ plan: job.plan, summary, totalCents: total, stateOf }, charges)
          expect(off.price.totalCents).toBeLessThanOrEqual(total)
          expect(off.plan.operations.map(({ id }) => id)).toEqual(
            job.plan.operations.map(({ id }) => id).filter((id) => stateOf(id) === 'over'),
          )
        },
      ),
      { numRuns: tries(25, 400) },
    )
  })
})
