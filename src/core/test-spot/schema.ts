import { z } from 'zod'
import { ask } from '../asks'
import {
  keptMethod,
  LIQUIDS,
  type Liquid,
  MACHINES,
  type Machine,
  PADS,
  PANEL_GROUPS,
  type Pad,
} from '../correction'
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

const stepSchema = z.strictObject({
  machine: z.enum(MACHINES, ask('machine')),
  pad: z.enum(PADS, ask('pad')),
  liquid: z.enum(LIQUIDS, ask('liquid')),
  product: z
    .string()
    .trim()
    .max(60, ask('keep-under', { characters: 60 }))
    .default(''),
  dial: z
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
})

/** What tools were called before they were kept by kind; a name nobody knows is told apart by its first word. */
const FORMER_TOOLS: readonly [RegExp, Partial<{ machine: Machine; pad: Pad; liquid: Liquid }>][] = [
  [/rotary/i, { machine: 'rotary' }],
  [/forced/i, { machine: 'forced-rotation' }],
  [/short/i, { machine: 'short-throw' }],
  [/hand/i, { machine: 'hand' }],
  [/disc|3000/i, { pad: 'disc-3000' }],
  [/wool/i, { pad: 'wool' }],
  [/micro/i, { pad: 'microfibre' }],
  [/foam cut/i, { pad: 'foam-cut' }],
  [/finish/i, { pad: 'foam-finish', liquid: 'finishing-polish' }],
  [/all-in-one/i, { liquid: 'all-in-one' }],
  [/heavy|compound/i, { liquid: 'heavy-compound' }],
  [/water/i, { liquid: 'water' }],
]

function kindOf<K extends 'machine' | 'pad' | 'liquid'>(of: K, name: string, usual: string): string {
  return (
    FORMER_TOOLS.find(([pattern, tool]) => tool[of] !== undefined && pattern.test(name))?.[1][of] ?? usual
  )
}

/** An attempt from before its steps were kept one by one: the tools it names were those of its cutting step. */
function withSteps(kept: unknown): unknown {
  if (typeof kept !== 'object' || kept === null || 'steps' in kept || !('machine' in kept)) return kept
  const { machine, pad, liquid, speed, passes, sectionM, ...attempt } = kept as Record<string, unknown>
  const step = {
    machine: kindOf('machine', String(machine), 'long-throw'),
    pad: kindOf('pad', String(pad), 'foam-polish'),
    liquid: kindOf('liquid', String(liquid), 'medium-polish'),
    product: '',
    dial: speed,
    passes,
    sectionM,
  }
  return { ...attempt, steps: [step] }
}

/** No method has more (mem). */
const STEPS_MOST = 5

const attempt = z
  .strictObject({
    panel: z.string().min(1, ask('spot-panel')),
    group: z.enum(PANEL_GROUPS),
    process: keptMethod.refine((key) => key !== 'leave', ask('spot-process')),
    steps: z.array(stepSchema).min(1).max(STEPS_MOST),
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

/** An attempt as it comes from the form or was kept, checked. Its sentences say what to type. */
export const attemptSchema: z.ZodType<Attempt> = z.preprocess(withSteps, attempt)
