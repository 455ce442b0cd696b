import { z } from 'zod'
import { ask } from '../asks'

/** A craft the shop does not have in the house. */
export const TRADES = ['dents', 'wheels', 'paint', 'film', 'glass', 'upholstery'] as const
export type Trade = (typeof TRADES)[number]

/** When a vendor comes. Film goes on naked paint: before the coating, never after. */
export const VENDOR_STAGES = ['before-correction', 'before-coating', 'after-coating'] as const
export type VendorStage = (typeof VENDOR_STAGES)[number]

/** Somebody from outside who comes to the shop on days of their own, for a price agreed beforehand. */
export const vendorSchema = z.strictObject({
  id: z.string().min(1),
  name: z.string().trim().min(1, ask('subcontractor-name')).max(60),
  trade: z.enum(TRADES),
  stage: z.enum(VENDOR_STAGES),
  /** Name of the calendar with the days on which they come. */
  calendar: z.string().min(1),
  minutes: z
    .int({ error: ask('subcontractor-hours') })
    .positive(ask('subcontractor-time'))
    .max(40 * 60, ask('subcontractor-too-long')),
  cents: z.int({ error: ask('subcontractor-price') }).nonnegative(ask('subcontractor-below-nothing')),
})
export type Vendor = z.infer<typeof vendorSchema>
