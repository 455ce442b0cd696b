'use server'

import { z } from 'zod'
import { done, refuse } from '@/core/answer'
import { ask } from '@/core/asks'
import { toPersonId } from '@/core/ids'
import { compareGrade, PRACTICE_PANELS, practicePanel } from '@/core/practice'
import { defineAction } from '../action/define'
import { loadShop } from '../shop/shop-store'
import { gradeSchema, gradesOf, keepGrade } from './practice-store'

/** Holds a grade against the model and the colleagues, and keeps it. What is on the panel is told only now. */
export const gradePanel = defineAction({
  name: 'practice.grade-panel',
  who: 'team',
  input: z.strictObject({
    seed: z.int().min(1).max(PRACTICE_PANELS),
    person: z.string().min(1, ask('who-looks')).max(80).transform(toPersonId),
    grade: gradeSchema,
  }),
  write: async ({ trx, at }, { seed, person, grade }) => {
    const { setup } = await loadShop(trx)
    if (!setup.people.some(({ id }) => id === person)) return refuse('input', ask('who-looks'), 'person')
    const panel = practicePanel(seed)
    const others = (await gradesOf(trx, seed)).filter((kept) => kept.person !== person)
    await keepGrade(trx, { seed, person, grade, gradedAt: at })
    return done({
      own: compareGrade(panel, grade),
      truth: { finding: panel.finding, defects: panel.defects },
      colleagues: others.map((kept) => {
        const { indexGraded, nearness } = compareGrade(panel, kept.grade)
        const name = setup.people.find(({ id }) => id === kept.person)?.name ?? kept.person
        return { name, indexGraded, nearness }
      }),
    })
  },
})
