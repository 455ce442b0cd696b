'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { version } from '@/core/inputs'
import { progressAt } from '@/core/job'
import { calledOn, crewSchema, type Floor, openJobs } from '@/core/planning'
import { stepTitle } from '@/text/en/step-names'
import { defineAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { CHANGED_MEANWHILE, saveCrew } from './shop-store'

type Named = { id: string; name: string }

/** The first step that still needs somebody or some bay that is about to go. */
function neededStill(floor: Floor, missing: readonly string[]) {
  for (const live of openJobs(floor))
    for (const placed of live.published) {
      const operation = live.plan.operations.find(({ id }) => id === placed.operation)
      if (!operation || progressAt(live, operation, floor.now).kind === 'done') continue
      const needed = [placed.place, ...placed.people].find((id) => missing.includes(id))
      const plate = calledOn(floor).get(live.id)!
      if (needed !== undefined) return { needed, title: operation.title, plate }
    }
  return undefined
}

/** Keeps people, bays and hours. Nobody and nothing that still has work planned is taken away. */
export const keepCrew = defineAction({
  name: 'shop.keep-crew',
  who: 'manage',
  input: z.strictObject({ version, crew: crewSchema }),
  write: async ({ trx, at }, { version: readAt, crew }) => {
    const floor = await loadFloor(trx, at)
    const { people, places } = floor.shop.setup
    const gone = (list: readonly Named[], kept: readonly { id: string }[]) =>
      list.filter(({ id }) => !kept.some((each) => each.id === id)).map(({ id }) => id)
    const still = neededStill(floor, [...gone(people, crew.people), ...gone(places, crew.places)])
    if (still) {
      const called = [...people, ...places].find(({ id }) => id === still.needed)!.name
      return refuse(
        'rule',
        ask('still-planned', {
          name: called,
          title: stepTitle(floor.shop.setup.region, still.title),
          plate: still.plate,
        }),
      )
    }
    if (!(await saveCrew(trx, readAt, crew))) return refuse('stale', CHANGED_MEANWHILE)
    return done({ version: readAt + 1 })
  },
})
