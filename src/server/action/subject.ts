import type { Knex } from 'knex'

/** What an action was on: the job and the vehicle it names, in what was sent or in what it answered. */

type Named = { job_id?: string; vehicle_id?: string }

const MOST = 80
const word = (value: unknown) =>
  typeof value === 'string' && value.length > 0 && value.length <= MOST ? value : undefined

function namedIn(value: unknown): Named {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return {}
  const known = value as Record<string, unknown>
  const job = word(known.jobId) ?? word(known.job)
  const vehicle = word(known.vehicleId) ?? word(known.vehicle)
  return { ...(job ? { job_id: job } : {}), ...(vehicle ? { vehicle_id: vehicle } : {}) }
}

/** The job and vehicle of an action, by its input first and then by its answer. */
export const subjectOf = (input: unknown, answered: unknown): Named => ({
  ...namedIn(answered),
  ...namedIn(input),
})

/** The one job, or the one vehicle, whose record was changed under no entry yet: what was sent may name neither, such as to void a payment. */
export async function subjectOfChanges(trx: Knex): Promise<Named> {
  const changed = (table: 'jobs' | 'vehicles'): Promise<string[]> =>
    trx('row_changes')
      .join(table, `${table}.id`, 'row_changes.row_key')
      .whereNull('row_changes.position')
      .distinct(`${table}.id`)
      .limit(2)
      .pluck(`${table}.id`)
  const [jobs, vehicles] = [await changed('jobs'), await changed('vehicles')]
  if (jobs.length === 1) return { job_id: jobs[0]! }
  return jobs.length === 0 && vehicles.length === 1 ? { vehicle_id: vehicles[0]! } : {}
}
