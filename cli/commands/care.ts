import { careMilestones } from '@/core/aftercare'
import { catalogueSchema } from '@/core/coating'
import { plainRegion } from '@/core/region'
import { instant, isZone } from '@/core/time'
import { careWords } from '@/text/care'
import type { Command } from '../command'
import { BadInput, readArguments, readJson } from '../input'

const USAGE = 'care --ended ISO --product ID [--zone ZONE] [--catalogue FILE]'
const SHIPPED_CATALOGUE = new URL('../../src/core/shop/starter/catalogue.json', import.meta.url).pathname
const SHOP_ZONE = 'Europe/Dublin'
const READER = plainRegion(SHOP_ZONE)

/** The cure calendar of a product whose last layer ended at a given instant. */
export const care: Command = {
  usage: USAGE,
  run(args) {
    const text = { type: 'string' } as const
    const { values } = readArguments(
      args,
      { ended: text, product: text, zone: text, catalogue: text },
      { count: 0, usage: USAGE },
    )
    const ended = instant(values.ended ?? '')
    if (!ended.ok)
      throw new BadInput([
        `--ended: “${values.ended ?? ''}” is not an instant. Write it like 2027-01-11T16:30:00+00:00.`,
      ])
    const zone = values.zone ?? SHOP_ZONE
    if (!isZone(zone))
      throw new BadInput([`--zone: “${zone}” is no IANA time zone. Write one like Europe/Dublin.`])
    const catalogue = readJson(values.catalogue ?? SHIPPED_CATALOGUE, catalogueSchema)
    const product = catalogue.find(({ id }) => id === values.product)
    if (!product)
      throw new BadInput([
        `--product: “${values.product ?? ''}” is not in the catalogue. It has: ${catalogue.map(({ id }) => id).join(', ')}.`,
      ])
    const milestones = careMilestones([{ product, ended: ended.value }], zone)
    const { milestone: words } = careWords({ ...READER, timezone: zone })
    const said = milestones.map((milestone) => ({ ...milestone, ...words[milestone.key] }))
    return { json: { product: product.id, ended: ended.value, zone, milestones: said }, exitCode: 0 }
  },
}
