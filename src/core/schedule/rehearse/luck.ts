import type { Problem } from '../contract/problem'
import type { Random } from '../solver/random'
import { spreadFactor } from './lognormal'

/** The luck of one run: a factor on the minutes of each operation of each job, by their indexes. */
export type Luck = readonly (readonly number[])[]

/** Draws the luck of a run: the same for the same operations of a problem whatever the plan. */
export const drawLuck = ({ jobs }: Pick<Problem, 'jobs'>, random: Random): Luck =>
  jobs.map(({ operations }) => operations.map(({ spread = 0 }) => spreadFactor(random, spread)))
