import { type CoatingRule, coatingBreaches, type Product } from '../coating'
import { type ChoiceSettings, type CorrectionPlan, PROCESS_KEYS, planCorrection } from '../correction'
import type { VehicleJudgement } from '../survey'
import { type EarlierTreatment, type Hardness, type PaintSystem, paintedAreaM2, type Shape } from '../vehicle'
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
  /** Rules of coating this offer breaks on this car; a stop forbids it. */
  breaches: CoatingRule[]
}

export type OfferInput = {
  shape: Shape
  paintSystem: PaintSystem
  hardness: Hardness
  /** What was done to the paint before, as told. */
  treatments: readonly EarlierTreatment[]
  judgement: VehicleJudgement
  catalogue: readonly Product[]
  rates: Rates
}

/** The layers of a package, first layer first. Throws on a product the catalogue lacks: a fault of set-up. */
function layersOf(template: PackageTemplate, catalogue: readonly Product[]): Product[] {
  return template.layers.map((id) => {
    const product = catalogue.find((candidate) => candidate.id === id)
    if (!product) throw new Error(`package “${template.key}” names an unknown product “${id}”`)
    return product
  })
}

/** What a package allows the correction under it to be. */
export function settingsOf(
  template: PackageTemplate,
  { paintSystem, hardness }: Pick<OfferInput, 'paintSystem' | 'hardness'>,
): ChoiceSettings {
  return {
    paintSystem,
    hardness,
    strongest: template.strongest,
    underCoating: template.layers.length > 0,
    protects: template.layers.length === 0,
  }
}

/** The same without the limit of the package: any process that is allowed under its coating. */
export function freeSettings(
  template: PackageTemplate,
  input: Pick<OfferInput, 'paintSystem' | 'hardness'>,
): ChoiceSettings {
  const settings = settingsOf(template, input)
  return settings.protects ? settings : { ...settings, strongest: PROCESS_KEYS.at(-1)! }
}

/** Works out one package with the correction it comes with. */
export function makeOffer(template: PackageTemplate, input: OfferInput): Offer {
  return offerWith(template, input, planCorrection(input.judgement.panels, settingsOf(template, input)))
}

/** Works out one package around a correction that was chosen for it. */
export function offerWith(template: PackageTemplate, input: OfferInput, correction: CorrectionPlan): Offer {
  const layers = layersOf(template, input.catalogue)
  const plan = planOperations(input.shape, correction, layers)
  const attended = plan.operations.filter(({ mode }) => mode !== 'unattended')
  return {
    template,
    layers,
    correction,
    plan,
    price: priceOf(plan, input.shape, layers, input.rates),
    breaches: coatingBreaches({
      paintSystem: input.paintSystem,
      layers,
      residue: correction.panels.some(({ option }) => option.process.leavesProtection)
        ? 'all-in-one'
        : 'none',
      treatments: input.treatments,
      areaM2: paintedAreaM2(input.shape),
    }),
    attendedMinutes: attended.reduce((sum, { minutes }) => sum + minutes, 0),
    machineMinutes: Math.round(
      correction.minutes.cut + correction.minutes.refine + correction.minutes.single,
    ),
  }
}
