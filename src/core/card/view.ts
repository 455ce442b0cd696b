import type { MethodKey } from '../correction'
import type { JobId, OperationId, PersonId } from '../ids'
import type { JobKind, LayerLog, LiveJob } from '../job'
import type { Photo } from '../photo'
import type { Region } from '../region'
import type { Instant } from '../time'
import type { PanelsFacts, Shape } from '../vehicle'
import type { PlannedStep } from '../wash'
import type { Entry } from './act'
import type { AtPanel } from './at-panel'
import type { StepSheet } from './sheets'

/** A section that flashes on another car. Seconds of flash at the air of its bay. */
export type WetElsewhere = {
  plate: string
  panel: string
  section: number
  at: Instant
  by: PersonId
  flash: { min: number; max: number }
}

/** A job card as it travels to the tablet: plain data, from which the card shows and goes on by itself. */
export type CardView = {
  now: Instant
  region: Region
  job: { id: JobId; plate: string; shape: Shape; panelFacts?: PanelsFacts; kind: JobKind }
  live: LiveJob
  entries: Entry[]
  sheets: Record<string, StepSheet>
  /** The process of each panel, as agreed or as changed at the car. */
  processes: Record<string, MethodKey>
  /** Panels that wait for the customer's word on what was changed there; absent where none does. */
  waits?: string[]
  /** Those from outside are subcontractors: at the car only where it waits for them. */
  people: { id: PersonId; name: string; outside?: boolean }[]
  layers: LayerLog[]
  /** The wash as it was planned, with what to pour; empty until that was done. */
  wash: PlannedStep[]
  photos: Photo[]
  /** What one must know at each panel; absent on a card that was fetched before that was told. */
  atPanels?: Record<string, AtPanel>
  /** Sections that flash on other cars, by whom: whoever applied them is at two cars. */
  wetElsewhere?: WetElsewhere[]
  /** The step before which it is to be washed again, and when it was washed last. */
  washOld?: { before: OperationId; washedAt: Instant }
}
