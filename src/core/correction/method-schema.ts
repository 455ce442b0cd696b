import { z } from 'zod'
import { type AskedThing, ask } from '../asks'
import { LIQUIDS, MACHINES, PADS } from './equipment'
import { MATERIALS } from './material'
import type { Method } from './method'
import { SEEDED_METHODS } from './seeded'

/** A method as a shop writes it down. Bounds keep out slips of the pen, no more (mem). */

const between = (of: AskedThing, least: number, most: number) =>
  z
    .number({ error: ask('number-of', { of }) })
    .min(least, ask('of-between', { of, least, most }))
    .max(most, ask('of-between', { of, least, most }))

const passes = z
  .strictObject({
    least: z
      .int({ error: ask('passes') })
      .min(1, ask('one-pass'))
      .max(20, ask('passes-enough')),
    most: z
      .int({ error: ask('passes') })
      .min(1, ask('one-pass'))
      .max(20, ask('passes-enough')),
  })
  .refine(({ least, most }) => least <= most, { path: ['most'], message: ask('passes-order') })

const minutes = (of: AskedThing) => between(of, 0, 60)

const stepSchema = z.strictObject({
  machine: z.enum(MACHINES, ask('machine')),
  pad: z.enum(PADS, ask('pad')),
  liquid: z.enum(LIQUIDS, ask('liquid')),
  role: z.enum(['cut', 'refine', 'single']),
  dial: between('dial', 1, 10),
  removalPerPassUm: between('removal-per-pass', 0.005, 5),
  passes,
  hazePoints: between('haze', 0, 60),
  sectionM: between('section', 0.1, 1.5),
  padMm: between('pad-width', 20, 250),
  armMmPerSecond: between('arm-speed', 5, 400),
  handling: z.strictObject({
    changeOver: minutes('change-over'),
    spread: minutes('spreading'),
    wipeAndLook: minutes('wiping'),
    padCleaning: minutes('pad-cleaning'),
  }),
})

/** No method has more (mem). */
const STEPS_MOST = 5

export const methodSchema: z.ZodType<Method> = z.strictObject({
  key: z.string().min(1).max(80),
  version: z.int().min(1),
  name: z
    .string()
    .trim()
    .max(60, ask('keep-under', { characters: 60 })),
  steps: z.array(stepSchema).max(STEPS_MOST, ask('method-steps-enough', { most: STEPS_MOST })),
  leavesProtection: z.boolean(),
  clears: z.number().min(0).max(0.99, ask('method-clears')),
  fit: z.array(z.enum(MATERIALS)),
  retired: z.boolean(),
})

/** The methods of a shop; one that has written none down has those that ship with the app. */
export const methodsSchema = z
  .array(methodSchema)
  .min(1)
  .default([...SEEDED_METHODS])
