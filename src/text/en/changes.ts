import type { ChangedField } from '@/core/journal'
import type { Region } from '@/core/region'
import { dayIn, instant } from '@/core/time'
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
  supplies: 'set',
  accounts: 'who signs in',
  staff_rules: 'rules',
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
}
const YES_OR_NO = new Set(['may_remind', 'salted', 'hard_water', 'floor_contacts'])
/** Parts of the shop are named by what they hold. */
const UNNAMED = new Set(['setup', 'catalogue'])

const MOST_LETTERS = 80

/** Sums are kept in the smallest coin; what they are is said without it. */
const IS_SUM = /[cC]ents(?![a-z])/

const spaced = (name: string) =>
  COLUMN_NAME[name] ??
  name
    .replaceAll('_', ' ')
    .replaceAll(/([a-z])([A-Z])/g, '$1 $2')
    .replace(IS_SUM, '')
    .trim()
    .toLowerCase()

function quantityText(region: Region, path: readonly string[], value: number): string | undefined {
  const name = path.at(-1) ?? ''
  if (path.some((part) => IS_SUM.test(part))) return money(region, value)
  if (/_c_x10$/.test(name)) return measured(region, 'temperature', value / 10, 1)
  if (name === 'rh_x10') return `${number(region, value / 10)}%`
  if (/^(length|height)_m$/.test(name)) return measured(region, 'length', value, 1)
  return undefined
}

function valueText(region: Region, path: readonly string[], value: unknown): string {
  const name = path.at(-1) ?? ''
  if (value === null || value === undefined || value === '') return 'nothing'
  if (YES_OR_NO.has(name)) return value === 1 ? 'yes' : 'no'
  if (value === true || value === false) return value ? 'yes' : 'no'
  const at = typeof value === 'string' ? instant(value) : undefined
  if (at?.ok) return `${shortDay(region, dayIn(region.timezone, at.value))}, ${clock(region, at.value)}`
  const quantity = typeof value === 'number' ? quantityText(region, path, value) : undefined
  if (quantity !== undefined) return quantity
  const text = typeof value === 'object' ? JSON.stringify(value) : String(value)
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text
}

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
  region: Region,
  of: string,
  fields: readonly ChangedField[],
  { onItsPage = false } = {},
): ChangeText[] {
  return fields
    .filter((field) => !isNothingNew(field))
    .map(({ path, before, after }) => {
      const way = path.filter((part) => !UNNAMED.has(part)).map(spaced)
      return {
        name: (onItsPage && way.length > 0 ? way : [RECORD_NAME[of] ?? of, ...way]).join(', '),
        before: valueText(region, path, before),
        after: valueText(region, path, after),
      }
    })
}
