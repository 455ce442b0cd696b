import type { Knex } from 'knex'
import type { Answer } from '@/core/answer'
import { readAsk } from '@/core/asks'
import { asked } from '@/text/en/asks'
import { FIRST_REGION, loadShop } from '../shop/shop-store'

/** What was asked for, in a sentence; any other text as it is. A shop that cannot be read is told it in plain words, too. */
export async function said(db: Knex, text: string): Promise<string> {
  if (!readAsk(text)) return text
  const region = await loadShop(db).then(
    ({ setup }) => setup.region,
    () => FIRST_REGION,
  )
  return asked(region, text)
}

/** An answer as a page is given it. */
export async function inWords<Value>(db: Knex, answer: Answer<Value>): Promise<Answer<Value>> {
  return answer.ok ? answer : { ...answer, message: await said(db, answer.message) }
}
