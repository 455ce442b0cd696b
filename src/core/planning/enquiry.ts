import { unprobed } from '../correction'
import type { PersonId } from '../ids'
import type { JobPlan } from '../offer/job-plan'
import { MINUTES, TYPICAL_CONTAMINATION } from '../offer/minutes'
import { makeOffer, type Offer, type OfferInput } from '../offer/offer'
import { planned } from '../offer/operations'
import type { PackageTemplate } from '../offer/package'
import type { Problem } from '../schedule'
import { openedOn } from '../schedule'
import { type Defect, judge, type School } from '../survey'
import type { LocalDay } from '../time'
import { isMetal, panelsOf, type Shape } from '../vehicle'

/** What a caller can be told before anybody has seen the car. */

export const TOLD_STATES = ['nearly-new', 'usual', 'tired'] as const
export type ToldState = (typeof TOLD_STATES)[number]

/** Film on a car that nobody has read, µm: the middle of what the factories spray (common practice: 90 to 150). */
const TYPICAL_FILM_UM = 120

const swirls = (severity: 1 | 2 | 3, extentPercent: number): Defect => ({
  kind: 'swirls',
  severity,
  extentPercent,
  catchesNail: false,
})

/** How a caller describes the paint, and what that usually turns out to be (mem). */
const TOLD_DEFECTS: Record<ToldState, readonly Defect[]> = {
  'nearly-new': [swirls(1, 30)],
  usual: [swirls(2, 60), { kind: 'scratches', severity: 1, extentPercent: 3, catchesNail: false }],
  tired: [
    swirls(3, 80),
    { kind: 'scratches', severity: 2, extentPercent: 8, catchesNail: false },
    { kind: 'oxidation', severity: 1, extentPercent: 40, catchesNail: false },
  ],
}

type Told = { shape: Shape; state: ToldState; school: School } & Pick<
  OfferInput,
  'catalogue' | 'vendors' | 'rates' | 'pace' | 'methods' | 'polishing' | 'setMinutes' | 'rinseless'
>

/** A package worked out for a car of this shape in the state its owner describes: clear over base, of medium hardness. */
export function enquiryOffer(template: PackageTemplate, { shape, state, school, ...shop }: Told): Offer {
  const panels = panelsOf(shape)
  const paintSystem = 'clear-over-base' as const
  const judgement = judge({
    panels,
    paintSystem,
    school,
    readings: Object.fromEntries(
      panels
        .filter(({ substrate }) => isMetal(substrate))
        .map(({ id }) => [id, [TYPICAL_FILM_UM - 1, TYPICAL_FILM_UM, TYPICAL_FILM_UM + 1]]),
    ),
    defects: Object.fromEntries(panels.map(({ id }) => [id, TOLD_DEFECTS[state]])),
  })
  return makeOffer(template, {
    shape,
    paintSystem,
    knowledge: unprobed('medium'),
    treatments: [],
    judgement,
    proposals: [],
    ...shop,
  })
}

/** What a rinseless wash takes of the minutes of a wet one, on a middle-sized car with usual dirt (cp: 45 min). */
const RINSELESS_SHARE =
  MINUTES.rinselessWash(9, TYPICAL_CONTAMINATION) / MINUTES.wash(9, TYPICAL_CONTAMINATION)

/** The same work with a rinseless wash where the car then stays, so that it waits for no wash bay. */
export function washedInside(plan: JobPlan): JobPlan {
  const wash = plan.operations.find(({ kind }) => kind === 'wash')
  const outside = plan.stays.find(
    ({ kind, operations }) => kind === 'wash' && wash && operations.includes(wash.id),
  )
  if (!wash || !outside) return plan
  const next = plan.operations[plan.operations.indexOf(wash) + 1]
  const home = plan.stays.find((stay) => stay !== outside && next && stay.operations.includes(next.id))
  if (!home) return plan
  const rinseless = typeof wash.title === 'object' && wash.title.code === 'rinseless-wash'
  const inside = {
    ...wash,
    title: { code: 'rinseless-wash' as const },
    minutes: rinseless ? wash.minutes : planned(wash.minutes * RINSELESS_SHARE),
  }
  return {
    ...plan,
    operations: plan.operations.map((operation) => (operation === wash ? inside : operation)),
    // What is worked wet with the wash goes along with it.
    stays: plan.stays.flatMap((stay) => {
      if (stay === home) return [{ ...stay, operations: [...outside.operations, ...stay.operations] }]
      return stay === outside ? [] : [stay]
    }),
  }
}

/** The same work in any bay under a roof, where a bay kept for paint work is not free. */
export function inAnyIndoorBay(plan: JobPlan): JobPlan {
  return {
    ...plan,
    stays: plan.stays.map((stay) => (stay.kind === 'studio' ? { ...stay, kind: 'indoor' } : stay)),
  }
}

/** Hours of a day on which somebody comes in though it is not their day. */
const EXTRA_DAY = [
  ['08:00', '12:00'],
  ['12:30', '17:00'],
] as const

/** The shop with one person there on one more day. */
export function withExtraDay(problem: Problem, personId: PersonId, day: LocalDay): Problem {
  const person = problem.people.find(({ id }) => id === personId)
  if (!person) return problem
  const name = `${person.calendar}, ${personId} and ${day}`
  return {
    ...problem,
    calendars: {
      ...problem.calendars,
      [name]: openedOn(problem.calendars[person.calendar]!, day, EXTRA_DAY),
    },
    people: problem.people.map((each) => (each === person ? { ...each, calendar: name } : each)),
  }
}
