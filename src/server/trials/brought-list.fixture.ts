import type { Knex } from 'knex'
import type { BringEntry } from '@/core/bring'
import { type Instant, localDayOrThrow } from '@/core/time'
import { setDown } from '../bring/bring-store'

/** Lists that were set down before anybody is killed: one to be taken over and back, one to be dropped. */
export const BROUGHT = '0b7c6a1e-9d1f-4a52-8a39-2f6f5f1f0d11'
export const UNWANTED = '6c0d5b52-6f6c-4f6a-9f43-0a3c2f1b7e22'

const entries = (name: string): BringEntry[] =>
  [1, 2, 3].map((line) => ({
    line,
    name: `${name} ${line}`,
    phone: '',
    email: '',
    vehicle: {
      plate: `KL ${name.length}${line}`,
      vin: '',
      make: 'Corvane',
      model: 'Nimble',
      colour: 'Oyster',
      colourCode: '',
      shape: 'hatchback',
    },
    past: { day: localDayOrThrow('2025-04-02'), work: 'Wash', priceMinor: 4500 },
  }))

export async function listsSetDown(db: Knex, at: Instant): Promise<void> {
  await setDown(db, { id: BROUGHT, name: 'customers.csv' }, entries('Brought'), at)
  await setDown(db, { id: UNWANTED, name: 'others.csv' }, entries('Unwanted'), at)
}
