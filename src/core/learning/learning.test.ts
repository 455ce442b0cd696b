import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, test } from 'vitest'
import { stepMinutes } from '../correction'
import { writeCsv } from '../csv'
import { toBayId, toJobId, toOperationId, toPersonId, toProductId } from '../ids'
import type { Progress } from '../job'
import { agreedWork, makeOffer, summaryOf } from '../offer'
import { offerInput, template } from '../offer/offer.fixture'
import { seededRandom } from '../schedule'
import { type Instant, instantOrThrow, localDayOrThrow, minutesBetween, plusMinutes } from '../time'
import { panelsOf } from '../vehicle'
import { paceLessons } from './calibration'
import { packageEarnings, type ShopCosts } from './earnings'
import { type Lesson, type LessonInput, lessonOf } from './lesson'
import { bayUseByMonth, onTimeByMonth } from './tallies'

const START = instantOrThrow('2027-01-11T08:00:00Z')
const COSTS: ShopCosts = {
  wageCentsPerHour: { prep: 2000, correct: 3000, coat: 3000 },
  bayCentsPerHour: 600,
  productPercent: 50,
}

const actualOf = ({ steps }: Lesson, kind: string) =>
  steps.reduce((sum, { key, actualMinutes }) => sum + (key.endsWith(`:${kind}`) ? actualMinutes : 0), 0)

describe('what others had a hand in', () => {
  test('a cut that two shared took the minutes of both', () => {
    const alone = input()
    const halved = input('lantern', (kind) => (kind === 'cut' ? 0.5 : 1))
    const published = halved.published.map((placed) =>
      placed.operation === 'cut' ? { ...placed, people: [toPersonId('ann'), toPersonId('ben')] } : placed,
    )
    expect(actualOf(lessonOf({ ...halved, published }), 'cut')).toBeCloseTo(
      actualOf(lessonOf(alone), 'cut'),
      6,
    )
    expect(actualOf(lessonOf(halved), 'cut')).toBeCloseTo(actualOf(lessonOf(alone), 'cut') / 2, 6)
  })
  test('a car at somebody else’s place stands in no bay', () => {
    const { plan } = input()
    const away = {
      ...plan,
      stays: plan.stays.map((stay) => (stay.id === 'wet' ? { ...stay, kind: 'offsite' } : stay)),
    }
    const bays = lessonOf(input('lantern', () => 1, { plan: away })).bays.map(({ place }) => place)
    expect(bays).toEqual(['loft'])
  })
})

/** A job done step after step without a pause, each by so many times its plan. */
function input(
  key = 'lantern',
  takes: (kind: string) => number = () => 1,
  more: Partial<LessonInput> = {},
): LessonInput {
  const offer = makeOffer(template(key), offerInput())
  const summary = summaryOf(offer)
  let at = START
  const progress: Record<string, Progress> = {}
  const published = offer.plan.operations.map((operation) => {
    const start = at
    at = plusMinutes(at, operation.minutes)
    return {
      job: toJobId('j'),
      operation: operation.id,
      start,
      end: at,
      people: [toPersonId('ann')],
      place: toBayId(operation.kind === 'wash' ? 'wash' : 'loft'),
      segments: [],
    }
  })
  let really = START
  for (const operation of offer.plan.operations) {
    const to = plusMinutes(really, operation.minutes * takes(operation.kind))
    progress[operation.id] = { kind: 'done', from: really, to, by: toPersonId('ann') }
    really = to
  }
  return {
    job: { id: toJobId('j'), number: 101, packageKey: key, packageName: offer.template.name },
    day: localDayOrThrow('2027-01-15'),
    promisedFor: published.at(-1)!.end as Instant,
    plan: offer.plan,
    progress,
    published,
    panels: panelsOf('saloon'),
    work: agreedWork(summary),
    care: summary.care,
    pace: {},
    ticks: [],
    worked: (_operation, _person, from, to) => minutesBetween(from, to),
    money: { netCents: summary.netCents, discountCents: 0, vendorCents: 0, consumablesCents: 3500 },
    products: [],
    clearing: [],
    ...more,
  }
}

const total = (lesson: Lesson, pick: (step: Lesson['steps'][number]) => number) =>
  lesson.steps.reduce((sum, step) => sum + pick(step), 0)

