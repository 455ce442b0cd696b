import type { ChangedField } from '@/core/journal'
import type { Region } from '@/core/region'
import { everyone, type Shop } from '@/core/shop'
import { dayIn, instant, isLocalDay } from '@/core/time'
import { clock, measured, money, number, shortDay } from '../formats'
import { equipmentName } from './equipment'
import { OCCASION_NAME } from './messages'
import { staffPanelName } from './staff-panels'
import { STORE_NAME } from './supplies'

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
  outages: 'away or out of use',
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
export type Reading = {
  region: Region
  called: Readonly<Record<string, string>>
  /** Bays; their ids may be words that stand elsewhere for something else. */
  places: Readonly<Record<string, string>>
}

const named = (all: readonly { id: string; name: string }[]) => all.map(({ id, name }) => [id, name] as const)

export const readingOf = ({ setup, catalogue }: Shop): Reading => ({
  region: setup.region,
  called: Object.fromEntries([
    ...named([...everyone(setup), ...setup.vendors, ...catalogue]),
    // Hours of one person’s own lie under this.
    ...everyone(setup).map(({ id, name }) => [`person-${id}`, name]),
    ...catalogue.map(({ id, name }) => [`product:${id}`, name]),
    ...setup.packages.map(({ key, name }) => [key, name]),
    ...Object.entries(STORE_NAME).map(([key, name]) => [`store:${key}`, name]),
    ...Object.entries(OCCASION_NAME).map(([key, { name }]) => [`occasion:${key}`, name]),
  ]),
  places: Object.fromEntries(named(setup.places)),
})

/** Under these stand panels, by their ids. */
const BY_PANEL = new Set(['removals', 'panel_consents', 'photos', 'surveys', 'panel_facts'])

function partText({ region, called, places }: Reading, of: string, path: readonly string[], at: number) {
  const part = path[at]!
  const under = at === 0 ? of : path[at - 1]!
  if (under === 'places') return nameIn(places, part) ?? part
  if (BY_PANEL.has(under)) return staffPanelName(region, part)
  return nameIn(called, part) ?? spaced(part)
}

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

/** Values out of a list the program knows, such as how somebody pays; their names are words with dashes. */
const OF_A_LIST = new Set(['operation_id', 'tax', 'washing', 'storage', 'said_how', 'paint_system', 'rule'])

function namedValue({ region, called, places }: Reading, name: string, value: string): string {
  if (name === 'what_id') return nameIn(places, value) ?? nameIn(called, value) ?? equipmentName(value)
  const known = nameIn(called, value)
  if (known !== undefined) return known
  if (OF_A_LIST.has(name)) return value.replaceAll('-', ' ')
  if (isLocalDay(value)) return shortDay(region, value)
  const at = instant(value)
  return at.ok ? `${shortDay(region, dayIn(region.timezone, at.value))}, ${clock(region, at.value)}` : value
}

/** From when until when on a day. */
const isSpan = (value: unknown) => Array.isArray(value) && value.length === 2 && /^\d\d:\d\d$/.test(value[0])

function valueText(reading: Reading, path: readonly string[], value: unknown): string {
  const name = path.at(-1) ?? ''
  if (value === null || value === undefined || value === '') return 'nothing'
  if (YES_OR_NO.has(name)) return value === 1 ? 'yes' : 'no'
  if (value === true || value === false) return value ? 'yes' : 'no'
  if (typeof value === 'string') return namedValue(reading, name, value)
  if (typeof value === 'number') return quantityText(reading.region, path, value) ?? String(value)
  if (Array.isArray(value))
    return (
      value.map((each) => (isSpan(each) ? each.join('–') : valueText(reading, path, each))).join('; ') ||
      'nothing'
    )
  return Object.entries(value)
    .map(([part, each]) => `${spaced(part)} ${valueText(reading, [...path, part], each)}`)
    .join(', ')
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
      const way = path.flatMap((part, at) => (UNNAMED.has(part) ? [] : partText(reading, of, path, at)))
      return {
        name: [
          ...(plate ? [plate] : []),
          ...(onItsPage && way.length > 0 ? [] : [RECORD_NAME[of] ?? of]),
          ...way,
        ].join(', '),
        before: valueText(reading, path, before),
        after: valueText(reading, path, after),
      }
    })
    .filter(({ before, after }) => before !== after)
    .map(({ name, before, after }) => ({ name, before: cut(before), after: cut(after) }))
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
