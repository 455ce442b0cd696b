import { z } from 'zod'
import { type AskedThing, ask } from '../asks'
import { earlierSheetSchema, type Product } from '../coating'
import { methodsSchema } from '../correction'
import { INSPECTOR_RULES } from '../handover/inspector-rule'
import { toBayId, toPersonId } from '../ids'
import {
  POLISHING_SCHOOLS,
  packageTemplateSchema,
  ratesSchema,
  termsSchema,
  vendorSchema,
  vendorSkill,
} from '../offer'
import { equipmentSchema } from '../planning/equipment'
import { SHARING } from '../planning/sharing'
import { FIRST_SURE_MARK, SURE_MARKS } from '../planning/sure-marks'
import { UNAGREED } from '../planning/unagreed'
import { regionSchema } from '../region'
import { PROBLEM_FORMAT, problemSchema } from '../schedule'
import { suppliesSchema } from '../supply'
import { SCHOOLS } from '../survey'
import { WASH_SCHOOLS } from '../wash'
import { logoSchema } from './logo'
import { settingUpSchema } from './setting-up'

export const namedPlace = z.object({
  id: z.string().transform(toBayId),
  name: z.string(),
  kinds: z.array(z.string()),
  capacity: z.int(),
  calendar: z.string(),
  /** The longest and the highest vehicle it takes, m; any where it is not said. */
  lengthM: z.number().positive().optional(),
  heightM: z.number().positive().optional(),
  /** The room it is in with others: its air is theirs. */
  room: z.string().optional(),
})

export const namedPerson = z.object({
  id: z.string().transform(toPersonId),
  name: z.string(),
  skills: z.array(z.string()),
  calendar: z.string(),
})

const positive = (of: AskedThing) =>
  z.number({ error: ask('number-of', { of }) }).positive(ask('more-of', { of }))

/** Its own bottles, buckets and lance, and the water it has. */
export const washSetupSchema = z.object({
  school: z.enum(WASH_SCHOOLS),
  drain: z.boolean(),
  hose: z.boolean(),
  gear: z.object({
    bucketMl: positive('bucket'),
    sprayMl: positive('spray-bottle'),
    capMl: positive('cap'),
    lance: z.object({
      bottleMl: positive('lance-bottle'),
      emptySeconds: positive('emptying'),
      flowLPerMin: positive('flow'),
    }),
  }),
})

export type WashSetup = z.infer<typeof washSetupSchema>

const upTo = (of: AskedThing, ml: number) => positive(of).max(ml, ask('holds-no-more', { of, ml }))

/** The same as it is typed: no vessel is larger than these (mem). What is stored already is read whatever it holds. */
export const washSetupInput = washSetupSchema.extend({
  gear: z.strictObject({
    bucketMl: upTo('bucket', 200_000),
    sprayMl: upTo('spray-bottle', 20_000),
    capMl: upTo('cap', 1000),
    lance: z.strictObject({
      bottleMl: upTo('lance-bottle', 10_000),
      emptySeconds: positive('emptying').max(3600, ask('lance-time')),
      flowLPerMin: positive('flow').max(100, ask('flow-most', { lPerMin: 100 })),
    }),
  }),
})

/** What a shop starts with until it has measured its own (mem). */
export const FIRST_WASH_SETUP: WashSetup = {
  school: 'iron-first',
  drain: true,
  hose: true,
  gear: {
    bucketMl: 15_000,
    sprayMl: 1000,
    capMl: 20,
    lance: { bottleMl: 1000, emptySeconds: 75, flowLPerMin: 7.5 },
  },
}

export const monthsSchema = z.object({ from: z.int().min(1).max(12), to: z.int().min(1).max(12) })

/** The air its cars live in: months are numbered from January. */
export const climateSetupSchema = z.object({
  seaAir: z.boolean(),
  frost: monthsSchema,
  pollen: monthsSchema,
})

