import type { ForbidId } from './forbidden'
import type { ProcessKey } from './process'

/** A process for one panel: what it takes, µm, and the rule it breaks, where it is not allowed. */
export type PanelWay = { key: ProcessKey; takesUm: number; forbidden?: ForbidId }