describe('what a job has to teach', () => {
  test('a job that went by the plan has real minutes equal to planned ones, and was on time to the minute', () => {
    const lesson = lessonOf(input())
    for (const { actualMinutes, plannedMinutes } of lesson.steps)
      expect(actualMinutes / plannedMinutes).toBeCloseTo(1, 6)
    expect(lesson.lateMinutes).toBe(0)
    expect(
      lesson.bays.map(({ from, to, plannedMinutes }) => minutesBetween(from, to) - plannedMinutes),
    ).toEqual([0, 0])
  })
  test('no minute is lost or counted twice, with ticks and without', () => {
    const without = lessonOf(input('lantern', (kind) => (kind === 'cut' ? 1.4 : 1)))
    const cut = input('lantern', (kind) => (kind === 'cut' ? 1.4 : 1))
    const began = cut.progress.cut as Extract<Progress, { kind: 'done' }>
    const ids = Object.keys(cut.work).filter((id) => cut.work[id]!.steps.length > 0)
    const ticks = ids.map((panel, at) => ({
      operation: toOperationId('cut'),
      panel,
      at: plusMinutes(began.from, ((at + 1) * minutesBetween(began.from, began.to)) / (ids.length + 1)),
    }))
    const ticked = lessonOf({ ...cut, ticks })
    expect(total(ticked, (step) => step.actualMinutes)).toBeCloseTo(
      total(without, (step) => step.actualMinutes),
      6,
    )
    const cutting = ticked.steps.filter(({ key }) => key.endsWith(':cut'))
    expect(cutting.every(({ panel }) => panel !== undefined)).toBe(true)
    expect(cutting.reduce((sum, { actualMinutes }) => sum + actualMinutes, 0)).toBeCloseTo(
      minutesBetween(began.from, began.to),
      6,
    )
    expect(without.steps.every(({ panel }) => panel === undefined)).toBe(true)
  })
  test('minutes by the table stay those of the table, whatever pace it was planned at', () => {
    const offer = makeOffer(template('lantern'), offerInput({}, { pace: { 'two-step:cut': 1.5, wash: 1.2 } }))
    const plain = input('lantern')
    const paced = lessonOf({ ...plain, plan: offer.plan, pace: { 'two-step:cut': 1.5, wash: 1.2 } })
    const wash = paced.steps.find(({ key }) => key === 'wash')!
    expect(wash.plannedMinutes / wash.tableMinutes).toBeCloseTo(1.2, 1)
    const panel = panelsOf('saloon').find(({ id }) => id === 'bonnet')!
    const [step] = plain.work.bonnet!.steps
    const cuts = paced.steps.filter(({ key }) => key === `${plain.work.bonnet!.key}:cut`)
    expect(cuts.map(({ tableMinutes }) => tableMinutes)).toContainEqual(
      expect.closeTo(stepMinutes(step!, panel, 'usual').minutes, 6),
    )
  })
  test.each(['tideline', 'slipway', 'lantern', 'boathouse'])(
    'every pace that is learned of a %s is applied to the work it was learned from, and is not learned twice',
    (key) => {
      const plain = lessonOf(input(key))
      const pace = Object.fromEntries(plain.steps.map((step) => [step.key, 0.5]))
      const offer = makeOffer(template(key), offerInput({}, { pace }))
      const paced = lessonOf({ ...input(key), plan: offer.plan, pace })
      const table = (lesson: Lesson, of: string) =>
        lesson.steps
          .filter((step) => step.key === of)
          .reduce((sum, { tableMinutes }) => sum + tableMinutes, 0)
      for (const of of Object.keys(pace)) {
        const steps = plain.steps.filter((step) => step.key === of).length
        // A plan rounds each step up to whole five minutes, at half the pace to ten of the table.
        expect(Math.abs(table(paced, of) - table(plain, of)), of).toBeLessThanOrEqual(10 * steps)
      }
      const minutes = (lesson: Lesson) => total(lesson, ({ plannedMinutes }) => plannedMinutes)
      expect(minutes(paced) / minutes(plain)).toBeLessThan(0.56)
    },
  )
  test('a job of which nothing was recorded teaches nothing', () =>
    expect(() => lessonOf({ ...input(), progress: {} })).toThrow())
})

