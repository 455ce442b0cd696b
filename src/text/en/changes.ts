import type { ChangedField } from '@/core/journal'
import type { Region } from '@/core/region'
import { namesOf, type Shop } from '@/core/shop'
import { dayIn, instant, isLocalDay } from '@/core/time'
import { clock, measured, money, number, shortDay } from '../formats'

/** What stood before and after, as one reads it. */

const RECORD_NAME: Record<string, string> = {
  customers: 'customer',
  vehicles: 'vehicle',
  jobs: 'job',
  layers: 'layer',
  shop: 'shop',
  templates: 'text',
  stores: 'store',
  accounts: 'who signs in',
  staff_rules: 'rules',
  quotes: 'quote',
  agreements: 'agreement',
  payments: 'payment',
  private_links: 'private page',
  owner_links: 'owner’s page',
  feeds: 'calendar link',
  photos: 'photograph',
  holds: 'held slot',
  outages: 'out of use or away',
  bottles: 'bottle',
  stock_orders: 'order',
  reorder_points: 'order again at',
  retention: 'months kept',
  paired_devices: 'tablet',
  published: 'work at the car',
  removals: 'paint removed',
  panel_consents: 'consent for a panel',
  pins: 'stays where it is',
  promises: 'paper signed at check-in',
  supplies: 'set',
  surveys: 'measured',
}
const COLUMN_NAME: Record<string, string> = {
  phone: 'telephone',
  email: 'e-mail',
  may_remind: 'may be reminded',
  write_by: 'contact by',
  vin: 'vehicle number',
  yearly_km: 'km a year',
  salted: 'salted roads',
  length_m: 'length',
  height_m: 'height',
  panel_facts: 'facts of panels',
  put_away_at: 'put away',
  budget_cents: 'budget',
  arrive_at: 'comes',
  wanted_by: 'wanted by',
  handed_over_at: 'handed over',
  order_below: 'order below',
  cents: 'price',
  person_id: 'of the crew',
  operation_id: 'step',
  product_id: 'product',
  air_c_x10: 'air',
  rh_x10: 'humidity',
  panel_c_x10: 'panel',
  closed_at: 'left',
  idle_minutes: 'locked after, minutes',
  floor_contacts: 'technicians see contacts',
  package_name: 'package',
  total_cents: 'total',
  said_how: 'how it was said',
  promised_for: 'promised for',
  way: 'paid by',
  taken_back_at: 'voided',
  expires_at: 'open until',
  revoked_at: 'closed',
  removed_at: 'removed',
  bring_at: 'comes',
  collect_at: 'fetched',
  until_day: 'held until',
  freed_at: 'freed',
  what_id: 'who or what',
  from_at: 'from',
  until_at: 'until',
  ended_at: 'over',
  opened_on: 'opened',
  gone_on: 'gone',
  arrived_on: 'came',
  made_at: 'made',
  ordered_at: 'ordered',
  due: 'expected',
  paired_at: 'paired',
  unpaired_at: 'unpaired',
  removed_um_x10: 'taken off',
  agreed_at: 'agreed',
  signed_at: 'signed',
  washes_most: 'washes at most',
  reorder_at: 'order again at',
  film_before_um: 'thickness before',
  film_after_um: 'thickness after',
  gloss_before_gu: 'gloss before',
  gloss_after_gu: 'gloss after',
}
const YES_OR_NO = new Set(['may_remind', 'salted', 'hard_water', 'floor_contacts', 'came'])
/** Parts of the shop are named by what they hold. */
const UNNAMED = new Set(['setup', 'catalogue'])

const MOST_LETTERS = 80

/** Sums are kept in the smallest coin; what they are is said without it. */
const IS_SUM = /[cC]ents(?![a-z])/

/** Names of columns and parts begin small; any other is what somebody called it. */
const isCalled = (name: string) => /^[^a-z]/.test(name)

/** What somebody calls a part of theirs may be what every object has. */
const nameIn = (names: Readonly<Record<string, string>>, part: string) =>
  Object.hasOwn(names, part) ? names[part] : undefined

const spaced = (name: string) => nameIn(COLUMN_NAME, name) ?? (isCalled(name) ? name : inWords(name))

