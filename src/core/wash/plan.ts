import { type Dwell, type Supply, supplyFor, takesMl, type WashLiquid } from '../supply'
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
import { WASH_STEPS, type WashStep, type WashStepId } from './steps'

/** Vessels of the shop, and its lance. */
export type WashGear = { bucketMl: number; sprayMl: number; capMl: number; lance: Lance }

/** What is poured: its kind, and the name on the bottle where the shop has given one. */
export type Poured = { kind: WashLiquid; name: string }

/** What to mix for a step: into what, and how much of each. */
export type Mix =
  | {
      kind: 'pour'
      product: Poured
      vessel: { kind: 'lance' | 'bucket' | 'spray'; ml: number }
      pour: Pour
      ratio: { kind: 'parts'; water: number } | { kind: 'on-panel'; share: number }
      capfuls: number
    }
  /** `ml` is what this car takes of it, where its sheet says so. */
  | { kind: 'neat'; product: Poured; ml?: number }
  | { kind: 'unmixable'; product: Poured; error: LanceError }

/** What of a car and the shop decides how a step is done. */
export type WashFacts = Pick<WashContext, 'school' | 'method' | 'clay' | 'strips' | 'coated' | 'fresh'>

/** A step with what is needed to say it: plain data, as it travels to the tablet. */
export type PlannedStep = {
  id: WashStepId
  facts: WashFacts
  dwell?: Dwell
  mix?: Mix
  /** The solvent of what is poured dissolves some paint of this car. */
  bites?: true
}

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
  /** What the shop washes with. */
  supplies: readonly Supply[]
  strips: boolean
  coated: boolean
  fresh: boolean
  /** Painted area, m². */
  areaM2: number
  /** Some of its paint is single stage, which a strong solvent dissolves. */
  singleStage: boolean
  /** Overrules what weather, water and place speak for. */
  method?: WashMethod
}

function mixFor(step: WashStep, context: WashContext, { gear, supplies, areaM2, singleStage }: WashInput) {
  const liquid = step.product?.(context)
  if (!liquid) return undefined
  const supply = supplyFor(supplies, liquid)
  const { name, strength, dwell } = supply
  const mix = mixed({ kind: liquid, name }, strength, step.into ?? 'spray', gear)
  const ml = takesMl(supply, areaM2)
  return {
    mix: mix.kind === 'neat' && ml !== undefined ? { ...mix, ml } : mix,
    dwell,
    bites: singleStage && supply.solvent === 'strong',
  }
}

function mixed(
  product: Poured,
  strength: Supply['strength'],
  into: 'lance' | 'bucket' | 'spray',
  gear: WashGear,
): Mix {
  if (strength.kind === 'neat') return { kind: 'neat', product }
  if (strength.kind === 'on-panel') {
    const bottle = lanceBottle(gear.lance, strength.share)
    if (!bottle.ok) return { kind: 'unmixable', product, error: bottle.error }
    return {
      kind: 'pour',
      product,
      vessel: { kind: 'lance', ml: gear.lance.bottleMl },
      pour: bottle.value,
      ratio: { kind: 'on-panel', share: strength.share },
      capfuls: bottle.value.productMl / gear.capMl,
    }
  }
  const totalMl = { lance: gear.lance.bottleMl, bucket: gear.bucketMl, spray: gear.sprayMl }[into]
  const pour = pourFor(totalMl, strength.water)
  return {
    kind: 'pour',
    product,
    vessel: { kind: into, ml: totalMl },
    pour,
    ratio: { kind: 'parts', water: strength.water },
    capfuls: pour.productMl / gear.capMl,
  }
}

/** As long as its sheet says, and no longer than the way of washing allows. */
function dwellWithin(dwell: Dwell, most = Number.POSITIVE_INFINITY): Dwell {
  return { minMinutes: Math.min(dwell.minMinutes, most / 2), maxMinutes: Math.min(dwell.maxMinutes, most) }
}

/** The ordered steps for one car, each with what to pour for it. */
export function planWash(input: WashInput): WashPlan {
  const advised = washMethod(input.place)
  const method = input.method ?? advised.method
  const clay = clayGrade(input.contamination)
  const context: WashContext = { ...input, method, clay }
  const { school, strips, coated, fresh } = input
  const facts = { school, method, clay, strips, coated, fresh }
  const order = (step: WashStep) => step.order[input.school]
  const steps = WASH_STEPS.filter((step) => step.needed(context)).sort((a, b) => order(a) - order(b))
  return {
    method,
    reasons: advised.reasons,
    overruled: method !== advised.method,
    score: contaminationScore(input.contamination),
    clay,
    steps: steps.map((step) => {
      const poured = mixFor(step, context, input)
      return {
        id: step.id,
        facts,
        ...(poured ? { mix: poured.mix } : {}),
        ...(poured?.bites ? { bites: true as const } : {}),
        ...(poured?.dwell ? { dwell: dwellWithin(poured.dwell, step.dwellMost) } : {}),
      }
    }),
  }
}
