import type { Product } from '../coating'
import { type CorrectionPlan, planCorrection } from '../correction'
import type { VehicleJudgement } from '../survey'
import type { Hardness, PaintSystem, Shape } from '../vehicle'
import { type JobPlan, planOperations } from './operations'
import type { PackageTemplate, Rates } from './package'
import { type Price, priceOf } from './quote'

/** A package worked out for one vehicle. */
export type Offer = {
  template: PackageTemplate
  layers: Product[]
  correction: CorrectionPlan
  plan: JobPlan
  price: Price
  attendedMinutes: number
  machineMinutes: number
}

export type OfferInput = {
  shape: Shape
  paintSystem: PaintSystem
  hardness: Hardness
  judgement: VehicleJudgement
  catalogue: readonly Product[]
  rates: Rates
}

/** Works out one package. Throws on a template that names a product the catalogue lacks: a fault of set-up. */
export function makeOffer(template: PackageTemplate, input: OfferInput): Offer {
  const layers = template.layers.map((id) => {
    const product = input.catalogue.find((candidate) => candidate.id === id)
    if (!product) throw new Error(`package “${template.key}” names an unknown product “${id}”`)
    return product
  })
  const correction = planCorrection(input.judgement.panels, {
    paintSystem: input.paintSystem,
    hardness: input.hardness,
    strongest: template.strongest,
    underCoating: layers.length > 0,
    protects: layers.length === 0,
  })
  const plan = planOperations(input.shape, correction, layers)
  const attended = plan.operations.filter(({ mode }) => mode !== 'unattended')
  return {
    template,
    layers,
    correction,
    plan,
    price: priceOf(plan, input.shape, layers, input.rates),
    attendedMinutes: attended.reduce((sum, { minutes }) => sum + minutes, 0),
    machineMinutes: Math.round(
      correction.minutes.cut + correction.minutes.refine + correction.minutes.single,
    ),
  }
}
