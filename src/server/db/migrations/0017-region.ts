import { plainRegion } from '@/core/region'
import type { Migration } from './migration'

const { locale } = plainRegion('Europe/Dublin')

const METRIC = `json('{"depth":"um","volume":"ml","water":"l","temperature":"c","distance":"km","area":"m2"}')`

/** A shop of before wrote as people in Ireland do, whatever its zone and currency. */
export const region: Migration = {
  name: '0017-region',
  statements: [
    `UPDATE shop SET setup = json_remove(
       json_set(setup, '$.region', json_object(
         'locale', '${locale}',
         'timezone', json_extract(setup, '$.timezone'),
         'currency', json_extract(setup, '$.currency'),
         'clock', '24-hour',
         'units', ${METRIC},
         'language', 'en'
       )),
       '$.timezone', '$.currency'
     )
     WHERE json_extract(setup, '$.timezone') IS NOT NULL`,
  ],
}
