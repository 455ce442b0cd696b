export {
  HISTORY_FORMAT,
  type HistoryError,
  type HistoryStay,
  layerPlace,
  readHistory,
  type VehicleHistory,
  writeHistory,
} from './history-file'
