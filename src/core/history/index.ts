export {
  HISTORY_FORMAT,
  type HistoryError,
  type HistoryStay,
  lastDayOf,
  readHistory,
  type VehicleHistory,
  writeHistory,
} from './history-file'