/** An island in the Atlantic until a shop says where it is (mem). */
export const FIRST_CLIMATE: z.infer<typeof climateSetupSchema> = {
  seaAir: true,
  frost: { from: 11, to: 3 },
  pollen: { from: 4, to: 6 },
}

/** Which devices the shop has. Nothing simulated writes where the shop has not chosen it. */
export const devicesSchema = z.object({
  filmGauge: z.enum(['none', 'simulated']),
  glossMeter: z.enum(['none', 'simulated']),
  baySensors: z.enum(['none', 'simulated']),
  /** Who tells the weather ahead; a shop that was set up before it was asked hears nothing. */
  weather: z.enum(['none', 'simulated']).default('none'),
})
export type Devices = z.infer<typeof devicesSchema>

/** A shop that was set up before it was asked worked with what shipped. */
const FIRST_DEVICES: Devices = {
  filmGauge: 'simulated',
  glossMeter: 'simulated',
  baySensors: 'simulated',
  weather: 'none',
}

export const clockText = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, ask('a-time'))

/** When no customer is written to. */
export const quietSchema = z.object({ from: clockText, until: clockText, sundays: z.boolean() })

export const FIRST_QUIET: z.infer<typeof quietSchema> = { from: '20:00', until: '08:00', sundays: true }

/** What the manager has accepted of how the shop's own hands go against the table of minutes. */
export const paceSchema = z.record(z.string(), z.number().min(0.3).max(3))

export const centsAnHour = z.int({ error: ask('an-amount') }).nonnegative(ask('not-below-nothing'))

/** What things cost the shop itself, beside what it charges for them. */
export const costsSchema = z.object({
  wageCentsPerHour: z.object({ prep: centsAnHour, correct: centsAnHour, coat: centsAnHour }),
  bayCentsPerHour: centsAnHour,
  /** What the shop pays for a product, in percent of what it charges. */
  productPercent: z.number().min(0).max(100),
})

export type Costs = z.infer<typeof costsSchema>

/** Where a shop has not said what its hours cost (mem). */
export const FIRST_COSTS: Costs = {
  wageCentsPerHour: { prep: 2300, correct: 2900, coat: 3100 },
  bayCentsPerHour: 650,
  productPercent: 55,
}

/** Who inspects a car at whose paint everybody has worked. */
export const inspectorSchema = z.strictObject({
  rule: z.enum(INSPECTOR_RULES),
  manager: z.string().min(1).max(80).transform(toPersonId).optional(),
})
export type Inspector = z.infer<typeof inspectorSchema>

const contactLine = z
  .string()
  .trim()
  .max(120, ask('keep-under', { characters: 120 }))
  .default('')

/** How the shop can be reached, as it stands on papers. */
export const contactSchema = z.strictObject({
  phone: contactLine,
  email: z.union([z.literal(''), z.email(ask('an-email')).max(200)]).default(''),
  web: contactLine,
})

/** Who the shop is and how it writes, as it is typed. */
export const identitySchema = z.strictObject({
  name: z
    .string()
    .trim()
    .min(1, ask('shop-name'))
    .max(80, ask('keep-under', { characters: 80 })),
  address: z
    .string()
    .trim()
    .max(300, ask('keep-under', { characters: 300 })),
  contact: contactSchema.default(contactSchema.parse({})),
  region: regionSchema,
})
export type Identity = z.infer<typeof identitySchema>

