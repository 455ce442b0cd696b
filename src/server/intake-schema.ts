import { z } from 'zod'
import { isLocalDay } from '@/core/time'
import { HARDNESSES, PAINT_SYSTEMS, SHAPES } from '@/core/vehicle'

/** What is written down when a vehicle is taken in: the form on the screen and the check on the server. */

const line = (what: string) => z.string().trim().min(1, what).max(200, 'Keep it under 200 characters.')
const optionalLine = z.string().trim().max(200, 'Keep it under 200 characters.')

const FIRST_CAR_YEAR = 1885
const MAX_BUDGET_EUROS = 100_000

export const intakeSchema = z.object({
  customerName: line('Write the customer’s name.'),
  phone: optionalLine,
  email: z.union([z.literal(''), z.email('This is no e-mail address. Correct it, or leave it empty.')]),
  mayRemind: z.boolean(),
  plate: line('Write the plate, or “none”.'),
  vin: z.string().trim().max(40, 'No vehicle number is this long. Look again.'),
  make: line('Write the make.'),
  model: line('Write the model.'),
  year: z
    .string()
    .trim()
    .refine(
      (text) =>
        text === '' || (/^\d{4}$/.test(text) && Number(text) >= FIRST_CAR_YEAR && Number(text) <= 2200),
      'Write the year with four digits, or leave it empty.',
    ),
  shape: z.enum(SHAPES, 'Choose the body shape that comes closest.'),
  colour: line('Write the colour as the customer calls it.'),
  paintSystem: z.enum(PAINT_SYSTEMS, 'Choose the paint system. The guide beside it tells them apart.'),
  hardness: z.enum(HARDNESSES),
  wishes: z
    .string()
    .trim()
    .min(1, 'Write what the customer wants, in their words.')
    .max(2000, 'Keep it under 2,000 characters.'),
  budget: z
    .string()
    .trim()
    .refine(
      (text) =>
        text === '' ||
        (/^\d{1,6}([.,]\d{1,2})?$/.test(text) && Number(text.replace(',', '.')) <= MAX_BUDGET_EUROS),
      'Write the budget in euros, such as 600 or 599.50, or leave it empty.',
    ),
  arriveDay: z.string().refine((text): boolean => isLocalDay(text), 'Choose the day the vehicle comes in.'),
  wantedBy: z
    .string()
    .refine((text): boolean => text === '' || isLocalDay(text), 'Choose a day, or leave it empty.'),
})

export type Intake = z.infer<typeof intakeSchema>

/** Integer cents from what was typed; undefined for an empty field. */
export function budgetCents(budget: string): number | undefined {
  return budget === '' ? undefined : Math.round(Number(budget.replace(',', '.')) * 100)
}
