'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { keptMethod } from '@/core/correction'
import { aJob, id } from '@/core/inputs'
import { asSeenBy, eyesOf } from '@/core/staff'
import { defineReadAction } from '../action/define'
import { loadFloor } from '../floor/floor'
import { groupOf, previewMethods, spared } from '../quotes/methods-changed'
import { loadShop } from '../shop/shop-store'
import { staffRules } from '../staff/sessions'
import { findWays } from './ways'

/** How a panel may be worked on this car, what forbids the rest, and which polished panels are one with it. */
export const waysOfPanel = defineReadAction({
  name: 'survey.ways-of-panel',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, panel: id }),
  read: async ({ db }, { jobId, panel }) =>
    done({
      ways: await findWays(db, jobId, panel),
      group: await groupOf(db, await loadShop(db), jobId, panel),
    }),
})

/** What another method for these panels comes to, in time, money and day; and which of them can spare it. */
export const previewMethod = defineReadAction({
  name: 'survey.preview-method',
  who: 'floor',
  input: z.strictObject({ jobId: aJob, panels: z.array(id).min(1).max(60), process: keptMethod }),
  read: async ({ db, at, caller }, { jobId, panels, process }) => {
    const able = await spared(db, jobId, panels, process)
    const floor = await loadFloor(db, at)
    const preview = able.length > 0 ? await previewMethods(db, floor, jobId, able, process) : undefined
    if (!preview) return refuse('gone', ask('no-agreed-work'))
    return done(asSeenBy(eyesOf(caller.role, await staffRules(db)), { ...preview, panels: able }))
  },
})
