'use server'

import { revalidatePath } from 'next/cache'
import { z } from 'zod'
import { progressAt } from '@/core/job'
import { crewSchema, openJobs, type TypedCrew } from '@/core/planning'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadFloor } from '../floor/floor'
import { saveCrew } from './shop-store'

export type CrewAnswer =
  | { kind: 'kept'; version: number }
  /** `path` leads to the field, as in `people.0.week.mon`. */
  | { kind: 'refused'; message: string; path: string }

/** Keeps people, bays and hours. Nobody and nothing that still has work planned is taken away. */
export async function keepCrew(version: number, typed: TypedCrew): Promise<CrewAnswer> {
  const readAt = z.int().parse(version)
  const read = crewSchema.safeParse(typed)
  if (!read.success) {
    const [issue] = read.error.issues
    return { kind: 'refused', message: issue!.message, path: issue!.path.join('.') }
  }
  const db = await database()
  const floor = await loadFloor(db, now())
  const { people, places } = floor.shop.setup
  const gone = (list: readonly { id: string }[], kept: readonly { id: string }[]) =>
    list.filter(({ id }) => !kept.some((each) => each.id === id)).map(({ id }) => id)
  const missing = [...gone(people, read.data.people), ...gone(places, read.data.places)]
  for (const live of openJobs(floor))
    for (const placed of live.published) {
      const operation = live.plan.operations.find(({ id }) => id === placed.operation)
      if (!operation || progressAt(live, operation, floor.now).kind === 'done') continue
      const needed = [placed.place, ...placed.people].find((id) => missing.includes(id))
      if (needed === undefined) continue
      const called = [...people, ...places].find(({ id }) => id === needed)!.name
      const plate = floor.jobs.find(({ job }) => job.id === live.id)?.job.vehicle.plate
      return {
        kind: 'refused',
        path: '',
        message: `${called} still has “${operation.title}” of ${plate} planned. Say that ${called} is out, take the new plan, and then take ${called} away here.`,
      }
    }
  if (!(await saveCrew(db, readAt, read.data)))
    return {
      kind: 'refused',
      path: '',
      message:
        'Somebody else has changed the set-up meanwhile. Load the page again; copy what you typed first.',
    }
  revalidatePath('/', 'layout')
  return { kind: 'kept', version: readAt + 1 }
}
