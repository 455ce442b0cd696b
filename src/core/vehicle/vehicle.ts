import type { VehicleId } from '../ids'
import type { Shape } from './bodies'
import type { EarlierTreatment, Storage, Washing } from './life'
import type { Hardness, PaintSystem } from './paint-system'
import type { Finish, PanelsFacts } from './panel-paint'

export type Vehicle = {
  id: VehicleId
  plate: string
  vin: string
  make: string
  model: string
  year?: number
  shape: Shape
  /** Measured, m; where it was not, it is as long and high as its shape usually is. */
  lengthM?: number
  heightM?: number
  colour: string
  colourCode: string
  paintSystem: PaintSystem
  finish?: Finish
  /** Where a panel is not like the rest; absent where all are. */
  panelFacts?: PanelsFacts
  hardness: Hardness
  storage: Storage
  washing: Washing
  yearlyKm?: number
  salted: boolean
  hardWater: boolean
  treatments: EarlierTreatment[]
}
