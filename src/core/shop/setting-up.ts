import { z } from 'zod'

/** What a new shop is asked for, in this order. Each part can be left and taken up again; all of it can be changed later. */
export const SETUP_STEPS = ['identity', 'crew', 'packages', 'prices'] as const
export type SetupStep = (typeof SETUP_STEPS)[number]

/** Parts that were gone through; a shop that has gone through all of them is no longer being set up. */
export const settingUpSchema = z.strictObject({ done: z.array(z.enum(SETUP_STEPS)) })
export type SettingUp = z.infer<typeof settingUpSchema>

/** The set-up once a part of it was gone through; undefined when none is left. */
export function stepTaken({ done }: SettingUp, step: SetupStep): SettingUp | undefined {
  const now = SETUP_STEPS.filter((each) => each === step || done.includes(each))
  return now.length < SETUP_STEPS.length ? { done: now } : undefined
}

/** The first part still to be gone through, in the order they are asked for. */
export const nextStep = ({ done }: SettingUp): SetupStep | undefined =>
  SETUP_STEPS.find((step) => !done.includes(step))
