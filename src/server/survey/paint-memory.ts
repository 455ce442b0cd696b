import type { Knex } from 'knex'
import { type PanelGroup, panelGroup, removalUm } from '@/core/correction'
import type { JobId } from '@/core/ids'
import type { Job } from '@/core/job'
import { type Agreement, agreedWork } from '@/core/offer'
import type { Setup } from '@/core/shop'
import {
  believable,
  countedReadings,
  judgeRecord,
  removalWhere,
  type StoredSurvey,
  spreadOf,
} from '@/core/survey'
import {
  type Attempt,
  byClearing,
  byFilm,
  type FilmWitness,
  type KnownCar,
  ofClearing,
  type PaintKey,
  pooled,
  rateOfCar,
  type StudyInput,
} from '@/core/test-spot'
import type { Vehicle } from '@/core/vehicle'
import { jobsByIds } from '../floor/job-store'
import { agreementsOf } from '../quotes/agreement-store'
import { attemptsOfJobs, listAttempts } from './spot-store'
import { loadSurveys } from './survey-store'

/** What the shop remembers of paint like this, from test spots and from finished jobs that were read before and after. */

/** No more jobs than this are looked back on, the latest first. */
const MOST_JOBS = 80

export function paintKeyOf({ make, colour, colourCode, year, paintSystem }: Vehicle): PaintKey {
  return { make, colour, colourCode, paintSystem, ...(year === undefined ? {} : { year }) }
}

/** What the gauge witnesses of one finished job, by group. */
function filmWitnesses(job: Job, agreement: Agreement, survey: StoredSurvey, setup: Setup) {
  const [before, after] = [countedReadings(survey.before), countedReadings(survey.after)]
  const byGroup = new Map<PanelGroup, FilmWitness[]>()
  const work = agreedWork(agreement.summary)
  const spread = spreadOf([before, after])
  for (const judged of judgeRecord(job.vehicle, setup, survey, {}).panels) {
    const { id } = judged.panel
    const between = removalWhere(survey.marked.includes(id))
    const removal = believable(between(before[id] ?? [], after[id] ?? [], spread))
    const table = work[id] ? removalUm(work[id], 1) : 0
    const group = panelGroup(judged)
    if (removal) byGroup.set(group, [...(byGroup.get(group) ?? []), { ...removal, tableUm: table }])
  }
  return byGroup
}

function knownCars(
  job: Job,
  attempts: readonly Attempt[],
  film: ReadonlyMap<PanelGroup, FilmWitness[]>,
  { methods, depths }: Setup,
): KnownCar[] {
  const groups = new Set([...attempts.map(({ group }) => group), ...film.keys()])
  return [...groups].map((group) => {
    const own = attempts.filter((attempt) => attempt.group === group)
    const ofSpots = own.flatMap((attempt) => byFilm(attempt, methods) ?? [])
    const ofMarks = own.flatMap((attempt) => {
      const seen = byClearing(attempt, methods, depths)
      return (seen && ofClearing(seen)) ?? []
    })
    const give = rateOfCar([...ofSpots, ...(film.get(group) ?? [])])
    const ratio = pooled(ofMarks)
    const last = own.at(-1)
    return {
      vehicleId: job.vehicle.id,
      paint: paintKeyOf(job.vehicle),
      group,
      ...(give ? { give } : {}),
      ...(ratio ? { ratio } : {}),
      ...(last?.verdict === 'enough' ? { settled: last.process, recipe: last.steps } : {}),
    }
  })
}

/** All cars with the same kind of paint that taught something, this job left out. */
async function memoryFor(db: Knex, job: Job, setup: Setup): Promise<KnownCar[]> {
  const rows: { id: JobId }[] = await db('jobs')
    .join('vehicles', 'vehicles.id', 'jobs.vehicle_id')
    .where('vehicles.paint_system', job.vehicle.paintSystem)
    .whereNot('jobs.id', job.id)
    .where((either) =>
      either
        .whereNotNull('jobs.handed_over_at')
        .orWhereIn('jobs.id', db('test_spots').whereNull('withdrawn_at').select('job_id')),
    )
    .orderBy('jobs.arrive_at', 'desc')
    .limit(MOST_JOBS)
    .select('jobs.id')
  const ids = rows.map(({ id }) => id)
  const attempts = await attemptsOfJobs(db, ids)
  const agreements = await agreementsOf(db, ids)
  const surveys = await loadSurveys(db, [...agreements.keys()])
  const jobs = new Map((await jobsByIds(db, ids)).map((other) => [other.id, other]))
  return ids.flatMap((id) => {
    const other = jobs.get(id)
    if (!other) return []
    const agreement = other.handedOverAt ? agreements.get(id) : undefined
    const film = agreement
      ? filmWitnesses(other, agreement, surveys.get(id)!, setup)
      : new Map<PanelGroup, FilmWitness[]>()
    return knownCars(other, attempts.get(id) ?? [], film, setup)
  })
}

/** What the paint of a job is judged from before a pad touches it again. */
export async function loadPaintStudy(db: Knex, job: Job, setup: Setup): Promise<StudyInput> {
  return {
    hardness: job.vehicle.hardness,
    paint: paintKeyOf(job.vehicle),
    memory: await memoryFor(db, job, setup),
    methods: setup.methods,
    depths: setup.depths,
    attempts: await listAttempts(db, job.id),
  }
}
