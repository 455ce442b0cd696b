export {
  HISTORY_FORMAT,
  type HistoryError,
  type HistoryStay,
  readHistory,
  type VehicleHistory,
  writeHistory,
} from './history-file'
