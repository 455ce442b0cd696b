import {
  type ClayGrade,
  type Contamination,
  type ContaminationScore,
  clayGrade,
  contaminationScore,
} from './contamination'
import type { WashContext, WashSchool } from './context'
import { type Lance, lanceBottle, lanceErrorText, type Pour, pourFor } from './dilution'
import { type WashMethod, type WashPlace, washMethod } from './method'
import { type Dwell, WASH_STEPS, type WashStep } from './steps'

/** Vessels of the shop, and its lance. */
export type WashGear = { bucketMl: number; sprayMl: number; capMl: number; lance: Lance }

/** What to mix for a step: into what, and how much of each. */
export type Mix =
  | { kind: 'pour'; product: string; vessel: string; pour: Pour; ratio: string; capfuls: number }
  | { kind: 'neat'; product: string }
  | { kind: 'unmixable'; product: string; message: string }

export type PlannedStep = { step: WashStep; how: string; dwell?: Dwell; mix?: Mix }

export type WashPlan = {
  method: WashMethod
  methodReasons: string[]
  score: ContaminationScore
  clay: { start: ClayGrade; upTo: ClayGrade }
  steps: PlannedStep[]
}

export type WashInput = {
  contamination: Contamination
  place: WashPlace
  school: WashSchool
  softTop: boolean
  bakedWheels: boolean
  gear: WashGear
  /** Overrules what weather, water and place speak for. */
  method?: WashMethod
}

function mixFor({ product, mix }: WashStep, gear: WashGear): Mix | undefined {
  if (!product) return undefined
  if (!mix) return { kind: 'neat', product }
  if (mix.into === 'lance') {
    const bottle = lanceBottle(gear.lance, mix.panelShare)
    if (!bottle.ok) return { kind: 'unmixable', product, message: lanceErrorText(bottle.error) }
    return {
      kind: 'pour',
      product,
      vessel: `lance bottle of ${gear.lance.bottleMl} ml`,
      pour: bottle.value,
      ratio: `${(100 * mix.panelShare).toFixed(0)} % on the panel`,
      capfuls: bottle.value.productMl / gear.capMl,
    }
  }
  const totalMl = mix.into === 'bucket' ? gear.bucketMl : gear.sprayMl
  const pour = pourFor(totalMl, mix.partsWater)
  return {
    kind: 'pour',
    product,
    vessel: mix.into === 'bucket' ? `bucket of ${totalMl / 1000} l` : `spray bottle of ${totalMl} ml`,
    pour,
    ratio: `1:${mix.partsWater}`,
    capfuls: pour.productMl / gear.capMl,
  }
}

/** The ordered steps for one car, each with the reason it is there and what to pour for it. */
export function planWash(input: WashInput): WashPlan {
  const advised = washMethod(input.place)
  const method = input.method ?? advised.method
  const clay = clayGrade(input.contamination)
  const context: WashContext = { ...input, method, clay }
  const order = (step: WashStep) => step.order[input.school]
  const steps = WASH_STEPS.filter((step) => step.needed(context)).sort((a, b) => order(a) - order(b))
  return {
    method,
    methodReasons:
      method === advised.method
        ? advised.reasons
        : ['Chosen by hand.', ...advised.reasons.map((reason) => `Mind: ${reason}`)],
    score: contaminationScore(input.contamination),
    clay,
    steps: steps.map((step) => {
      const mix = mixFor(step, input.gear)
      const dwell = step.dwell?.(context)
      return { step, how: step.how(context), ...(dwell ? { dwell } : {}), ...(mix ? { mix } : {}) }
    }),
  }
}
