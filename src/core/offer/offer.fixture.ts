import catalogueFile from '../../../demo/catalogue.json'
import setupFile from '../../../demo/setup.json'
import { catalogueSchema } from '../coating'
import { offered, SEEDED_METHODS, unprobed } from '../correction'
import { type Defect, judge } from '../survey'
import { isMetal, type PaintSystem, type PanelsFacts, panelsOf, type Shape } from '../vehicle'
import type { OfferInput } from './offer'
import { packageTemplateSchema, ratesSchema } from './package'
import { vendorSchema } from './vendor'

/** A car and a shop for tests: the packages, products and vendors of the demo, swirls on every panel. */

export const catalogue = catalogueSchema.parse(catalogueFile)
export const templates = setupFile.packages.map((template) => packageTemplateSchema.parse(template))
export const vendors = setupFile.vendors.map((vendor) => vendorSchema.parse(vendor))
export const template = (key: string) => templates.find((each) => each.key === key)!
export const product = (id: string) => catalogue.find((each) => each.id === id)!

export const swirls: Defect = { kind: 'swirls', severity: 2, extentPercent: 60, catchesNail: false }
export const chips: Defect = { kind: 'chips', severity: 1, extentPercent: 5, catchesNail: true }

type Car = {
  shape?: Shape
  paintSystem?: PaintSystem
  /** µm on every metal panel, and on those that differ. */
  filmUm?: number
  thin?: readonly string[]
  defects?: Record<string, readonly Defect[]>
  films?: readonly string[]
  facts?: PanelsFacts
  edges?: Record<string, number[]>
  /** Panels that were inspected; those with a defect are anyway. */
  inspected?: string[]
}

export function offerInput(
  {
    shape = 'saloon',
    paintSystem = 'clear-over-base',
    filmUm = 120,
    thin = [],
    defects,
    films = [],
    inspected = [],
    facts,
    edges,
  }: Car = {},
  more: Partial<OfferInput> = {},
): OfferInput {
  const panels = panelsOf(shape)
  const read = (id: string) => (thin.includes(id) ? 70 : filmUm)
  const judgement = judge({
    panels,
    paintSystem,
    school: 'both',
    readings: Object.fromEntries(
      panels
        .filter(({ substrate }) => isMetal(substrate))
        .map(({ id }) => [id, [read(id) - 1, read(id) + 1, read(id)]]),
    ),
    defects: defects ?? Object.fromEntries(panels.map(({ id }) => [id, [swirls]])),
    films,
    inspected,
    ...(facts ? { facts } : {}),
    ...(edges ? { edges } : {}),
  })
  return {
    shape,
    paintSystem,
    methods: offered(SEEDED_METHODS),
    knowledge: unprobed('medium'),
    treatments: [],
    judgement,
    proposals: [],
    catalogue,
    vendors,
    rates: ratesSchema.parse(setupFile.rates),
    ...more,
  }
}
