export {
  type DueMessage,
  type DueSubject,
  dueMessages,
  dueReach,
  openSeasons,
  type SeasonOpening,
  type Seasons,
  seasonMessage,
} from './due'
export { MESSAGE_STATES, type Message, type MessageEvent, type MessageState } from './message'
export { OCCASION, OCCASIONS, type Occasion } from './occasion'
export type { Proposed } from './proposed'
export {
  type Addressee,
  asksToStop,
  HELD_TEXT,
  type HeldReason,
  nextLoud,
  type QuietHours,
  type Route,
  routeFor,
} from './sending'
export {
  FACT_NAMES,
  type Facts,
  fillIn,
  repairWords,
  TEMPLATE_ERROR_TEXT,
  type Template,
  type TemplateError,
  type Templates,
  unknownFacts,
} from './template'
export { TEMPLATES } from './templates'
