import { z } from 'zod'

/** A craft the shop does not have in the house. */
export const TRADES = ['dents', 'wheels', 'paint', 'film', 'glass', 'upholstery'] as const
export type Trade = (typeof TRADES)[number]
export const TRADE_NAME: Record<Trade, string> = {
  dents: 'Dent removal',
  wheels: 'Wheel refinishing',
  paint: 'Refinishing',
  film: 'Film',
  glass: 'Glass repair',
  upholstery: 'Upholstery',
}

/** When a vendor comes. Film goes on naked paint: before the coating, never after. */
export const VENDOR_STAGES = ['before-correction', 'before-coating', 'after-coating'] as const
export type VendorStage = (typeof VENDOR_STAGES)[number]

/** Somebody from outside who comes to the shop on days of their own, for a price agreed beforehand. */
export const vendorSchema = z.strictObject({
  id: z.string().min(1),
  name: z.string().trim().min(1, 'Write who they are.').max(60),
  trade: z.enum(TRADES),
  stage: z.enum(VENDOR_STAGES),
  /** Name of the calendar with the days on which they come. */
  calendar: z.string().min(1),
  minutes: z
    .int({ error: 'Type how long they take, in hours.' })
    .positive('They take some time: type it in hours.')
    .max(40 * 60, 'Forty hours at most; split what takes longer.'),
  cents: z.int({ error: 'Type what they charge as an amount.' }).nonnegative('They charge nothing or more.'),
})
export type Vendor = z.infer<typeof vendorSchema>
