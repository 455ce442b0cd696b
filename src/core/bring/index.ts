export { guessColumns } from './columns'
export {
  BRING_FIELDS,
  type BringColumns,
  type BringEntry,
  type BringFault,
  type BringField,
  bringEntrySchema,
  FIRST_YEAR,
  LAST_YEAR,
  LONGEST_TEXT,
  ROWS_A_PIECE,
} from './entry'
export type { BroughtCounts, BroughtList } from './list'
export { type BringPlan, type Known, planBring, type Recognised } from './match'
