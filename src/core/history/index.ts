export {
  HISTORY_FORMAT,
  type HistoryError,
  type HistoryStay,
  historyErrorText,
  readHistory,
  type VehicleHistory,
  writeHistory,
} from './history-file'
