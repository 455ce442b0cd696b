import { z } from 'zod'
import { PANEL_GROUPS, PROCESS_KEYS } from '../correction'
import { DEFECT_KINDS, DEFECT_MODEL } from '../survey'
import { type Attempt, HAZES, HEATS, VERDICTS } from './attempt'

const film = z
  .array(z.number({ error: 'Type film readings as numbers of µm.' }).min(0).max(5000))
  .max(30, 'Thirty readings tell as much as more would.')

/** An attempt as it comes from the form, checked. Its sentences say what to type. */
export const attemptSchema: z.ZodType<Attempt> = z
  .strictObject({
    panel: z.string().min(1, 'Choose the panel of the test spot.'),
    group: z.enum(PANEL_GROUPS),
    process: z.enum(PROCESS_KEYS).refine((key) => key !== 'leave', 'Choose what was tried.'),
    machine: z.string().trim().min(1, 'Say which machine.').max(60),
    pad: z.string().trim().min(1, 'Say which pad.').max(60),
    liquid: z.string().trim().min(1, 'Say which liquid.').max(60),
    speed: z.number({ error: 'Type the speed as the dial has it.' }).min(1).max(10),
    passes: z
      .int({ error: 'Type the passes as a whole number.' })
      .min(1, 'One pass at least.')
      .max(20, 'More than twenty passes are not a test spot.'),
    sectionM: z
      .number({ error: 'Type the side of the square, m.' })
      .min(0.1, 'The square is 0.1 m or more.')
      .max(1, 'A test spot is 1 m or less.'),
    mark: z.strictObject({
      kind: z
        .enum(DEFECT_KINDS)
        .refine((kind) => DEFECT_MODEL[kind].mend === 'polish', 'Choose a mark that polishing can clear.'),
      severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
    }),
    cleared: z.number({ error: 'Say how much of it went, in percent.' }).min(0).max(1, 'No more than 100 %.'),
    haze: z.enum(HAZES),
    heat: z.enum(HEATS),
    beforeUm: film,
    afterUm: film,
    verdict: z.enum(VERDICTS, 'Say what it comes to.'),
    note: z.string().trim().max(300, 'Keep the note under 300 characters.'),
  })
  .refine(({ beforeUm, afterUm }) => beforeUm.length > 0 || afterUm.length === 0, {
    path: ['beforeUm'],
    message: 'There are readings after but none before. Read both, or neither.',
  })
