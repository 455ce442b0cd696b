export {
  HISTORY_FORMAT,
  type HistoryError,
  type HistoryStay,
  historyErrorText,
  layerPlace,
  readHistory,
  type VehicleHistory,
  writeHistory,
} from './history-file'