describe('the pace of the shop', () => {
  const many = (count: number, ratio: (kind: string) => number, seed: number) => {
    const random = seededRandom(seed)
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
    return Array.from({ length: count }, () => {
      const luck = Math.exp(0.15 * normal())
      return lessonOf(input('lantern', (kind) => ratio(kind) * luck))
    })
  }
  const of = (lessons: readonly Lesson[], key: string, current: Record<string, number> = {}) =>
    paceLessons(lessons, current).find((lesson) => lesson.key === key)!
  test('comes to the truth as jobs are finished, from the table on', () => {
    const factors = [1, 4, 16, 64].map(
      (count) =>
        of(
          many(count, (kind) => (kind === 'cut' ? 1.4 : 1), 7),
          'two-step:cut',
        ).factor,
    )
    expect(factors[3]).toBeGreaterThan(1.3)
    expect(factors[3]).toBeLessThan(1.5)
    const errors = factors.map((factor) => Math.abs(Math.log(factor / 1.4)))
    expect(errors[3]!).toBeLessThan(errors[0]!)
  })
  test('one odd job is no rule, many are', () => {
    expect(
      of(
        many(1, () => 1.25, 3),
        'wash',
      ).worthAccepting,
    ).toBe(false)
    expect(
      of(
        many(20, () => 1.25, 3),
        'wash',
      ).worthAccepting,
    ).toBe(true)
    expect(
      of(
        many(20, () => 1, 3),
        'wash',
      ).worthAccepting,
    ).toBe(false)
  })
  test('once accepted it is no longer proposed', () => {
    const lessons = many(30, () => 1.25, 3)
    const { factor } = of(lessons, 'wash')
    expect(of(lessons, 'wash', { wash: factor }).worthAccepting).toBe(false)
  })
  test('lies between the table and what was seen', () => {
    // A plan rounds to its steps; what was seen is seen against the table.
    const ROUNDING = 1e-9
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 2.5, noNaN: true }),
        fc.integer({ min: 1, max: 5 }),
        (ratio, count) => {
          const lessons = Array.from({ length: count }, () => lessonOf(input('slipway', () => ratio)))
          for (const { factor, actualMinutes, tableMinutes } of paceLessons(lessons, {})) {
            const seen = actualMinutes / tableMinutes
            expect(factor).toBeGreaterThanOrEqual(Math.min(1, seen) - ROUNDING)
            expect(factor).toBeLessThanOrEqual(Math.max(1, seen) + ROUNDING)
          }
        },
      ),
      {
        numRuns: 20,
        examples: [
          [0.9953948356750202, 1],
          [0.9954104225294803, 1],
        ],
      },
    )
  })
  test('an accepted pace lengthens what it is about, and nothing else', () => {
    const plain = makeOffer(template('lantern'), offerInput())
    const slower = makeOffer(template('lantern'), offerInput({}, { pace: { 'two-step:cut': 1.5 } }))
    const minutes = (offer: typeof plain, id: string) => {
      const operation = offer.plan.operations.find((each) => each.id === id)!
      return operation.minutes * operation.people
    }
    expect(minutes(slower, 'cut') / minutes(plain, 'cut')).toBeCloseTo(1.5, 1)
    for (const id of ['wash', 'refine', 'wipe', 'layer-1'])
      expect(minutes(slower, id)).toBe(minutes(plain, id))
    expect(slower.price.totalCents).toBeGreaterThan(plain.price.totalCents)
  })
})

describe('what a package earns', () => {
  const product = { productId: toProductId('tern-top'), plannedMl: 60, ml: 80, poured: true, centsPerMl: 100 }
  const lesson = (more: Partial<Lesson> = {}, takes = 1.3): Lesson => ({
    ...lessonOf(input('lantern', (kind) => (kind === 'cut' ? takes : 1), { products: [product] })),
    ...more,
  })
  test('what is left is what was paid less all that was spent, to the cent', () => {
    const [earned] = packageEarnings([lesson()], COSTS)
    const { netCents, wageCents, productCents, vendorCents, consumablesCents, bayCents, leftCents } =
      earned!.actual
    expect(leftCents).toBeCloseTo(
      netCents - wageCents - productCents - vendorCents - consumablesCents - bayCents,
      6,
    )
    expect(productCents).toBe(4000)
    expect(earned!.centsPerBayHour).toBeCloseTo((leftCents + bayCents) / earned!.actual.bayHours, 6)
  })
  test('the causes add up to the whole difference between what was planned and what was left', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 2, noNaN: true }),
        fc.integer({ min: 0, max: 20_000 }),
        (takes, discountCents) => {
          const lessons = [lesson({ discountCents }, takes), lesson({}, 1)]
          const [earned] = packageEarnings(lessons, COSTS)
          const causes = earned!.causes.reduce((sum, { cents }) => sum + cents, 0)
          // Causes of less than a cent are not named.
          expect(Math.abs(causes - (earned!.actual.leftCents - earned!.planned.leftCents))).toBeLessThan(20)
        },
      ),
      { numRuns: 20 },
    )
  })
  test('the package whose cutting runs over is named with it, the best earner comes first', () => {
    const good = lesson({ packageKey: 'slipway', packageName: 'Slipway', netCents: 200_000 }, 1)
    const bad = lesson({ netCents: 40_000 }, 2)
    const earned = packageEarnings([bad, good], COSTS)
    expect(earned.map(({ key }) => key)).toEqual(['slipway', 'lantern'])
    expect(earned[1]!.actual.leftCents).toBeLessThan(0)
    expect(earned[1]!.causes.some((cause) => cause.kind === 'work' && cause.key.endsWith(':cut'))).toBe(true)
  })
})

