import type { OtherSurface } from '../coating'
import type { OperationId, ProductId } from '../ids'
import type { ExtraKey } from './extras'
import type { Skill, VendorSkill } from './skill'
import type { StepName } from './step-name'
import type { AwayThing } from './vendor'

/** What a job is made of: its operations, how they follow one another, and where the car stands meanwhile. */

export const OPERATION_KINDS = [
  'wash',
  'mask',
  'cut',
  'refine',
  'polish',
  'wipe',
  'surface',
  'layer',
  'hold',
  'extra',
  'vendor',
  'look',
  'finish',
] as const
export type OperationKind = (typeof OPERATION_KINDS)[number]

/** One thing that is done to a vehicle, or waited for. Minutes are estimates until it is done. */
export type PlannedOperation = {
  id: OperationId
  kind: OperationKind
  title: StepName
  minutes: number
  mode: 'solid' | 'pausable' | 'unattended'
  people: number
  skill?: Skill | VendorSkill
  /** For a layer: its number from 1, and the product. For a hold: the product it waits for. */
  layer?: number
  productId?: ProductId
  surface?: OtherSurface
  extra?: ExtraKey
  vendorId?: string
  /** What leaves the shop for it: it runs from going out to being back, on the days of whoever has it. */
  away?: AwayThing
  /** Panels it is done to, where that is not the whole car. */
  panels?: string[]
}

export type JobLink = { from: OperationId; to: OperationId; min: number; max?: number }
export type JobStay = { id: string; kind: string; operations: OperationId[] }
export type JobPlan = { operations: PlannedOperation[]; links: JobLink[]; stays: JobStay[] }

/** Minutes of the shop’s own hands: what two do together counts twice; a wait, and what others do, not at all. */
export const attendedMinutes = (operations: readonly PlannedOperation[]): number =>
  operations.reduce(
    (sum, { kind, mode, minutes, people }) =>
      sum + (mode === 'unattended' || kind === 'vendor' ? 0 : minutes * people),
    0,
  )
