import type { Migration } from './migration'

/**
 * A shop names its tax and may have several rates of it; a customer may be charged otherwise than all others. What was one rate
 * holds for everything, under the name it had on papers.
 */
export const taxes: Migration = {
  name: '0019-taxes',
  statements: [
    `ALTER TABLE customers ADD COLUMN tax TEXT NOT NULL DEFAULT 'as-usual' CHECK (tax IN ('as-usual', 'on-top', 'none'))`,
    `UPDATE shop SET setup = json_remove(json_set(setup, '$.rates.tax', json_object(
      'name', CASE
        WHEN json_extract(setup, '$.region.locale') = 'en-US' THEN 'Sales tax'
        WHEN json_extract(setup, '$.region.locale') LIKE 'de%' THEN 'MwSt.'
        WHEN json_extract(setup, '$.region.locale') LIKE 'fr%' THEN 'TVA'
        ELSE 'VAT' END,
      'percent', json_object(
        'work', json_extract(setup, '$.rates.taxPercent'),
        'products', json_extract(setup, '$.rates.taxPercent'),
        'subcontractors', json_extract(setup, '$.rates.taxPercent')),
      'prices', 'before-tax')), '$.rates.taxPercent')
    WHERE json_extract(setup, '$.rates.taxPercent') IS NOT NULL`,
  ],
}
