'use server'

import { z } from 'zod'
import { type Comparison, compareGrade, PRACTICE_PANELS, practicePanel } from '@/core/practice'
import type { Defect } from '@/core/survey'
import { now } from '../clock'
import { database } from '../db/connection'
import { loadShop } from '../shop/shop-store'
import { gradeSchema, gradesOf, keepGrade } from './practice-store'

export type Colleague = { name: string; indexGraded: number; nearness: number }
export type GradeAnswer =
  | {
      kind: 'graded'
      own: Comparison
      truth: { finding: string; defects: Defect[] }
      colleagues: Colleague[]
    }
  | { kind: 'refused'; message: string }

const schema = z.object({
  seed: z.int().min(1).max(PRACTICE_PANELS),
  person: z.string().min(1, 'Say who is looking.'),
  grade: gradeSchema,
})

/** Holds a grade against the model and the colleagues, and keeps it. What is on the panel is told only now. */
export async function gradePanel(input: unknown): Promise<GradeAnswer> {
  const checked = schema.safeParse(input)
  if (!checked.success) return { kind: 'refused', message: checked.error.issues[0]!.message }
  const { seed, person, grade } = checked.data
  const db = await database()
  const { setup } = await loadShop(db)
  if (!setup.people.some(({ id }) => id === person))
    return { kind: 'refused', message: 'Say who is looking.' }
  const panel = practicePanel(seed)
  const others = (await gradesOf(db, seed)).filter((kept) => kept.person !== person)
  await keepGrade(db, { seed, person, grade, gradedAt: now() })
  return {
    kind: 'graded',
    own: compareGrade(panel, grade),
    truth: { finding: panel.finding, defects: panel.defects },
    colleagues: others.map((kept) => {
      const { indexGraded, nearness } = compareGrade(panel, kept.grade)
      return {
        name: setup.people.find(({ id }) => id === kept.person)?.name ?? kept.person,
        indexGraded,
        nearness,
      }
    }),
  }
}
