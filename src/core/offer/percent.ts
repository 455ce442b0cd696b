import { z } from 'zod'

/** A share that is typed, percent; `what` is what a wrong one is called by. */
export const percent = (what: string) =>
  z
    .number({ error: `${what} must be a number of percent.` })
    .min(0, `${what} cannot be less than 0 %.`)
    .max(100, `${what} cannot be more than 100 %.`)
