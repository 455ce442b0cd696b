import type { BayClimate } from '../climate'
import {
  type CoatingRule,
  type CoatStep,
  coatingBreaches,
  coatSteps,
  type Product,
  type SurfaceCoat,
} from '../coating'
import {
  type ChoiceSettings,
  type CorrectionPlan,
  type Method,
  type Pace,
  type PaintKnowledge,
  planCorrection,
  type SpotWork,
} from '../correction'
import type { PanelJudgement, VehicleJudgement } from '../survey'
import type { LocalDay } from '../time'
import {
  type EarlierTreatment,
  type PaintSystem,
  type Panel,
  type Purpose,
  paintedAreaM2,
  type Shape,
} from '../vehicle'
import { onceFilmIsOff } from './bare'
import { glossOf, hasWork, isFresh, withSpots } from './beside'
import {
  type ChosenExtra,
  type ExtraKey,
  type ExtraProposal,
  extraApplies,
  includedCount,
  mergeExtras,
  type TradeProposal,
} from './extras'
import { attendedMinutes, type JobPlan } from './job-plan'
import type { PolishingSchool } from './machine-roles'
import type { OneOff } from './one-off'
import { planOperations } from './operations'
import type { PackageTemplate, Rates, Terms } from './package'
import { purposeWeight } from './purpose'
import { type Price, priceOf } from './quote'
import type { CustomerTax } from './tax'
import type { Vendor } from './vendor'

/** A package worked out for one vehicle. */
export type Offer = {
  template: PackageTemplate
  /** Whether anybody has looked at the paint it is worked out for. */
  inspected: boolean
  /** Panels sprayed so recently that nothing is applied on them yet. */
  freshPanels: string[]
  paintSystem: PaintSystem
  layers: Product[]
  surfaces: SurfaceCoat[]
  extras: ChosenExtra[]
  /** Deep marks that are brought down beyond the polish, or cannot be. */
  spots: SpotWork[]
  /** Gloss at 60° that is worked to where the paint is dull, and the panels it is read on. */
  gloss?: { targetGu: number; panels: string[] }
  vendors: Vendor[]
  oneOffs: readonly OneOff[]
  /** Every coat with its millilitres, and the bottles to open. */
  coats: CoatStep[]
  bottles: { product: Product; ml: number; bottles: number }[]
  correction: CorrectionPlan
  plan: JobPlan
  price: Price
  /** Minutes of hands: what two do together counts twice. */
  attendedMinutes: number
  machineMinutes: number
  pace: Pace
  /** Rules of coating this offer breaks on this car; a stop forbids it. */
  breaches: CoatingRule[]
}

export type OfferInput = {
  shape: Shape
  paintSystem: PaintSystem
  /** The methods the shop offers, mildest first. */
  methods: readonly Method[]
  /** The day it is worked out for. */
  today?: LocalDay
  /** What the car is for. */
  purpose?: Purpose
  /** Panels for which the customer has agreed to what is only done by consent. */
  consented?: readonly string[]
  /** How each group of panels answers the pad, as far as anybody knows. */
  knowledge: PaintKnowledge
  /** What was done to the paint before, as told. */
  treatments: readonly EarlierTreatment[]
  judgement: VehicleJudgement
  /** Extras the walk-round asks for. */
  proposals: readonly ExtraProposal[]
  /** Trades it asks for that this shop does not do itself. */
  trades?: readonly TradeProposal[]
  catalogue: readonly Product[]
  vendors: readonly Vendor[]
  rates: Rates
  customerTax?: CustomerTax
  /** How the shop's own hands go against the table of minutes. */
  pace?: Pace
  /** The year it is planned in. */
  year?: number
  /** Mean gloss before the work by panel, GU, where it was read. */
  glossGu?: Readonly<Record<string, number>>
  /** How dirty it was found to be, of 100. */
  contamination?: number
  /** Whether the whole car is cut before it is refined, or each panel is finished. */
  polishing?: PolishingSchool
  /** What the all-in-one of the shop sets before it is wiped off, by its sheet, min. */
  setMinutes?: number
  /** Whether it is washed without a hose. */
  rinseless?: boolean
  /** The air of the bay it would be coated in. */
  climate?: BayClimate
}

/** What is chosen for one customer over what the package brings. */
export type OfferChoices = {
  extras?: readonly ChosenExtra[]
  /** Called in beside those the package brings. */
  vendors?: readonly string[]
  /** Lines of this quote alone. */
  oneOffs?: readonly OneOff[]
  /** The gloss that is agreed, GU; what the paint can be brought to where nothing is said. */
  glossGu?: number
  terms?: Pick<Terms, 'discountPercent' | 'depositPercent'>
}

const NO_TERMS = { discountPercent: 0, depositPercent: 0 }

/** The named one. Throws on what the set-up lacks: it is checked when the set-up is kept. */
function named<T extends { id: string }>(all: readonly T[], id: string, template: PackageTemplate): T {
  const found = all.find((candidate) => candidate.id === id)
  if (!found) throw new Error(`package “${template.key}” names “${id}”, which is not in the set-up`)
  return found
}

type Settled = Pick<OfferInput, 'methods' | 'knowledge' | 'pace' | 'today' | 'purpose' | 'consented'>

/** A package whose strongest method leaves protection behind is sold for that. */
const isProtection = ({ strongest }: PackageTemplate, methods: readonly Method[]) =>
  methods.some(({ key, leavesProtection }) => key === strongest && leavesProtection)

