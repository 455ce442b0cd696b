import { z } from 'zod'
import { type AskedThing, ask } from '../asks'

/** A share that is typed, percent; `of` is what it is a share of. */
export const percent = (of: AskedThing) =>
  z
    .number({ error: ask('percent-of', { of }) })
    .min(0, ask('percent-of', { of }))
    .max(100, ask('percent-of', { of }))
