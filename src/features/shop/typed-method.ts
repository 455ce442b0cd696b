import type { Handling, Method, Step } from '@/core/correction'
import { type NumberText, numberOf } from '@/text/typed'

/** A method as it is typed: every number as its text, so that a half-typed one loses nothing. */

export type TypedStep = Omit<
  Step,
  'dial' | 'removalPerPassUm' | 'passes' | 'hazePoints' | 'sectionM' | 'padMm' | 'armMmPerSecond' | 'handling'
> & {
  dial: NumberText
  removalPerPassUm: NumberText
  least: NumberText
  most: NumberText
  hazePoints: NumberText
  sectionM: NumberText
  padMm: NumberText
  armMmPerSecond: NumberText
  handling: Record<keyof Handling, NumberText>
}
export type TypedMethod = Omit<Method, 'steps' | 'clears'> & {
  steps: readonly TypedStep[]
  clearsPercent: NumberText
}

export function typedStep(step: Step): TypedStep {
  const { dial, removalPerPassUm, passes, hazePoints, sectionM, padMm, armMmPerSecond, handling, ...tools } =
    step
  return {
    ...tools,
    dial: String(dial),
    removalPerPassUm: String(removalPerPassUm),
    least: String(passes.least),
    most: String(passes.most),
    hazePoints: String(hazePoints),
    sectionM: String(sectionM),
    padMm: String(padMm),
    armMmPerSecond: String(armMmPerSecond),
    handling: {
      changeOver: String(handling.changeOver),
      spread: String(handling.spread),
      wipeAndLook: String(handling.wipeAndLook),
      padCleaning: String(handling.padCleaning),
    },
  }
}

export const typedMethod = ({ steps, clears, ...method }: Method): TypedMethod => ({
  ...method,
  steps: steps.map(typedStep),
  clearsPercent: String(Math.round(100 * clears)),
})

/** What a method comes to as it is typed; numbers that cannot be read are not numbers, which the shop’s rules refuse. */
export function readMethod({ steps, clearsPercent, ...method }: TypedMethod): Method {
  return {
    ...method,
    version: Math.max(1, method.version),
    clears: numberOf(clearsPercent) / 100,
    steps: steps.map(({ least, most, handling, ...step }) => ({
      machine: step.machine,
      pad: step.pad,
      liquid: step.liquid,
      role: step.role,
      dial: numberOf(step.dial),
      removalPerPassUm: numberOf(step.removalPerPassUm),
      passes: { least: numberOf(least), most: numberOf(most) },
      hazePoints: numberOf(step.hazePoints),
      sectionM: numberOf(step.sectionM),
      padMm: numberOf(step.padMm),
      armMmPerSecond: numberOf(step.armMmPerSecond),
      handling: {
        changeOver: numberOf(handling.changeOver),
        spread: numberOf(handling.spread),
        wipeAndLook: numberOf(handling.wipeAndLook),
        padCleaning: numberOf(handling.padCleaning),
      },
    })),
  }
}
