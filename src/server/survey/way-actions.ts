'use server'

import { z } from 'zod'
import { done } from '@/core/answer'
import { aJob, id } from '@/core/inputs'
import { defineReadAction } from '../action/define'
import { findWays } from './ways'

/** How a panel may be worked on this car, and what forbids the rest. */
export const waysOfPanel = defineReadAction({
  name: 'survey.ways-of-panel',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, panel: id }),
  read: async ({ db }, { jobId, panel }) => done(await findWays(db, jobId, panel)),
})
