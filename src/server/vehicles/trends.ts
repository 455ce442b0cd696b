import type { Knex } from 'knex'
import { type Measure, type PanelTrend, type Round, trendOf } from '@/core/aftercare'
import type { JobId, VehicleId } from '@/core/ids'
import {
  type LedgerEntry,
  mean,
  meanFilm,
  NOTHING_TAKEN,
  type Spread,
  spreadOf,
  standardDeviation,
  type Taken,
  takenByPanel,
} from '@/core/survey'
import { dayIn, type Instant } from '@/core/time'
import type { Vehicle } from '@/core/vehicle'
import { isMetal, panelsOfVehicle } from '@/core/vehicle'
import { loadLedger } from './ledger-store'

/** Film and gloss of a vehicle over the years, panel by panel. */

/** A gauge set on the same panel on another day reads this much otherwise, µm and GU (mem). */
const ANOTHER_DAY: Record<Measure, number> = { film: 0.8, gloss: 1 }
const YEAR_MS = 365.25 * 86_400_000

type Reading = { job_id: JobId; phase: 'before' | 'after'; panel: string; value: number; arrive_at: Instant }

async function readingsOf(db: Knex, vehicleId: VehicleId, measure: Measure): Promise<Reading[]> {
  const film = measure === 'film'
  const rows = db(film ? 'film_readings as r' : 'gloss_readings as r')
    .join('jobs', 'jobs.id', 'r.job_id')
    .where('jobs.vehicle_id', vehicleId)
    .orderBy('jobs.arrive_at')
    .select('r.job_id', 'r.phase', 'r.panel', 'jobs.arrive_at')
  if (!film) return rows.select({ value: db.raw('r.gu_x10 / 10.0') })
  return rows
    .where('r.on_edge', 0)
    .where((either) => either.whereNull('r.settled').orWhereNot('r.settled', 'set-aside'))
    .select({ value: db.raw('r.film_um_x10 / 10.0') })
}

/** What was polished off a panel by the time of a round, µm, and how surely: gone from the job on after whose work it was measured. */
function polishedBy({ jobId, phase, day }: Round, panel: string, ledger: readonly LedgerEntry[]): Taken {
  const gone = ledger.filter(
    (entry) => entry.panel === panel && (entry.jobId === jobId ? phase === 'after' : entry.day <= day),
  )
  return takenByPanel(gone)[panel] ?? NOTHING_TAKEN
}

function panelTrend(
  measure: Measure,
  { id, name }: { id: string; name: string },
  readings: readonly Reading[],
  ledger: readonly LedgerEntry[],
  zone: string,
  spread: Spread,
): PanelTrend {
  const own = readings.filter(({ panel }) => panel === id)
  const rounds = roundsOf(own, zone, measure, spread)
  // Polishing raises gloss at once, and a fresh coating misleads the meter: its trend begins with the first round after that.
  const first = measure === 'gloss' ? rounds.findLastIndex(({ phase }) => phase === 'after') + 1 : 0
  const trend = trendOf(
    rounds.slice(first).map((round) => {
      // What was taken off the film is no wear: it is added back, as unsure as it is.
      const gone = measure === 'film' ? polishedBy(round, id, ledger) : NOTHING_TAKEN
      return {
        at: Date.parse(round.day) / YEAR_MS,
        value: round.value + gone.takenUm,
        sd: Math.hypot(round.sd, gone.uncertaintyUm),
      }
    }),
  )
  return { panel: id, name, rounds, ...(trend ? { trend } : {}) }
}

export async function loadTrends(
  db: Knex,
  vehicle: Pick<Vehicle, 'id' | 'shape'>,
  zone: string,
): Promise<Record<Measure, PanelTrend[]>> {
  const ledger = await loadLedger(db, vehicle.id)
  const of = async (measure: Measure) => {
    const readings = await readingsOf(db, vehicle.id, measure)
    const spread = spreadOf(byRound(readings))
    return panelsOfVehicle(vehicle)
      .filter(({ substrate }) => measure === 'gloss' || isMetal(substrate))
      .map((panel) => panelTrend(measure, panel, readings, ledger, zone, spread))
      .filter(({ rounds }) => rounds.length > 0)
  }
  return { film: await of('film'), gloss: await of('gloss') }
}

/** The readings of each round by panel. */
function byRound(readings: readonly Reading[]): Record<string, number[]>[] {
  const rounds = new Map<string, Record<string, number[]>>()
  for (const { job_id, phase, panel, value } of readings) {
    const round = rounds.get(`${job_id} ${phase}`) ?? {}
    rounds.set(`${job_id} ${phase}`, { ...round, [panel]: [...(round[panel] ?? []), value] })
  }
  return [...rounds.values()]
}

/** How surely the mean of one round is known: film by its spots, gloss by its readings. */
const sdOf = (measure: Measure, values: readonly number[], spread: Spread): number =>
  measure === 'film'
    ? meanFilm(values, spread)!.uncertaintyUm
    : values.length < 2
      ? ANOTHER_DAY.gloss
      : standardDeviation(values) / Math.sqrt(values.length)

function roundsOf(readings: readonly Reading[], zone: string, measure: Measure, spread: Spread): Round[] {
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
        sd: Math.hypot(sdOf(measure, values, spread), ANOTHER_DAY[measure]),
      }
    })
    .sort((a, b) =>
      `${a.day}${a.phase === 'after' ? 1 : 0}`.localeCompare(`${b.day}${b.phase === 'after' ? 1 : 0}`),
    )
}
