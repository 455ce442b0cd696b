import { z } from 'zod'
import { ask } from '../asks'
import { PANEL_GROUPS, PROCESS_KEYS } from '../correction'
import { DEFECT_KINDS, DEFECT_MODEL } from '../survey'
import { type Attempt, HAZES, HEATS, VERDICTS } from './attempt'

const film = z
  .array(
    z
      .number({ error: ask('film-readings') })
      .min(0)
      .max(5000),
  )
  .max(30, ask('film-readings-enough'))

/** An attempt as it comes from the form, checked. Its sentences say what to type. */
export const attemptSchema: z.ZodType<Attempt> = z
  .strictObject({
    panel: z.string().min(1, ask('spot-panel')),
    group: z.enum(PANEL_GROUPS),
    process: z.enum(PROCESS_KEYS).refine((key) => key !== 'leave', ask('spot-process')),
    machine: z.string().trim().min(1, ask('machine')).max(60),
    pad: z.string().trim().min(1, ask('pad')).max(60),
    liquid: z.string().trim().min(1, ask('liquid')).max(60),
    speed: z
      .number({ error: ask('speed') })
      .min(1)
      .max(10),
    passes: z
      .int({ error: ask('passes') })
      .min(1, ask('one-pass'))
      .max(20, ask('passes-enough')),
    sectionM: z
      .number({ error: ask('number-of', { of: 'square' }) })
      .min(0.1, ask('square', { least: 0.1, most: 1 }))
      .max(1, ask('square', { least: 0.1, most: 1 })),
    mark: z.strictObject({
      kind: z.enum(DEFECT_KINDS).refine((kind) => DEFECT_MODEL[kind].mend === 'polish', ask('spot-mark')),
      severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
    }),
    cleared: z
      .number({ error: ask('cleared') })
      .min(0)
      .max(1, ask('percent-most')),
    haze: z.enum(HAZES),
    heat: z.enum(HEATS),
    beforeUm: film,
    afterUm: film,
    verdict: z.enum(VERDICTS, ask('verdict')),
    note: z
      .string()
      .trim()
      .max(300, ask('keep-under', { characters: 300 })),
  })
  .refine(({ beforeUm, afterUm }) => beforeUm.length > 0 || afterUm.length === 0, {
    path: ['beforeUm'],
    message: ask('before-missing'),
  })
