import { z } from 'zod'
import { LANGUAGES } from '../region'

const row = z.object({ name: z.string(), origin: z.string().optional(), amount: z.string() })
export type QuoteRow = z.infer<typeof row>

/** A quote as it was told, in words of its day and the customer’s language: the same for the screen and for the PDF. */
export const quoteTextSchema = z.object({
  language: z.enum(LANGUAGES),
  headings: z.object({
    expect: z.string(),
    work: z.string(),
    protection: z.string(),
    price: z.string(),
    darker: z.string(),
  }),
  title: z.string(),
  /** What the package is for; unsaid by quotes of before, and where the shop has not put it into this language. */
  pitch: z.string().optional(),
  /** Which job it is of, and how long it is valid. */
  about: z.string(),
  forCustomer: z.string(),
  expectation: z.array(
    z.object({ kind: z.enum(['result', 'stays', 'limit', 'protection']), text: z.string() }),
  ),
  work: z.array(z.string()),
  protection: z.array(z.string()),
  /** How the paint is worked, step by step; unsaid by quotes of before. */
  technical: z.object({ heading: z.string(), lines: z.array(z.string()) }).optional(),
  /** Of a supplement: what it changes, what was found, what happens without it, and the lines that differ. */
  change: z
    .object({
      of: z.string(),
      sections: z.array(z.object({ heading: z.string(), text: z.string() })),
      heading: z.string(),
      rows: z.array(row),
      sums: z.array(row),
    })
    .optional(),
  rows: z.array(row),
  sums: z.array(row),
  total: row,
  deposit: row.optional(),
  collection: z.string().optional(),
  accepted: z.string(),
  forShop: z.string(),
})
export type QuoteText = z.infer<typeof quoteTextSchema>
