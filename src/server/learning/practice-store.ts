import type { Knex } from 'knex'
import { z } from 'zod'
import { ask } from '@/core/asks'
import type { PersonId } from '@/core/ids'
import type { Grade } from '@/core/practice'
import { PRACTICE_FINDINGS, PRACTICE_KINDS } from '@/core/practice'
import type { Instant } from '@/core/time'
import { instantOrThrow } from '@/core/time'

export const gradeSchema: z.ZodType<Grade> = z.object({
  finding: z.enum(PRACTICE_FINDINGS, ask('practice-film')),
  defects: z.array(
    z.object({
      kind: z.enum(PRACTICE_KINDS),
      severity: z.union([z.literal(1), z.literal(2), z.literal(3)]),
      extentPercent: z.int().min(1).max(100),
      catchesNail: z.boolean(),
    }),
  ),
})

export type KeptGrade = { seed: number; person: PersonId; grade: Grade; gradedAt: Instant }

/** Keeps a grade. Everyone’s first look at a panel is the one that counts; later ones are for the exercise. */
export async function keepGrade(db: Knex, { seed, person, grade, gradedAt }: KeptGrade): Promise<void> {
  await db('practice_grades').insert({ seed, person, grade: JSON.stringify(grade), graded_at: gradedAt })
}

/** The first grade of each person for a panel, in the order they were given. */
export async function gradesOf(db: Knex, seed: number): Promise<KeptGrade[]> {
  const rows = await db('practice_grades').where({ seed }).orderBy('id')
  const kept = rows.map(
    (row): KeptGrade => ({
      seed: row.seed,
      person: row.person,
      grade: gradeSchema.parse(JSON.parse(row.grade)),
      gradedAt: instantOrThrow(row.graded_at),
    }),
  )
  return kept.filter(({ person }, at) => kept.findIndex((each) => each.person === person) === at)
}
