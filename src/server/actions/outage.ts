'use server'

import { randomUUID } from 'node:crypto'
import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { atLocal, dayIn, daysBetween, isLocalDay, localDayOrThrow } from '@/core/time'
import { now } from '../clock'
import { database } from '../db'
import { endOutage } from '../outage-store'
import { type Proposal, propose } from '../proposal'
import { everyone, loadShop } from '../shop-store'

/** Who is away for longer does not work here (mem). */
const LONGEST_DAYS = 366

const moment = (what: string) =>
  z.strictObject({
    day: z.string().refine(isLocalDay, `Choose the day ${what}.`),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, `Type the time ${what}, such as 13:30.`),
  })

const typedOutage = z.strictObject({
  kind: z.enum(['person', 'place']),
  id: z.string().min(1, 'Choose who or what it is.'),
  from: moment('from which it holds'),
  until: moment('until which it holds'),
})
export type TypedOutage = z.input<typeof typedOutage>

export type OutageAnswer =
  | { kind: 'proposed'; proposal: Proposal }
  | { kind: 'refused'; field: 'id' | 'from' | 'until'; message: string }

/** Works out what it would change that somebody is away or a bay is out of use. Nothing is kept until that plan is taken. */
export async function foresee(typed: TypedOutage): Promise<OutageAnswer> {
  const read = typedOutage.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    const field = issue!.path[0] === 'from' || issue!.path[0] === 'until' ? issue!.path[0] : 'id'
    return { kind: 'refused', field, message: issue!.message }
  }
  const db = await database()
  const { setup } = await loadShop(db)
  const { kind, id } = read.data
  const known = kind === 'person' ? everyone(setup) : setup.places
  if (!known.some((each) => each.id === id))
    return { kind: 'refused', field: 'id', message: 'This is no longer in the shop. Load the page again.' }
  const instantOf = ({ day, time }: TypedOutage['from']) =>
    atLocal(setup.timezone, localDayOrThrow(day), time)
  const [from, until] = [instantOf(read.data.from), instantOf(read.data.until)]
  const at = now()
  if (until <= from) return { kind: 'refused', field: 'until', message: 'It must end after it begins.' }
  if (until <= at)
    return { kind: 'refused', field: 'until', message: 'This is already over; it changes no plan.' }
  if (daysBetween(dayIn(setup.timezone, from), dayIn(setup.timezone, until)) > LONGEST_DAYS)
    return { kind: 'refused', field: 'until', message: 'Longer than a year: change who works here instead.' }
  const outage = { id: randomUUID(), what: { kind, id }, from, until }
  return { kind: 'proposed', proposal: await propose(db, at, outage) }
}

/** Somebody is back, or a bay is in use again. The plan that stands stays until it is planned anew. */
export async function isBack(id: string): Promise<void> {
  await endOutage(await database(), id, now())
  revalidatePath('/', 'layout')
}
