'use server'

import { randomUUID } from 'node:crypto'
import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { frozenWashes, openJobs, takesLonger } from '@/core/planning'
import { everyone } from '@/core/shop'
import { atLocal, dayIn, daysBetween, isLocalDay, localDayOrThrow } from '@/core/time'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { loadShop } from '../shop/shop-store'
import { endOutage } from './outage-store'
import { type Proposal, propose, proposeWork } from './proposal'

/** Who is away for longer does not work here (mem). */
const LONGEST_DAYS = 366

const moment = (what: string) =>
  z.strictObject({
    day: z.string().refine(isLocalDay, `Choose the day ${what}.`),
    time: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, `Type the time ${what}, such as 13:30.`),
  })

const typedOutage = z.strictObject({
  what: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.enum(['person', 'place']),
      id: z.string().min(1, 'Choose who or what it is.'),
    }),
    z.strictObject({ kind: z.literal('air') }),
  ]),
  from: moment('from which it holds'),
  until: moment('until which it holds'),
})
export type TypedOutage = z.input<typeof typedOutage>

export type OutageAnswer =
  | { kind: 'proposed'; proposal: Proposal }
  | { kind: 'refused'; field: 'id' | 'from' | 'until'; message: string }

/** Works out what it would change that somebody is away, a bay is out of use or the air is too damp to coat. Nothing is kept until that plan is taken. */
export async function foresee(typed: TypedOutage): Promise<OutageAnswer> {
  const read = typedOutage.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    const field = issue!.path[0] === 'from' || issue!.path[0] === 'until' ? issue!.path[0] : 'id'
    return { kind: 'refused', field, message: issue!.message }
  }
  const db = await database()
  const { setup } = await loadShop(db)
  const { what } = read.data
  if (
    what.kind !== 'air' &&
    !(what.kind === 'person' ? everyone(setup) : setup.places).some(({ id }) => id === what.id)
  )
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
  const outage = { id: randomUUID(), what, from, until }
  return { kind: 'proposed', proposal: await propose(db, at, outage) }
}

const typedTimes = z.strictObject({
  from: moment('from which it holds'),
  until: moment('until which it holds'),
})

/** Works out what it would change that it freezes: washes outside become washes without a hose inside. */
export async function foreseeFrost(typed: Pick<TypedOutage, 'from' | 'until'>): Promise<OutageAnswer> {
  const read = typedTimes.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    const field = issue!.path[0] === 'until' ? 'until' : 'from'
    return { kind: 'refused', field, message: issue!.message }
  }
  const db = await database()
  const at = now()
  const floor = await loadFloor(db, at)
  const { timezone } = floor.shop.setup
  const instantOf = ({ day, time }: TypedOutage['from']) => atLocal(timezone, localDayOrThrow(day), time)
  const [from, until] = [instantOf(read.data.from), instantOf(read.data.until)]
  if (until <= from) return { kind: 'refused', field: 'until', message: 'It must end after it begins.' }
  const changes = frozenWashes(openJobs(floor), { from, until }, at)
  if (changes.length === 0)
    return { kind: 'refused', field: 'from', message: 'No wash outside is planned for that time.' }
  return { kind: 'proposed', proposal: await proposeWork(db, at, changes, 'frost') }
}

const typedLonger = z.strictObject({
  job: z.string(),
  operation: z.string().min(1, 'Choose the step.'),
  minutes: z
    .number('Type how many minutes, such as 90.')
    .int('Type whole minutes, such as 90.')
    .min(-600, 'That is more than the step can take.')
    .max(2880, 'Longer than two days: agree on something else with the customer first.')
    .refine((minutes) => minutes !== 0, 'Type how many minutes, such as 90.'),
})
export type TypedLonger = z.input<typeof typedLonger>

/** Works out what it would change that a step takes longer than was reckoned, or less long. */
export async function foreseeLonger(typed: TypedLonger): Promise<OutageAnswer> {
  const read = typedLonger.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return { kind: 'refused', field: issue!.path[0] === 'minutes' ? 'from' : 'id', message: issue!.message }
  }
  const db = await database()
  const at = now()
  const { job, operation, minutes } = read.data
  const live = openJobs(await loadFloor(db, at)).find(({ id }) => id === job)
  const change = live && takesLonger(live, operation, minutes)
  if (!change)
    return {
      kind: 'refused',
      field: 'id',
      message: 'This step is no longer to be done. Load the page again.',
    }
  return { kind: 'proposed', proposal: await proposeWork(db, at, [change], 'a step takes longer') }
}

/** Somebody is back, a bay is in use again, or the air is dry. The plan that stands stays until it is planned anew. */
export async function isBack(id: string): Promise<void> {
  await endOutage(await database(), id, now())
  revalidatePath('/', 'layout')
}
