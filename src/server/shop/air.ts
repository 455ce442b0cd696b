import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { type BayClimate, type Sensed, type SensorState, sensorState } from '@/core/climate'
import { type Instant, plusMinutes } from '@/core/time'
import { type ClimateSensor, SimulatedClimateSensor, type Spell } from '@/devices/climate-sensor'

/** The air of the bays, as their sensors tell it. */

/** How far back a trend is looked for, minutes. */
const LOOKED_BACK_MINUTES = 90

export type BayAir = { bay: string; readings: Sensed[]; state: SensorState }

const toSpell = (row: { bay: string; kind: Spell['kind']; from_at: Instant; until_at: Instant }): Spell => ({
  bay: row.bay,
  kind: row.kind,
  from: row.from_at,
  until: row.until_at,
})

/** The shop’s sensors. A real one is put in here. */
export async function climateSensor(db: Knex): Promise<ClimateSensor> {
  return new SimulatedClimateSensor((await db('spells').orderBy('from_at')).map(toSpell))
}

export async function bayAir(db: Knex, bays: readonly string[], now: Instant): Promise<Map<string, BayAir>> {
  const sensor = await climateSensor(db)
  return new Map(
    bays.map((bay) => {
      const readings = sensor.readings(bay, plusMinutes(now, -LOOKED_BACK_MINUTES), now)
      return [bay, { bay, readings, state: sensorState(readings, now) }]
    }),
  )
}

/** The air of a bay where its sensor can be believed. */
export function believed(air: BayAir | undefined): BayClimate | undefined {
  return air?.state.kind === 'believed' ? air.state.sensed.climate : undefined
}

/** Spells of weather and of failing sensors that are on or still to come. */
export async function listSpells(db: Knex, now: Instant): Promise<(Spell & { id: string })[]> {
  const rows = await db('spells').where('until_at', '>', now).orderBy('from_at')
  return rows.map((row) => ({ id: row.id, ...toSpell(row) }))
}

export async function addSpell(db: Knex, { bay, kind, from, until }: Spell): Promise<void> {
  await db('spells').insert({ id: randomUUID(), bay, kind, from_at: from, until_at: until })
}

export async function endSpell(db: Knex, id: string): Promise<void> {
  await db('spells').where({ id }).delete()
}
