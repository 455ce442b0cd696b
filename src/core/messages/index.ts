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
  type Template,
  type TemplateError,
  unknownFacts,
} from './template'
