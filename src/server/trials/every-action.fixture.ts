import type { z } from 'zod'
import { definitionOf } from '../action/define'
import type { ActionDefinition } from '../action/perform'
import { askForVisit } from '../aftercare/owner-wish'
import * as visits from '../aftercare/visit-actions'
import * as backups from '../backup/backup-actions'
import * as lists from '../bring/bring-actions'
import * as going from '../handover/going-actions'
import * as handover from '../handover/handover-actions'
import * as intake from '../intake/intake-actions'
import * as known from '../intake/known-actions'
import * as learning from '../learning/learning-actions'
import * as practice from '../learning/practice-actions'
import * as messages from '../messages/message-actions'
import { lookingAtContact, takingOut } from '../people/looked'
import * as people from '../people/people-actions'
import * as photos from '../photos/photo-actions'
import { takePhoto } from '../photos/take-photo'
import * as enquiries from '../planning/enquiry-actions'
import * as feeds from '../planning/feed-actions'
import * as holds from '../planning/hold-actions'
import * as moves from '../planning/move-actions'
import * as outages from '../planning/outage-actions'
import * as plans from '../planning/plan-actions'
import * as watched from '../planning/promise-actions'
import * as refused from '../queue/refused-actions'
import * as agreeing from '../quotes/agree-actions'
import * as changes from '../quotes/change-actions'
import * as consents from '../quotes/consent-actions'
import * as quotes from '../quotes/quote-actions'
import * as crew from '../shop/crew-actions'
import * as devices from '../shop/device-actions'
import * as methods from '../shop/method-actions'
import * as packages from '../shop/package-actions'
import * as prices from '../shop/price-actions'
import * as products from '../shop/product-actions'
import * as ways from '../shop/shop-actions'
import * as theme from '../shop/theme-actions'
import { signingOut } from '../staff/sign-in'
import * as signing from '../staff/sign-in-actions'
import * as staff from '../staff/staff-actions'
import * as stockOrders from '../stock/order-actions'
import * as stock from '../stock/stock-actions'
import * as promises from '../survey/sign-off-actions'
import * as spots from '../survey/spot-actions'
import * as surveys from '../survey/survey-actions'
import * as washes from '../survey/wash-actions'
import * as panelWays from '../survey/way-actions'
import * as histories from '../vehicles/history-actions'
import * as ledger from '../vehicles/ledger-actions'
import * as facts from '../vehicles/panel-facts-actions'
import * as sizes from '../vehicles/size-actions'
import * as tried from '../what-if/what-if-actions'
import * as away from '../work/away-actions'
import * as confirming from '../work/confirm-actions'
import * as notes from '../work/note-actions'
import * as againWashes from '../work/wash-again-actions'

export type Definition = ActionDefinition<z.ZodType, unknown, unknown>

const MODULES = [
  people,
  confirming,
  away,
  lists,
  backups,
  visits,
  going,
  handover,
  intake,
  known,
  learning,
  practice,
  messages,
  photos,
  enquiries,
  feeds,
  holds,
  moves,
  outages,
  watched,
  plans,
  refused,
  agreeing,
  changes,
  consents,
  quotes,
  crew,
  devices,
  packages,
  products,
  methods,
  prices,
  ways,
  theme,
  stock,
  stockOrders,
  signing,
  staff,
  promises,
  spots,
  surveys,
  washes,
  againWashes,
  notes,
  panelWays,
  histories,
  ledger,
  sizes,
  facts,
  tried,
]

/** Every action that writes, by its name. */
export const EVERY_ACTION: ReadonlyMap<string, Definition> = new Map(
  [
    ...MODULES.flatMap((module) => Object.values(module)).flatMap((action) => definitionOf(action) ?? []),
    // These are called from routes of their own.
    takePhoto as unknown as Definition,
    lookingAtContact as unknown as Definition,
    takingOut as unknown as Definition,
    askForVisit as unknown as Definition,
    signingOut as unknown as Definition,
  ].map((definition) => [definition.name, definition]),
)
