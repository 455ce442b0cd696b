import {
  type ClayGrade,
  type Contamination,
  type ContaminationScore,
  clayGrade,
  contaminationScore,
} from './contamination'
import type { WashContext, WashSchool } from './context'
import { type Lance, type LanceError, lanceBottle, type Pour, pourFor } from './dilution'
import { type MethodReason, type WashMethod, type WashPlace, washMethod } from './method'
import { type Dwell, WASH_STEPS, type WashLiquid, type WashStep, type WashStepId } from './steps'

/** Vessels of the shop, and its lance. */
export type WashGear = { bucketMl: number; sprayMl: number; capMl: number; lance: Lance }

/** What to mix for a step: into what, and how much of each. */
export type Mix =
  | {
      kind: 'pour'
      product: WashLiquid
      vessel: { kind: 'lance' | 'bucket' | 'spray'; ml: number }
      pour: Pour
      ratio: { kind: 'parts'; water: number } | { kind: 'on-panel'; share: number }
      capfuls: number
    }
  | { kind: 'neat'; product: WashLiquid }
  | { kind: 'unmixable'; product: WashLiquid; error: LanceError }

/** What of a car and the shop decides how a step is done. */
export type WashFacts = Pick<WashContext, 'school' | 'method' | 'clay'>

/** A step with what is needed to say it: plain data, as it travels to the tablet. */
export type PlannedStep = { id: WashStepId; facts: WashFacts; dwell?: Dwell; mix?: Mix }

export type WashPlan = {
  method: WashMethod
  /** What speaks for the method, or, where it was chosen against that, what speaks against it. */
  reasons: MethodReason[]
  overruled: boolean
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
    if (!bottle.ok) return { kind: 'unmixable', product, error: bottle.error }
    return {
      kind: 'pour',
      product,
      vessel: { kind: 'lance', ml: gear.lance.bottleMl },
      pour: bottle.value,
      ratio: { kind: 'on-panel', share: mix.panelShare },
      capfuls: bottle.value.productMl / gear.capMl,
    }
  }
  const totalMl = mix.into === 'bucket' ? gear.bucketMl : gear.sprayMl
  const pour = pourFor(totalMl, mix.partsWater)
  return {
    kind: 'pour',
    product,
    vessel: { kind: mix.into, ml: totalMl },
    pour,
    ratio: { kind: 'parts', water: mix.partsWater },
    capfuls: pour.productMl / gear.capMl,
  }
}

/** The ordered steps for one car, each with what to pour for it. */
export function planWash(input: WashInput): WashPlan {
  const advised = washMethod(input.place)
  const method = input.method ?? advised.method
  const clay = clayGrade(input.contamination)
  const context: WashContext = { ...input, method, clay }
  const facts = { school: input.school, method, clay }
  const order = (step: WashStep) => step.order[input.school]
  const steps = WASH_STEPS.filter((step) => step.needed(context)).sort((a, b) => order(a) - order(b))
  return {
    method,
    reasons: advised.reasons,
    overruled: method !== advised.method,
    score: contaminationScore(input.contamination),
    clay,
    steps: steps.map((step) => {
      const mix = mixFor(step, input.gear)
      const dwell = step.dwell?.(context)
      return { id: step.id, facts, ...(dwell ? { dwell } : {}), ...(mix ? { mix } : {}) }
    }),
  }
}