/** How the shop is set up. Calendars, places and people are checked as the scheduler will read them. */
export const setupSchema = z
  .object({
    name: z.string().min(1),
    address: z.string(),
    contact: contactSchema.default(contactSchema.parse({})),
    logo: logoSchema.optional(),
    /** Only while a new shop is being set up. */
    settingUp: settingUpSchema.optional(),
    region: regionSchema,
    school: z.enum(SCHOOLS),
    polishing: z.enum(POLISHING_SCHOOLS).default('step-by-step'),
    wash: washSetupSchema.default(FIRST_WASH_SETUP),
    climate: climateSetupSchema.default(FIRST_CLIMATE),
    quiet: quietSchema.default(FIRST_QUIET),
    pace: paceSchema.default({}),
    /** How deep marks lie against the table, as learned and taken over. */
    depths: paceSchema.default({}),
    costs: costsSchema.default(FIRST_COSTS),
    devices: devicesSchema.default(FIRST_DEVICES),
    /** The chance with which what is promised is to hold. */
    sure: z.literal(SURE_MARKS).default(FIRST_SURE_MARK),
    /** How much the minutes of each kind of work vary, as learned from finished jobs: coefficients of variation. */
    spreads: z.record(z.string(), z.number().min(0).max(1)).default({}),
    slotMinutes: z.int(),
    horizonDays: z.int(),
    objective: z.object({
      tardiness: z.number(),
      hold: z.number(),
      finish: z.number(),
      makespan: z.number(),
    }),
    calendars: z.record(z.string(), z.unknown()),
    counterCalendar: z.string(),
    places: z.array(namedPlace),
    equipment: equipmentSchema.default({}),
    sharing: z.enum(SHARING).default('one'),
    unagreed: z.enum(UNAGREED).default('goes-on'),
    people: z.array(namedPerson),
    rates: ratesSchema,
    packages: z.array(packageTemplateSchema).min(1),
    methods: methodsSchema,
    supplies: suppliesSchema,
    /** Data sheets that were replaced: what was applied by one goes on by it. */
    earlierSheets: z.array(earlierSheetSchema).default([]),
    vendors: z.array(vendorSchema).default([]),
    inspector: inspectorSchema.default({ rule: 'tomorrow' }),
    terms: termsSchema.default(termsSchema.parse({})),
  })
  .transform((setup, context) => {
    const { region, slotMinutes, horizonDays, objective, calendars, places, people } = setup
    const asProblem = problemSchema.safeParse({
      format: PROBLEM_FORMAT,
      origin: '2027-01-01T00:00:00Z',
      timezone: region.timezone,
      slotMinutes,
      horizonDays,
      objective,
      calendars,
      places,
      people,
      jobs: [],
    })
    if (!asProblem.success) {
      for (const issue of asProblem.error.issues)
        context.addIssue({ code: 'custom', path: issue.path, message: issue.message })
      return z.NEVER
    }
    return { ...setup, calendars: asProblem.data.calendars }
  })

export type Setup = z.infer<typeof setupSchema>

/** Somebody who takes several at a time is planned like as many hands of one name; the first is themselves. */
const handOf = (id: string, at: number): string => (at === 0 ? id : `${id}~${at + 1}`)

/** Whether a person of a plan is this one, or another of their hands. */
export const isHandOf = (person: string, id: string): boolean => person === id || person.startsWith(`${id}~`)

/** Everyone whose time can be planned: the people of the shop, and vendors on their own days. */
export function everyone({ people, vendors }: Pick<Setup, 'people' | 'vendors'>): Setup['people'] {
  return [
    ...people,
    ...vendors.flatMap(({ id, name, calendar, away }) =>
      Array.from({ length: away?.atOnce ?? 1 }, (_, at) => ({
        id: toPersonId(handOf(vendorSkill(id), at)),
        name,
        skills: [vendorSkill(id)],
        calendar,
      })),
    ),
  ]
}

/** Everyone once, those who take several at a time too. */
export const everybodyOnce = (setup: Pick<Setup, 'people' | 'vendors'>): Setup['people'] =>
  everyone(setup).filter(({ id }, _, all) => !all.some((other) => other.id !== id && isHandOf(id, other.id)))

/** How people, vendors and bays are called, by id. */
export const namesOf = (setup: Pick<Setup, 'people' | 'vendors' | 'places'>): Record<string, string> =>
  Object.fromEntries([...everyone(setup), ...setup.places].map(({ id, name }) => [id, name]))

export type Shop = { setup: Setup; catalogue: Product[] }
