export {
  type ActEntry,
  type CallEntry,
  isLost,
  newIn,
  type PhotoEntry,
  type QueueBatch,
  type QueueEntry,
  type QueueOutcome,
  type QueueReply,
  type SentEntry,
  type Why,
} from './queue'
export { agoMs, type Heard, type Reading, shopTime } from './when'
