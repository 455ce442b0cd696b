import type { ChangedField } from '@/core/journal'

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
  length_m: 'length, m',
  height_m: 'height, m',
  panel_facts: 'facts of panels',
  put_away_at: 'put away',
  budget_cents: 'budget, cents',
  arrive_at: 'comes',
  wanted_by: 'wanted by',
  handed_over_at: 'handed over',
  order_below: 'order below',
  cents: 'price, cents',
  person_id: 'of the crew',
  operation_id: 'step',
  product_id: 'product',
  air_c_x10: 'air, tenths of °C',
  rh_x10: 'humidity, tenths of a percent',
  panel_c_x10: 'panel, tenths of °C',
  closed_at: 'left',
  idle_minutes: 'locked after, minutes',
  floor_contacts: 'technicians see contacts',
}
const YES_OR_NO = new Set(['may_remind', 'salted', 'hard_water', 'floor_contacts'])
/** Parts of the shop are named by what they hold. */
const UNNAMED = new Set(['setup', 'catalogue'])

const MOST_LETTERS = 80

const spaced = (name: string) =>
  COLUMN_NAME[name] ??
  name
    .replaceAll('_', ' ')
    .replaceAll(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()

function valueText(name: string, value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing'
  if (YES_OR_NO.has(name)) return value === 1 ? 'yes' : 'no'
  const text = typeof value === 'object' ? JSON.stringify(value) : String(value)
  return text.length > MOST_LETTERS ? `${text.slice(0, MOST_LETTERS)} …` : text
}

/** A field as name, before and after, such as `customer, telephone: 0555 201 → 0555 202`. */
export function changeText(of: string, { path, before, after }: ChangedField) {
  const last = path.at(-1) ?? ''
  const way = path.filter((part) => !UNNAMED.has(part)).map(spaced)
  return {
    name: [RECORD_NAME[of] ?? of, ...way].join(', '),
    before: valueText(last, before),
    after: valueText(last, after),
  }
}
