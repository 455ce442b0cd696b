import { initial } from './0001-initial'
import { visits } from './0002-visits'
import { quotes } from './0003-quotes'
import { proposals } from './0004-proposals'
import { outages } from './0005-outages'
import { moves } from './0006-moves'
import { changedWork } from './0007-changed-work'
import { dampAir } from './0008-damp-air'
import { atTheCar } from './0009-at-the-car'
import { yearsAfter } from './0010-years-after'
import { messages } from './0011-messages'
import { lessons } from './0012-lessons'
import { broughtHistories } from './0013-brought-histories'
import { actionJournal } from './0014-action-journal'
import { refusedEntries } from './0015-refused-entries'
import { actsOfATablet } from './0016-acts-of-a-tablet'
import { region } from './0017-region'
import { toldQuotes } from './0018-told-quotes'
import { taxes } from './0019-taxes'
import { vehicleSize } from './0020-vehicle-size'
import { broughtLists } from './0021-brought-lists'
import { careChecked } from './0022-care-checked'
import { pitchInLanguages } from './0023-pitch-in-languages'
import { inspectedPanels } from './0024-inspected-panels'
import { carAsItIs } from './0025-car-as-it-is'
import { markedSpots } from './0026-marked-spots'
import { panelConsents } from './0027-panel-consents'
import { secondInspection } from './0028-second-inspection'
import { whatWasFound } from './0029-what-was-found'
import { changes } from './0030-changes'
import { away } from './0031-away'
import { letGo } from './0032-let-go'
import { lateBack } from './0033-late-back'
import { stores } from './0034-stores'
import { photoShows } from './0035-photo-shows'
import { stockOrders } from './0036-stock-orders'
import { setPrice } from './0037-set-price'
import { chances } from './0038-chances'
import { moreOutages } from './0039-more-outages'
import { events } from './0040-events'
import { holds } from './0041-holds'
import { shopTrials } from './0042-shop-trials'
import { staff } from './0043-staff'
import { feeds } from './0044-feeds'
import { noTokenInMessages } from './0045-no-token-in-messages'
import { pairingCodes } from './0046-pairing-codes'
import { people } from './0047-people'
import { toConfirm } from './0048-to-confirm'
import { rowChanges } from './0049-row-changes'
import { handedOn } from './0050-handed-on'
import { changesOfARow } from './0051-changes-of-a-row'
import { moreRowChanges } from './0052-more-row-changes'
import { whichOfMany } from './0053-which-of-many'
import type { Migration } from './migration'

/** In the order in which they run. A landed step is never changed, only followed by another. */
export const MIGRATIONS: readonly Migration[] = [
  initial,
  visits,
  quotes,
  proposals,
  outages,
  moves,
  changedWork,
  dampAir,
  atTheCar,
  yearsAfter,
  messages,
  lessons,
  broughtHistories,
  actionJournal,
  refusedEntries,
  actsOfATablet,
  region,
  toldQuotes,
  taxes,
  vehicleSize,
  broughtLists,
  careChecked,
  pitchInLanguages,
  inspectedPanels,
  carAsItIs,
  markedSpots,
  panelConsents,
  secondInspection,
  whatWasFound,
  changes,
  away,
  letGo,
  lateBack,
  stores,
  photoShows,
  stockOrders,
  setPrice,
  chances,
  moreOutages,
  events,
  holds,
  shopTrials,
  staff,
  feeds,
  noTokenInMessages,
  pairingCodes,
  people,
  toConfirm,
  rowChanges,
  handedOn,
  changesOfARow,
  moreRowChanges,
  whichOfMany,
]
export { type Migration, migrate, UnknownHistory } from './migration'
