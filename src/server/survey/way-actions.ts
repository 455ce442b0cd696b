'use server'

import { database } from '../db/connection'
import { findWays, type PanelWay } from './ways'

/** How a panel may be worked on this car, and what forbids the rest. */
export async function waysOfPanel(jobId: string, panel: string): Promise<PanelWay[]> {
  return findWays(await database(), jobId, panel)
}
