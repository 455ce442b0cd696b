export {
  type Act,
  type ActKind,
  CARD_ACTION,
  COAT_STAGES as COAT_ORDER,
  type CoatLog,
  type CoatStage,
  type Entry,
  HIGH_SPOT_REMEDIES,
  type HighSpotRemedy,
  PAUSE_REASONS,
  type PauseReason,
  type Poured,
} from './act'
export { CHECK_IDS, CHECKLISTS, type CheckId, WHEEL_CHECKS } from './checklist'
export {
  type CoatAt,
  type CoatSection,
  coatAt,
  coatSections,
  coatSectionsOf,
  nextFor,
  nextStage,
  stageOf as coatStageOf,
} from './coat-sections'
export { type Conflict, conflictOf, type Doubt } from './conflict'
export { type AirLimits, coatDoubts, type Facts, factConflict, type KnownBottle, timeConflict } from './facts'
export { type HighSpotAdvice, highSpotAdvice, RE_WET_MINUTES } from './high-spot'
export type { LiquidHere } from './liquids'
export { type Pace, type PadState, paceOf, padState, SECTIONS_PER_PAD } from './pace'
export {
  isMissing,
  isOff,
  PART_KINDS,
  PART_PLACES,
  type Part,
  type PartKind,
  type PartPlace,
  partsOff,
} from './parts'
export {
  type CardState,
  cardOf,
  type HighSpot,
  type Pause,
  type ProcessChange,
  pausedMinutes,
  pausedNow,
  type StepWork,
  type Timer,
  withEntry,
  workOn,
} from './state'
export {
  type FlashState,
  flashState,
  secondsLeft,
  type TimerLabel,
  type TimerPreset,
  type TimerState,
  timerState,
  timersFor,
  timerText,
} from './timers'
export { type MachineRecipe, type PanelTask, worklist, workNow } from './worklist'
