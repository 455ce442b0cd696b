import type { PersonId } from '../../ids'
import type { Judged, Problem } from '../contract/problem'

/** Whose hands a judgement should not be in: of whoever is given these operations, and of these people. */
export type Judging = { operations: readonly number[]; people: readonly number[] }

/** The operation that judges others, and who could do it. */
export type Judge = { index: number; skilled: readonly number[]; judges: Judging }

/** The judged work by index: of an operation under way, what is left of it. */
export function judgedBy(
  job: Problem['jobs'][number],
  judged: Judged,
  personIndex: ReadonlyMap<PersonId, number>,
): Judging {
  const of = new Set<string>(judged.operations)
  return {
    operations: job.operations.flatMap(({ id, restOf }, at) => (of.has(restOf ?? id) ? [at] : [])),
    people: judged.people.flatMap((person) => personIndex.get(person) ?? []),
  }
}
