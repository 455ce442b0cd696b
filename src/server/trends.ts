import type { Knex } from 'knex'
import { type Trend, trendOf } from '@/core/aftercare'
import { mean, standardError } from '@/core/survey'
import { dayIn, type Instant, type LocalDay } from '@/core/time'
import { isMetal, panelsOf } from '@/core/vehicle'
import { loadLedger } from './ledger-store'
import type { Vehicle } from './vehicle-store'

/** Film and gloss of a vehicle over the years, panel by panel. */

export type Measure = 'film' | 'gloss'

export type Round = { day: LocalDay; phase: 'before' | 'after'; jobId: string; value: number; sd: number }

export type PanelTrend = {
  panel: string
  name: string
  rounds: Round[]
  /** Of the film: what is left once all that was polished off is added back. Of gloss: as it was read since it was coated. */
  trend?: Trend
}

/** A gauge set on the same panel on another day reads this much otherwise, µm and GU (mem). */
const ANOTHER_DAY: Record<Measure, number> = { film: 0.8, gloss: 1 }
const YEAR_MS = 365.25 * 86_400_000

type Reading = { job_id: string; phase: 'before' | 'after'; panel: string; value: number; arrive_at: Instant }

async function readingsOf(db: Knex, vehicleId: string, measure: Measure): Promise<Reading[]> {
  const film = measure === 'film'
  const rows = db(film ? 'film_readings as r' : 'gloss_readings as r')
    .join('jobs', 'jobs.id', 'r.job_id')
    .where('jobs.vehicle_id', vehicleId)
    .orderBy('jobs.arrive_at')
    .select('r.job_id', 'r.phase', 'r.panel', 'jobs.arrive_at')
  if (!film) return rows.select({ value: db.raw('r.gu_x10 / 10.0') })
  return rows
    .where((either) => either.whereNull('r.settled').orWhereNot('r.settled', 'set-aside'))
    .select({ value: db.raw('r.film_um_x10 / 10.0') })
}

export async function loadTrends(
  db: Knex,
  vehicle: Vehicle,
  zone: string,
): Promise<Record<Measure, PanelTrend[]>> {
  const ledger = await loadLedger(db, vehicle.id)
  const panels = panelsOf(vehicle.shape)
  const trends = {} as Record<Measure, PanelTrend[]>
  for (const measure of ['film', 'gloss'] as const) {
    const readings = await readingsOf(db, vehicle.id, measure)
    trends[measure] = panels
      .filter(({ substrate }) => measure === 'gloss' || isMetal(substrate))
      .map(({ id, name }) => {
        const rounds = roundsOf(
          readings.filter(({ panel }) => panel === id),
          zone,
          ANOTHER_DAY[measure],
        )
        // What was taken off is no wear: it is added back from the job on after which it was gone.
        const goneBy = (round: Round) =>
          measure === 'gloss'
            ? 0
            : ledger
                .filter(
                  ({ panel, day, jobId }) =>
                    panel === id && (jobId === round.jobId ? round.phase === 'after' : day <= round.day),
                )
                .reduce((sum, { removedUm }) => sum + Math.max(0, removedUm), 0)
        const since = measure === 'gloss' ? rounds.findLastIndex(({ phase }) => phase === 'after') : 0
        const points = rounds.slice(Math.max(0, since)).map((round) => ({
          at: Date.parse(round.day) / YEAR_MS,
          value: round.value + goneBy(round),
          sd: round.sd,
        }))
        const trend = trendOf(points)
        return { panel: id, name, rounds, ...(trend ? { trend } : {}) }
      })
      .filter(({ rounds }) => rounds.length > 0)
  }
  return trends
}

function roundsOf(readings: readonly Reading[], zone: string, anotherDay: number): Round[] {
  const keys = [...new Set(readings.map(({ job_id, phase }) => `${job_id} ${phase}`))]
  return keys
    .map((key) => {
      const own = readings.filter(({ job_id, phase }) => `${job_id} ${phase}` === key)
      const values = own.map(({ value }) => value)
      const { job_id: jobId, phase, arrive_at } = own[0]!
      return {
        jobId,
        phase,
        day: dayIn(zone, arrive_at),
        value: mean(values),
        sd: Math.hypot(standardError(values) ?? anotherDay, anotherDay),
      }
    })
    .sort((a, b) =>
      `${a.day}${a.phase === 'after' ? 1 : 0}`.localeCompare(`${b.day}${b.phase === 'after' ? 1 : 0}`),
    )
}
