import { z } from 'zod'
import { OTHER_SURFACES, SURFACES } from '../coating'
import {
  CARES,
  keptMethod,
  methodIn,
  SEEDED_METHODS,
  type SpotWork,
  type Worked,
  worked,
} from '../correction'
import { toOperationId, toProductId } from '../ids'
import { DEFECT_KINDS, mainMark, type PanelJudgement } from '../survey'
import { type Expectation, expectationOf } from './expectation'
import { EXTRA_KEYS } from './extras'
import { OPERATION_KINDS } from './job-plan'
import type { Offer } from './offer'
import type { Price, PriceLine } from './quote'
import { SKILLS } from './skill'
import { stepNameSchema } from './step-name'
import type { Taxation, TaxPart } from './tax'
import { AWAY_THINGS } from './vendor'

/** What a customer was told of an offer, as plain data that outlives the offer it was worked out from. */

const operation = z.string().transform(toOperationId)

export const planSchema = z.object({
  operations: z.array(
    z.object({
      id: operation,
      kind: z.enum(OPERATION_KINDS),
      title: stepNameSchema,
      minutes: z.int(),
      mode: z.enum(['solid', 'pausable', 'unattended']),
      people: z.int(),
      skill: z.union([z.enum(SKILLS), z.templateLiteral(['vendor-', z.string()])]).optional(),
      layer: z.int().optional(),
      productId: z.string().transform(toProductId).optional(),
      surface: z.enum(OTHER_SURFACES).optional(),
      extra: z.enum(EXTRA_KEYS).optional(),
      vendorId: z.string().optional(),
      away: z.enum(AWAY_THINGS).optional(),
      panels: z.array(z.string()).optional(),
    }),
  ),
  links: z.array(z.object({ from: operation, to: operation, min: z.int(), max: z.int().optional() })),
  stays: z.array(z.object({ id: z.string(), kind: z.string(), operations: z.array(operation) })),
})

/** What a panel gets, as the customer was told. */
const toldPanelSchema = z.object({
  id: z.string(),
  name: z.string(),
  process: keptMethod,
  /** Which of `works` is done to it; absent from before that was kept. */
  work: z.int().optional(),
  takesUm: z.number(),
  budgetUm: z.number(),
  indexBefore: z.number(),
  indexAfter: z.number(),
  /** What costs it most of what a machine removes, and how deep it was taken to lie against the table. */
  mark: z
    .object({ kind: z.enum(DEFECT_KINDS), severity: z.literal([1, 2, 3]), depth: z.number() })
    .optional(),
})

/** What was told in words of its day, before its facts were kept. */
export type FormerlyTold = { kind: Expectation['kind']; text: string }

/** The facts and figures of an offer. What came later has a default, so that older ones still read. */
export const summarySchema = z.object({
  indexBefore: z.number(),
  indexAfter: z.number(),
  expectedClearing: z.number(),
  /** How many panels the indices rest on; all of them where nothing is said. */
  inspected: z.object({ panels: z.number(), of: z.number() }).optional(),
  layers: z.array(z.string()),
  processes: z.record(z.string(), keptMethod),
  /** What is done, step by step with its passes, as the shop did it then; each once. */
  works: z.array(z.custom<Worked>()).default([]),
  left: z.array(z.string()),
  priceLines: z.array(z.custom<PriceLine>()),
  netCents: z.int(),
  taxCents: z.int(),
  /** Of a price from before a shop could have several rates. */
  taxPercent: z.number().optional(),
  taxName: z.string().optional(),
  taxes: z.array(z.custom<TaxPart>()).optional(),
  taxRates: z.custom<Taxation['percent']>().optional(),
  taxIncluded: z.boolean().default(false),
  depositCents: z.int().default(0),
  care: z.enum(CARES).default('usual'),
  panels: z.array(toldPanelSchema).default([]),
  coats: z
    .array(z.object({ surface: z.enum(SURFACES), layer: z.int(), product: z.string(), ml: z.number() }))
    .default([]),
  expectation: z.array(z.custom<Expectation | FormerlyTold>()).default([]),
  /** Deep marks brought down beyond the polish, and what that takes. */
  spots: z.array(z.custom<SpotWork>()).default([]),
  /** The gloss that is worked to, and the panels it is read on. */
  gloss: z.object({ targetGu: z.number(), panels: z.array(z.string()) }).optional(),
  machineMinutes: z.int().optional(),
  /** How the shop's own hands went against the table when this was worked out. */
  pace: z.record(z.string(), z.number()).default({}),
})
export type Summary = z.infer<typeof summarySchema>

