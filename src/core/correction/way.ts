import type { ForbidId } from './forbidden'
import type { MethodKey } from './method'

/** A method for one panel: what it takes, µm, and the rule it breaks, where it is not allowed. */
export type PanelWay = { key: MethodKey; name: string; takesUm: number; forbidden?: ForbidId }
