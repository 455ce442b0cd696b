import { z } from 'zod'
import { dayIn, plusMonths } from '@/core/time'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { publicHolidays, statesOf } from '@/server/shop/holidays'
import { loadShop } from '@/server/shop/shop-store'

/** So far ahead a shop closes days (mem). */
const MONTHS_AHEAD = 24

const asked = z.strictObject({
  country: z.string().regex(/^[A-Z]{2}$/),
  state: z.string().max(12).default(''),
})

/** Public holidays of a country or of a part of it, from today on, with the parts that have their own. */
export async function GET(request: Request) {
  const read = asked.safeParse(Object.fromEntries(new URL(request.url).searchParams))
  if (!read.success) return new Response('Choose a country.', { status: 400 })
  const { country, state } = read.data
  const states = statesOf(country)
  const { region } = (await loadShop(await database())).setup
  const today = dayIn(region.timezone, now())
  // A part of another country is asked for while one changes over to it.
  const known = states.some(({ code }) => code === state) ? state : ''
  return Response.json({
    states,
    days: publicHolidays(country, known, today, plusMonths(today, MONTHS_AHEAD)),
  })
}