/** The tax of a price as it is kept. */
export const taxOf = ({ taxName, taxes, taxRates, taxIncluded }: Price) => ({
  taxName,
  taxes: [...taxes],
  taxRates,
  taxIncluded,
})

/** The tax by rate; of a price from before there were several, its one rate. */
export const taxParts = ({
  taxes,
  taxPercent,
  netCents,
  taxCents,
}: Pick<Summary, 'taxes' | 'taxPercent' | 'netCents' | 'taxCents'>): readonly TaxPart[] =>
  taxes ?? (taxPercent ? [{ percent: taxPercent, onCents: netCents, cents: taxCents }] : [])

/** What is done to each panel, as it was agreed. Agreements from before that was kept go by the methods that ship with the app. */
export function agreedWork({
  processes,
  panels,
  works,
}: Pick<Summary, 'processes' | 'panels' | 'works'>): Record<string, Worked> {
  return Object.fromEntries(
    Object.entries(processes).flatMap(([panel, key]) => {
      const own = works[panels.find(({ id }) => id === panel)?.work ?? -1]
      if (own) return [[panel, own]]
      const method = methodIn(SEEDED_METHODS, key)
      return method ? [[panel, worked(method)]] : []
    }),
  )
}

function markOf({ condition }: PanelJudgement) {
  const mark = mainMark(condition)
  return mark ? { mark: { kind: mark.kind, severity: mark.severity, depth: mark.depthFactor ?? 1 } } : {}
}

export function summaryOf(offer: Offer): Summary {
  const { correction, price } = offer
  const works: Worked[] = []
  const workOf = (method: Worked) => {
    const same = works.findIndex((other) => JSON.stringify(other) === JSON.stringify(method))
    return same >= 0 ? same : works.push(method) - 1
  }
  const panels = correction.panels.map(({ judged, option }) => ({
    id: judged.panel.id,
    name: judged.panel.name,
    process: option.method.key,
    work: workOf(option.method),
    takesUm: option.removalUm,
    budgetUm: judged.budget.budgetUm,
    indexBefore: option.indexBefore,
    indexAfter: option.indexAfter,
    ...markOf(judged),
  }))
  return {
    indexBefore: correction.indexBefore,
    indexAfter: correction.indexAfter,
    expectedClearing: correction.expectedClearing,
    inspected: correction.inspected,
    layers: offer.template.layers,
    processes: Object.fromEntries(
      correction.panels.map(({ judged, option }) => [judged.panel.id, option.method.key]),
    ),
    works,
    left: correction.leftAsTheyAre.map(({ judged }) => judged.panel.name),
    priceLines: price.lines,
    netCents: price.netCents,
    taxCents: price.taxCents,
    ...taxOf(price),
    depositCents: price.depositCents,
    care: offer.template.care,
    panels,
    coats: offer.coats.map(({ surface, layer, product, ml }) => ({
      surface,
      layer,
      product: product.name,
      ml,
    })),
    expectation: expectationOf(offer),
    spots: offer.spots,
    ...(offer.gloss ? { gloss: offer.gloss } : {}),
    machineMinutes: offer.machineMinutes,
    pace: { ...offer.pace },
  }
}