describe('tallies', () => {
  test('a car a quarter of an hour late is on time, an hour late is not', () => {
    const at = (lateMinutes: number): Lesson => ({ ...lessonOf(input()), lateMinutes })
    expect(onTimeByMonth([at(-60), at(15), at(75)])).toEqual([
      { month: '2027-01', cars: 3, onTime: 2, lateHours: 1.25 },
    ])
  })
  test('bays are used while a car stands in them and the shop is open, each minute once', () => {
    const at = (text: string) => instantOrThrow(`2027-01-${text}:00Z`)
    const lesson = (...bays: [string, string, string][]): Lesson => ({
      ...lessonOf(input()),
      bays: bays.map(([place, from, to]) => ({
        place: toBayId(place),
        plannedMinutes: 0,
        from: at(from),
        to: at(to),
      })),
    })
    const days = ['11', '12', '13'].map((day) => ({ from: at(`${day}T08:00`), to: at(`${day}T17:00`) }))
    const months = [{ month: '2027-01', from: at('11T00:00'), to: at('14T00:00') }]
    const lessons = [
      // Over a night, from an hour before closing to an hour after opening; another at the same time for the last of it.
      lesson(['loft', '11T16:00', '12T09:00'], ['wash', '11T15:00', '11T16:00']),
      lesson(['loft', '12T08:30', '12T10:00']),
      // Partly before what is looked at.
      lesson(['loft', '10T12:00', '11T09:00']),
    ]
    expect(bayUseByMonth(lessons, [toBayId('wash'), toBayId('loft'), toBayId('yard')], months, days)).toEqual(
      [
        { place: 'wash', month: '2027-01', openHours: 27, usedHours: 1, stoodHours: 1 },
        { place: 'loft', month: '2027-01', openHours: 27, usedHours: 1 + 2 + 1, stoodHours: 18 + 9 },
        { place: 'yard', month: '2027-01', openHours: 27, usedHours: 0, stoodHours: 0 },
      ],
    )
  })
  test('however stays lie, no bay is used more than it is open or stood in', () => {
    const origin = instantOrThrow('2027-01-01T00:00:00Z')
    const span = fc
      .tuple(fc.integer({ min: 0, max: 5000 }), fc.integer({ min: 1, max: 900 }))
      .map(([from, long]) => ({ from: plusMinutes(origin, from), to: plusMinutes(origin, from + long) }))
    const base = lessonOf(input())
    fc.assert(
      fc.property(fc.array(span, { maxLength: 30 }), (spans) => {
        const open = Array.from({ length: 4 }, (_, day) => ({
          from: plusMinutes(origin, day * 1440 + 480),
          to: plusMinutes(origin, day * 1440 + 1020),
        }))
        const months = [0, 2].map((day) => ({
          month: `${day}`,
          from: plusMinutes(origin, day * 1440),
          to: plusMinutes(origin, (day + 2) * 1440),
        }))
        const lessons = spans.map((each) => ({
          ...base,
          bays: [{ place: toBayId('loft'), plannedMinutes: 0, ...each }],
        }))
        const tallies = bayUseByMonth(lessons, [toBayId('loft')], months, open)
        // Minute by minute.
        let used = 0
        for (let minute = 0; minute < 4 * 1440; minute++) {
          const at = plusMinutes(origin, minute)
          const within = (each: { from: string; to: string }) => each.from <= at && at < each.to
          if (open.some(within) && spans.some(within)) used++
        }
        expect(tallies.reduce((sum, { usedHours }) => sum + usedHours * 60, 0)).toBeCloseTo(used, 6)
        for (const { openHours, usedHours, stoodHours } of tallies)
          expect(usedHours).toBeLessThanOrEqual(Math.min(openHours, stoodHours) + 1e-9)
      }),
      { numRuns: 25 },
    )
  })
})

describe('tables for a spreadsheet (RFC 4180)', () => {
  const read = (text: string) => Papa.parse<string[]>(text.replace(/\r\n$/, ''), { newline: '\r\n' }).data
  test('round trips quotes, separators and line breaks', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.array(
            fc.string().filter((text) => !/^[=+\-@\t\r]/.test(text)),
            { minLength: 3, maxLength: 3 },
          ),
          {
            minLength: 1,
          },
        ),
        (rows) => {
          const text = writeCsv(['a', 'b', 'c'], rows)
          expect(read(text)).toEqual([['a', 'b', 'c'], ...rows])
        },
      ),
    )
  })
  test('ends its lines with CRLF and leaves numbers numbers', () => {
    expect(
      writeCsv(
        ['what', 'n'],
        [
          ['a', -1.5],
          ['b, c', 2],
        ],
      ),
    ).toBe('what,n\r\na,-1.5\r\n"b, c",2\r\n')
  })
  test('what a spreadsheet would run is made harmless', () => {
    for (const evil of ['=1+1', '+cmd', '-2+3', '@SUM(A1)', '\t=1'])
      expect(read(writeCsv(['x'], [[evil]]))[1]![0]).toBe(`'${evil}`)
  })
})