/** What a package allows the correction under it to be. */
export function settingsOf(
  template: PackageTemplate,
  { methods, knowledge, pace, today, purpose, consented }: Settled,
): ChoiceSettings {
  return {
    methods,
    knowledge,
    care: template.care,
    strongest: template.strongest,
    underCoating: template.layers.length > 0,
    // Only a package whose very process is the protection goes on panels that need nothing else.
    protects: template.layers.length === 0 && isProtection(template, methods),
    ...(pace ? { pace } : {}),
    ...(today ? { today } : {}),
    ...(purpose ? { weigh: ({ id }: Panel) => purposeWeight(purpose, id) } : {}),
    ...(consented ? { consented } : {}),
  }
}

/** The same without the limit of the package: any process that is allowed under its coating. */
export function freeSettings(template: PackageTemplate, input: Settled): ChoiceSettings {
  const settings = settingsOf(template, input)
  return settings.protects ? settings : { ...settings, strongest: input.methods.at(-1)!.key }
}

/** Works out one package with the correction it comes with. */
export function makeOffer(template: PackageTemplate, input: OfferInput, choices: OfferChoices = {}): Offer {
  const bare = onceFilmIsOff(template, input, choices.extras)
  return offerWith(template, bare, planCorrection(bare.judgement.panels, settingsOf(template, bare)), choices)
}

/** Wheels that go to somebody come off the car first. */
const neededBy = (vendors: readonly Vendor[]): ExtraKey[] =>
  vendors.some(({ trade, away }) => trade === 'wheels' && away?.what === 'piece') ? ['wheels-off'] : []

/** Works out one package around a correction that was chosen for it. */
export function offerWith(
  template: PackageTemplate,
  input: OfferInput,
  correction: CorrectionPlan,
  { extras: chosen = [], vendors: calledIn = [], oneOffs = [], glossGu, terms = NO_TERMS }: OfferChoices = {},
): Offer {
  const { shape, catalogue } = input
  const freshPanels = input.judgement.panels.filter((judged) => isFresh(judged, input.today))
  const coated = input.judgement.panels.filter((judged) => !freshPanels.includes(judged))
  const areaOf = (judged: readonly PanelJudgement[]) =>
    judged.reduce((sum, { panel }) => sum + panel.areaM2, 0)
  const areaM2 = areaOf(coated)
  const layers = template.layers.map((id) => named(catalogue, id, template))
  const surfaces = template.surfaces.map(({ surface, productId }) => ({
    surface,
    product: named(catalogue, productId, template),
  }))
  const brought = template.vendors
    .map((id) => named(input.vendors, id, template))
    .filter((vendor) => hasWork(vendor, input))
  const vendors = [
    ...brought,
    ...input.vendors.filter((vendor) => calledIn.includes(vendor.id) && !brought.includes(vendor)),
  ]
  const included = [...template.extras, ...neededBy(vendors)].map((key) => ({
    key,
    count: includedCount(key, input.proposals),
  }))
  const { extras, spots } = withSpots(
    mergeExtras(included, chosen).filter(({ key }) => extraApplies(key, shape)),
    input,
    correction,
  )
  const plan = planOperations({
    areaM2: areaOf(input.judgement.panels),
    correction,
    layers,
    ...(freshPanels.length > 0 ? { coated: coated.map(({ panel }) => panel.id) } : {}),
    surfaces,
    extras,
    vendors,
    oneOffs,
    ...(input.contamination === undefined ? {} : { contamination: input.contamination }),
    ...(input.rinseless ? { rinseless: true } : {}),
    ...(input.polishing ? { polishing: input.polishing } : {}),
    ...(input.setMinutes === undefined ? {} : { setMinutes: input.setMinutes }),
    ...(input.pace ? { pace: input.pace } : {}),
  })
  const { steps: coats, bottles } = coatSteps({ layers, surfaces, areaM2 })
  return {
    template,
    inspected: input.judgement.grade !== undefined,
    freshPanels: freshPanels.map(({ panel }) => panel.id),
    paintSystem: input.paintSystem,
    layers,
    surfaces,
    extras,
    spots,
    ...glossOf(input, correction, glossGu),
    vendors,
    oneOffs,
    coats,
    bottles,
    correction,
    plan,
    price: priceOf({
      plan,
      coats,
      extras,
      vendors,
      oneOffs,
      rates: input.rates,
      terms,
      ...(input.customerTax ? { customerTax: input.customerTax } : {}),
    }),
    breaches: breachesOf(input, { layers, surfaces, vendors, correction }),
    pace: input.pace ?? {},
    attendedMinutes: attendedMinutes(plan.operations),
    machineMinutes: Math.round(
      correction.minutes.cut + correction.minutes.refine + correction.minutes.single,
    ),
  }
}

function breachesOf(
  input: OfferInput,
  { layers, surfaces, vendors, correction }: Pick<Offer, 'layers' | 'surfaces' | 'vendors' | 'correction'>,
): CoatingRule[] {
  const film = vendors.find(({ trade }) => trade === 'film')
  return coatingBreaches({
    paintSystem: input.paintSystem,
    layers,
    surfaces,
    residue: correction.panels.some(({ option }) => option.method.leavesProtection) ? 'all-in-one' : 'none',
    treatments: input.treatments,
    freshPanels: input.judgement.panels.filter((judged) => isFresh(judged, input.today)).length,
    ...(input.year === undefined ? {} : { year: input.year }),
    ...(film ? { film: film.stage === 'after-coating' ? 'after-coating' : 'before-coating' } : {}),
    areaM2: paintedAreaM2(input.shape),
    ...(input.climate ? { climate: input.climate } : {}),
  })
}
