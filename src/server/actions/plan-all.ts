'use server'

import { revalidatePath } from 'next/cache'
import { now } from '../clock'
import { database } from '../db'
import { replan } from '../planning'

/** Plans everything not yet begun anew. Says in words what came of it. */
export async function planAll(): Promise<string> {
  const planned = await replan(await database(), now(), 'planned anew')
  revalidatePath('/', 'layout')
  switch (planned.schedule.status) {
    case 'optimal':
      return 'Planned. No plan can be better.'
    case 'feasible':
      return 'Planned.'
    case 'infeasible':
      return 'Not everything found room. The reasons stand below.'
  }
}
