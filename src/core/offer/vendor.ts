import { z } from 'zod'
import { ask } from '../asks'

/** A craft the shop does not have in the house. */
export const TRADES = ['dents', 'wheels', 'paint', 'film', 'glass', 'upholstery'] as const
export type Trade = (typeof TRADES)[number]

/** When a vendor comes. Film goes on naked paint: before the coating, never after. */
export const VENDOR_STAGES = ['before-correction', 'before-coating', 'after-coating'] as const
export type VendorStage = (typeof VENDOR_STAGES)[number]

/** What goes to a subcontractor who works at their own place: the whole car, or a piece that comes off it. */
export const AWAY_THINGS = ['car', 'piece'] as const
export type AwayThing = (typeof AWAY_THINGS)[number]

/** How it is done at their own place. */
export const awaySchema = z.strictObject({
  what: z.enum(AWAY_THINGS),
  /** One way. */
  travelMinutes: z
    .int({ error: ask('travel-minutes') })
    .nonnegative(ask('travel-minutes'))
    .max(720, ask('travel-minutes')),
  /** So many cars, or pieces of so many, they take at a time. */
  atOnce: z
    .int({ error: ask('at-once') })
    .min(1, ask('at-once'))
    .max(20, ask('at-once')),
})

/** A working week and a half of long days: nobody keeps a car longer without a word (mem). */
const LONGEST_AWAY_MINUTES = 120 * 60
const LONGEST_HERE_MINUTES = 40 * 60

/** Somebody from outside, on days of their own and for a price agreed beforehand: who comes to the shop, or to whom things go. */
export const vendorShape = z.strictObject({
  id: z.string().min(1),
  name: z.string().trim().min(1, ask('subcontractor-name')).max(60),
  trade: z.enum(TRADES),
  stage: z.enum(VENDOR_STAGES),
  /** Name of the calendar with the days on which they come. */
  calendar: z.string().min(1),
  minutes: z
    .int({ error: ask('subcontractor-hours') })
    .positive(ask('subcontractor-time'))
    .max(LONGEST_AWAY_MINUTES, ask('subcontractor-too-long')),
  cents: z.int({ error: ask('subcontractor-price') }).nonnegative(ask('subcontractor-below-nothing')),
  /** Absent: they come to the shop. */
  away: awaySchema.optional(),
})

const isNotTooLong = ({ minutes, away }: { minutes: number; away?: unknown }) =>
  away !== undefined || minutes <= LONGEST_HERE_MINUTES

/** What holds of a subcontractor however their days are written. */
export const checkedVendor = <T extends z.ZodType<{ minutes: number; away?: unknown }>>(shape: T) =>
  shape.refine(isNotTooLong, { path: ['minutes'], message: ask('subcontractor-too-long') })

export const vendorSchema = checkedVendor(vendorShape)
export type Vendor = z.infer<typeof vendorShape>
