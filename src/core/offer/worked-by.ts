import type { MethodKey } from '../correction'
import type { OperationId } from '../ids'

/** By which method a step that is over worked a panel, where that was changed at the car before it ended: by step, then by panel. */
export type WorkedBy = Readonly<Record<string, Readonly<Record<string, MethodKey>>>>

type Agreed = { workedBy?: WorkedBy; processes: Readonly<Record<string, string>> }

/** The method by which a step that is over worked a panel: as changed at the car by then, else as agreed. */
export const methodThen = (
  { workedBy = {}, processes }: Agreed,
  step: OperationId,
  panel: string,
): string | undefined => workedBy[step]?.[panel] ?? processes[panel]