const inWords = (name: string) =>
  name
    .replaceAll('_', ' ')
    .replaceAll(/([a-z])([A-Z])/g, '$1 $2')
    .replace(IS_SUM, '')
    .trim()
    .toLowerCase()

/** What stands where in words: how the shop writes, and what it calls those that are kept by an id. */
export type Reading = { region: Region; called: Readonly<Record<string, string>> }

export const readingOf = ({ setup, catalogue }: Shop): Reading => ({
  region: setup.region,
  called: {
    ...namesOf(setup),
    ...Object.fromEntries([...setup.vendors, ...catalogue].map(({ id, name }) => [id, name])),
    ...Object.fromEntries(setup.packages.map(({ key, name }) => [key, name])),
  },
})

function quantityText(region: Region, path: readonly string[], value: number): string | undefined {
  const name = path.at(-1) ?? ''
  if (path.some((part) => IS_SUM.test(part))) return money(region, value)
  if (/_c_x10$/.test(name)) return measured(region, 'temperature', value / 10, 1)
  if (name === 'rh_x10') return `${number(region, value / 10)}%`
  if (/_um_x10$/.test(name)) return measured(region, 'depth', value / 10, 1)
  if (/_um$/.test(name)) return measured(region, 'depth', value, 1)
  if (/^(length|height)_m$/.test(name)) return measured(region, 'length', value, 1)
  return undefined
}

function valueText(reading: Reading, path: readonly string[], value: unknown): string {
  const { region, called } = reading
  const name = path.at(-1) ?? ''
  if (value === null || value === undefined || value === '') return 'nothing'
  if (YES_OR_NO.has(name)) return value === 1 ? 'yes' : 'no'
  if (Array.isArray(value) && value.every((each) => typeof each !== 'object'))
    return value.map((each) => valueText(reading, path, each)).join('; ') || 'nothing'
  if (value === true || value === false) return value ? 'yes' : 'no'
  const known = typeof value === 'string' ? nameIn(called, value) : undefined
  if (known !== undefined) return known
  if (typeof value === 'string' && isLocalDay(value)) return shortDay(region, value)
  const at = typeof value === 'string' ? instant(value) : undefined
  if (at?.ok) return `${shortDay(region, dayIn(region.timezone, at.value))}, ${clock(region, at.value)}`
  const quantity = typeof value === 'number' ? quantityText(region, path, value) : undefined
  if (quantity !== undefined) return quantity
  return typeof value === 'object' ? JSON.stringify(value) : String(value)
}

const cut = (text: string) => (text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text)

export type ChangeText = { name: string; before: string; after: string }

/** What was not there before and is nothing now tells nobody anything. */
const isNothingNew = ({ before, after }: ChangedField) =>
  (before === undefined || before === null) &&
  (after === undefined || after === null || after === 0 || after === '' || after === false)

/**
 * What stood before and after, field by field, such as `customer, telephone: 0555 201 → 0555 202`; on the page of the record itself without
 * its name.
 */
export function changeTexts(
  reading: Reading,
  of: string,
  fields: readonly ChangedField[],
  { onItsPage = false, plate }: { onItsPage?: boolean; plate?: string | undefined } = {},
): ChangeText[] {
  return fields
    .filter((field) => !isNothingNew(field))
    .map(({ path, before, after }) => {
      const way = path
        .filter((part) => !UNNAMED.has(part))
        .map((part) => nameIn(reading.called, part) ?? spaced(part))
      return {
        name: [
          ...(plate ? [plate] : []),
          ...(onItsPage && way.length > 0 ? [] : [RECORD_NAME[of] ?? of]),
          ...way,
        ].join(', '),
        before: cut(valueText(reading, path, before)),
        after: cut(valueText(reading, path, after)),
      }
    })
}

type Entry = {
  plate?: string
  changes: readonly { of: string; fields: readonly ChangedField[]; plate?: string }[]
}

/** What an entry of the journal changed; of which car is said where the entry itself is of another, or of none. */
export const changesOfEntry = (reading: Reading, entry: Entry): ChangeText[] =>
  entry.changes.flatMap(({ of, fields, plate }) =>
    changeTexts(reading, of, fields, { plate: plate === entry.plate ? undefined : plate }),
  )
