import { z } from 'zod'
import { ask } from '../asks'
import { keptMethod, planAsChosen } from '../correction'
import { toProductId } from '../ids'
import { instant, instantOrThrow, isLocalDay, localDayOrThrow } from '../time'
import { onceFilmIsOff } from './bare'
import { EXTRA_KEYS } from './extras'
import { freeSettings, makeOffer, type Offer, type OfferInput, offerWith } from './offer'
import { oneOffSchema } from './one-off'
import { type PackageTemplate, packageTemplateSchema, termsSchema } from './package'

/** What was chosen for one customer, so that it can be worked out again, and the next version can begin there. */
export const choicesSchema = z.strictObject({
  packageKey: z.string(),
  /** Chosen panel by panel, where they are not the package’s own. */
  processes: z.record(z.string(), keptMethod).optional(),
  extras: z.array(
    z.strictObject({
      key: z.enum(EXTRA_KEYS),
      count: z
        .int({ error: ask('count-of-extra') })
        .min(0, ask('count-below-nothing'))
        .max(40, ask('count-too-large')),
      pieces: z.array(z.string().max(80)).max(40).optional(),
    }),
  ),
  /** Called in beside those the package brings. */
  vendors: z.array(z.string().max(80)).max(20).optional(),
  /** Brought by the package, and not wanted. */
  withoutVendors: z.array(z.string().max(80)).max(20).optional(),
  /** Layers of the paint other than those of the package, the first at the bottom. */
  layers: z.array(z.string().min(1).transform(toProductId)).max(4, ask('layers-enough')).optional(),
  /** What goes on other surfaces, where that is not what the package brings. */
  surfaces: packageTemplateSchema.shape.surfaces.unwrap().optional(),
  /** Lines of this quote alone. */
  oneOffs: z.array(oneOffSchema).max(20, ask('one-offs-enough')).optional(),
  /** The gloss agreed with the customer, GU. */
  glossGu: z
    .number({ error: ask('a-number') })
    .min(10, ask('gloss-target'))
    .max(110, ask('gloss-target'))
    .optional(),
  /** Of a change: when the car comes instead, and by which day it is wanted back. */
  comesAt: z
    .string()
    .refine((text) => instant(text).ok, ask('a-date-and-time'))
    .transform((text) => instantOrThrow(text))
    .optional(),
  wantedBy: z
    .string()
    .refine((text): boolean => isLocalDay(text), ask('a-day-or-empty'))
    .transform((text) => localDayOrThrow(text))
    .optional(),
  terms: termsSchema,
})
export type Choices = z.infer<typeof choicesSchema>

/** The package as this customer wants it. */
const asWished = (
  template: PackageTemplate,
  { layers, surfaces, withoutVendors = [] }: Choices,
): PackageTemplate => ({
  ...template,
  ...(layers ? { layers } : {}),
  ...(surfaces ? { surfaces } : {}),
  vendors: template.vendors.filter((id) => !withoutVendors.includes(id)),
})

/** Choices worked out; undefined where the package or one of the processes is not to be had on this car. */
export function chosenOffer(
  packages: readonly PackageTemplate[],
  input: OfferInput,
  choices: Choices,
): Offer | undefined {
  const { packageKey, processes, extras: chosen, vendors, glossGu, oneOffs, terms } = choices
  const named = packages.find(({ key }) => key === packageKey)
  if (!named) return undefined
  const template = asWished(named, choices)
  const extras = chosen.map(({ pieces, ...extra }) => ({ ...extra, ...(pieces ? { pieces } : {}) }))
  const chosenToo = {
    extras,
    ...(vendors ? { vendors } : {}),
    ...(glossGu === undefined ? {} : { glossGu }),
    ...(oneOffs ? { oneOffs } : {}),
    terms,
  }
  if (!processes) return makeOffer(template, input, chosenToo)
  const bare = onceFilmIsOff(template, input, extras)
  const correction = planAsChosen(bare.judgement.panels, freeSettings(template, bare), processes)
  return correction && offerWith(template, bare, correction, chosenToo)
}
