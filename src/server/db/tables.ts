// Written by `npm run tables` from the database that the migrations make; a test holds it to that.
import type { Knex } from 'knex'
import type {
  BayId,
  BottleId,
  CustomerId,
  JobId,
  MessageId,
  OperationId,
  PersonId,
  ProductId,
  VehicleId,
} from '@/core/ids'
import type { Instant, LocalDay } from '@/core/time'

/**
 * What each table holds. Moments and days come out as text, to be read where the row becomes a noun, and go in as what they
 * are; ids of nouns and choices from a few are what the database lets nothing else be.
 */

/** A row as it is written: moments and days as what they are. */
type In<Row, Moments extends keyof Row, Days extends keyof Row> = {
  [Column in keyof Row]: Column extends Moments
    ? Instant | Extract<Row[Column], null>
    : Column extends Days
      ? LocalDay | Extract<Row[Column], null>
      : Row[Column]
}

/** What an insert may leave to the database: what may be empty, or has a value of its own. */
type Written<Row, Left extends keyof Row> = Omit<Row, Left> & Partial<Pick<Row, Left>>

/** What a change sets: values, or what the database works out from those that stand. */
type Changed<Row> = { [Column in keyof Row]?: Row[Column] | Knex.Raw }

export type AccountsRow = {
  id: string
  name: string
  plain_name: string
  role: 'owner' | 'manager' | 'counter' | 'technician' | 'trainee'
  person_id: string | null
  passphrase: string | null
  pin: string | null
  made_at: string
  closed_at: string | null
}

type AccountsIn = In<AccountsRow, 'made_at' | 'closed_at', never>

export type ActionJournalRow = {
  position: number
  key: string
  action: string
  role: string
  device: string | null
  at: string
  input_hash: string
  input: string | null
  answer: string
  secret: 0 | 1
  account_id: string | null
  who: string | null
  job_id: JobId | null
  vehicle_id: VehicleId | null
  chain: string | null
  changes_hash: string | null
}

type ActionJournalIn = In<ActionJournalRow, 'at', never>

export type ActsRow = {
  position: number
  id: string
  job_id: JobId
  by_person: PersonId
  at: string
  act: string
  device: string
  received_at: string
  conflict: string | null
}

type ActsIn = In<ActsRow, 'at' | 'received_at', never>

export type AgreementsRow = {
  job_id: JobId
  package_key: string
  package_name: string
  plan: string
  summary: string
  total_cents: number
  promised_for: string
  agreed_at: string
  version: number | null
  chances: string | null
}

type AgreementsIn = In<AgreementsRow, 'promised_for' | 'agreed_at', never>

export type AwaitedRow = {
  job_id: JobId
  operation_id: OperationId
  what: string
  supplier: string
  due_at: string
}

type AwaitedIn = In<AwaitedRow, 'due_at', never>

export type BottlesRow = {
  id: BottleId
  code: number
  product_id: ProductId
  lot: string
  full_ml_x10: number
  arrived_on: string
  opened_on: string | null
  gone_on: string | null
}

type BottlesIn = In<BottlesRow, never, 'arrived_on' | 'opened_on' | 'gone_on'>

export type BroughtHistoriesRow = {
  id: number
  vehicle_id: VehicleId
  history: string
  read_at: string
}

type BroughtHistoriesIn = In<BroughtHistoriesRow, 'read_at', never>

export type CareDatesRow = {
  vehicle_id: VehicleId
  laid_on: string
  product_id: ProductId
  visit_from: string
  visit_until: string
  why: string
  good_low: string
  good_mid: string
  good_high: string
  guarantee_until: string | null
  failing: number
  last_visit: string | null
}

type CareDatesIn = In<
  CareDatesRow,
  never,
  | 'laid_on'
  | 'visit_from'
  | 'visit_until'
  | 'good_low'
  | 'good_mid'
  | 'good_high'
  | 'guarantee_until'
  | 'last_visit'
>

export type ClarityRow = {
  job_id: JobId
  phase: 'before' | 'after'
  panel: string
  clarity: number
}

export type CoatClimateRow = {
  job_id: JobId
  operation_id: OperationId
  at: string
  air_c_x10: number
  rh_x10: number
  panel_c_x10: number
}

type CoatClimateIn = In<CoatClimateRow, 'at', never>

export type ConsentsRow = {
  id: number
  customer_id: CustomerId
  at: string
  given: 0 | 1
  channel: 'in-person' | 'telephone' | 'writing' | 'message' | 'check-in' | 'unknown'
  wording: string
  noted_by: string
}

type ConsentsIn = In<ConsentsRow, 'at', never>

export type CustomersRow = {
  id: CustomerId
  name: string
  phone: string
  email: string
  may_remind: 0 | 1
  created_at: string
  language: 'en' | 'fr' | 'de'
  write_by: 'email' | 'text'
  tax: 'as-usual' | 'on-top' | 'none'
  import_id: string | null
  erased_at: string | null
}

type CustomersIn = In<CustomersRow, 'created_at' | 'erased_at', never>

export type DefectsRow = {
  job_id: JobId
  panel: string
  position: number
  kind: string
  severity: number
  extent_percent: number
  catches_nail: 0 | 1
  note: string
  at_x: number | null
  at_y: number | null
}

export type DevicesRow = {
  id: string
  next: number
}

export type FeedsRow = {
  token_hash: string
  kind: 'shop' | 'people' | 'bays'
  of_id: string
  made_at: string
  read_at: string | null
  revoked_at: string | null
}

type FeedsIn = In<FeedsRow, 'made_at' | 'read_at' | 'revoked_at', never>

export type FilmReadingsRow = {
  job_id: JobId
  phase: 'before' | 'after'
  panel: string
  position: number
  film_um_x10: number
  settled: 'kept' | 'set-aside' | null
  on_edge: 0 | 1
}

export type FilmsRow = {
  job_id: JobId
  panel: string
}

export type FoundDefectsRow = {
  job_id: JobId
  panel: string
  position: number
  kind: string
  severity: number
  extent_percent: number
  catches_nail: 0 | 1
  note: string
  at_x: number | null
  at_y: number | null
}

export type GlossReadingsRow = {
  job_id: JobId
  phase: 'before' | 'after'
  panel: string
  position: number
  gu_x10: number
}

export type HandedOnRow = {
  id: string
  job_id: JobId | null
  person_id: string
  account_id: string
  sent_by: string
  at: string
  answer: 'me' | 'not-me' | 'vouched' | 'looked-into' | null
  answered_by: string | null
  answered_at: string | null
}

type HandedOnIn = In<HandedOnRow, 'at' | 'answered_at', never>

export type HoldsRow = {
  id: string
  name: string
  phone: string
  car: string
  shape: string
  state: string
  package_key: string
  package_name: string
  bring_at: string
  collect_at: string
  chance: number
  until_day: string
  plan: string
  placed: string
  made_at: string
  freed_at: string | null
  job_id: JobId | null
}

type HoldsIn = In<HoldsRow, 'bring_at' | 'collect_at' | 'made_at' | 'freed_at', 'until_day'>

export type ImportRowsRow = {
  import_id: string
  line: number
  entry: string
}

export type ImportsRow = {
  id: string
  name: string
  begun_at: string
  taken_at: string | null
  undone_at: string | null
  counts: string | null
}

type ImportsIn = In<ImportsRow, 'begun_at' | 'taken_at' | 'undone_at', never>

export type InspectedAgainRow = {
  job_id: JobId
  panel: string
}

export type InspectedPanelsRow = {
  job_id: JobId
  panel: string
}

export type InspectionsRow = {
  job_id: JobId
  item: string
  verdict: 'good' | 'fault'
  note: string
  cleared_percent: number | null
  sent_to: OperationId | null
  by_person: PersonId
  at: string
  found: string | null
}

type InspectionsIn = In<InspectionsRow, 'at', never>

export type JobsRow = {
  id: JobId
  number: number
  vehicle_id: VehicleId
  wishes: string
  budget_cents: number | null
  arrive_at: string
  wanted_by: string | null
  created_at: string
  handed_over_at: string | null
  purpose: string
  odometer_km: number | null
  fuel_percent: number | null
  keys: string
  belongings: string
  warnings: string
  kind: 'work' | 'visit' | 'repair'
  customer_id: CustomerId | null
  from_job_id: JobId | null
  on_guarantee: 0 | 1
  put_off_at: string | null
}

type JobsIn = In<JobsRow, 'arrive_at' | 'created_at' | 'handed_over_at' | 'put_off_at', 'wanted_by'>

export type LayersRow = {
  job_id: JobId
  operation_id: OperationId
  product_id: ProductId
  lot: string
  air_c_x10: number
  rh_x10: number
  panel_c_x10: number
}

export type LessonsRow = {
  job_id: JobId
  day: string
  package_key: string
  lesson: string
}

type LessonsIn = In<LessonsRow, never, 'day'>

export type LetGoRow = {
  job_id: JobId
  dry_until: string
  signed_by: string
  signature: string
  at: string
}

type LetGoIn = In<LetGoRow, 'at', never>

export type LookedRow = {
  job_id: JobId
  item: string
}

export type LooksRow = {
  job_id: JobId
  unit: string
  water: 'tight' | 'loose' | 'sheets' | 'wets'
  angle_x10: number | null
  feel: 'slick' | 'drags' | 'grips' | null
  cleaned: 0 | 1
  cause: 'wear' | 'etched' | 'impact' | 'repainted' | 'unknown' | null
  note: string
  by_person: PersonId
  at: string
}

type LooksIn = In<LooksRow, 'at', never>

export type MarkedPanelsRow = {
  job_id: JobId
  panel: string
}

export type MessageEventsRow = {
  message_id: MessageId
  kind: 'delivered' | 'bounced' | 'replied'
  words: string
  at: string
  read_at: string | null
}

type MessageEventsIn = In<MessageEventsRow, 'at' | 'read_at', never>

export type MessagesRow = {
  id: MessageId
  key: string
  customer_id: CustomerId
  vehicle_id: VehicleId
  occasion: string
  language: string
  channel: 'email' | 'text'
  address: string
  subject: string
  text: string
  made_at: string
  not_before: string
  state: 'waiting' | 'sending' | 'sent' | 'withdrawn' | 'failed'
  claimed_at: string | null
  attempts: number
  last_error: string
  sent_at: string | null
  gateway_id: string | null
}

type MessagesIn = In<MessagesRow, 'made_at' | 'not_before' | 'claimed_at' | 'sent_at', never>

export type MigrationsRow = {
  position: number
  name: string
}

export type MovesRow = {
  id: number
  what: string
  before: string
  after: string
  made_at: string
  undone_at: string | null
}

type MovesIn = In<MovesRow, 'made_at' | 'undone_at', never>

export type OutagesRow = {
  id: string
  kind: string
  what_id: string | null
  from_at: string
  until_at: string
  entered_at: string
  ended_at: string | null
}

type OutagesIn = In<OutagesRow, 'from_at' | 'until_at' | 'entered_at' | 'ended_at', never>

export type OwnerLinksRow = {
  token_hash: string
  vehicle_id: VehicleId
  customer_id: CustomerId
  made_at: string
  expires_at: string
  revoked_at: string | null
}

type OwnerLinksIn = In<OwnerLinksRow, 'made_at' | 'expires_at' | 'revoked_at', never>

export type PaceChangesRow = {
  id: number
  key: string
  factor_before: number
  factor_after: number
  jobs: number
  accepted_at: string
}

type PaceChangesIn = In<PaceChangesRow, 'accepted_at', never>

export type PairedDevicesRow = {
  id: string
  name: string
  token_hash: string
  paired_at: string
  paired_by: string
  seen_at: string
  unpaired_at: string | null
}

type PairedDevicesIn = In<PairedDevicesRow, 'paired_at' | 'seen_at' | 'unpaired_at', never>

export type PairingCodesRow = {
  code_hash: string
  name: string
  made_at: string
  made_by: string
  used_at: string | null
}

type PairingCodesIn = In<PairingCodesRow, 'made_at' | 'used_at', never>

export type PanelConsentsRow = {
  job_id: JobId
  panel: string
  agreed_at: string
}

type PanelConsentsIn = In<PanelConsentsRow, 'agreed_at', never>

export type PastJobsRow = {
  id: number
  vehicle_id: VehicleId
  import_id: string
  day: string
  work: string
  price_cents: number | null
}

type PastJobsIn = In<PastJobsRow, never, 'day'>

export type PaymentsRow = {
  id: string
  job_id: JobId
  cents: number
  way: 'card' | 'cash' | 'transfer'
  note: string
  at: string
  taken_back_at: string | null
}

type PaymentsIn = In<PaymentsRow, 'at' | 'taken_back_at', never>

export type PhotosRow = {
  id: string
  job_id: JobId
  place: string
  phase: 'before' | 'after'
  hash: string
  width: number
  height: number
  marks: string
  same_place_as: string | null
  taken_at: string
  removed_at: string | null
  version: number
  shows: string | null
}

type PhotosIn = In<PhotosRow, 'taken_at' | 'removed_at', never>

export type PinsRow = {
  job_id: JobId
  operation_id: OperationId
}

export type PlaceDefectsRow = {
  job_id: JobId
  place: string
  position: number
  kind: string
  severity: number
  note: string
}

export type PlanRequestsRow = {
  id: number
  cause: string
  job_ids: string | null
  asked_at: string
  planned_at: string | null
  fault: string | null
}

type PlanRequestsIn = In<PlanRequestsRow, 'asked_at' | 'planned_at', never>

export type PlanningsRow = {
  id: number
  computed_at: string
  status: string
  cause: string
  reasons: string
}

type PlanningsIn = In<PlanningsRow, 'computed_at', never>

export type PoursRow = {
  id: number
  bottle_id: BottleId
  ml_x10: number
  job_id: JobId | null
  operation_id: OperationId | null
  act_id: string | null
  note: string
  at: string
}

type PoursIn = In<PoursRow, 'at', never>

export type PracticeGradesRow = {
  id: number
  seed: number
  person: PersonId
  grade: string
  graded_at: string
}

type PracticeGradesIn = In<PracticeGradesRow, 'graded_at', never>

export type PrivateLinksRow = {
  token_hash: string
  job_id: JobId
  made_at: string
  expires_at: string
  revoked_at: string | null
}

type PrivateLinksIn = In<PrivateLinksRow, 'made_at' | 'expires_at' | 'revoked_at', never>

export type ProgressRow = {
  job_id: JobId
  operation_id: OperationId
  started_at: string
  ended_at: string | null
  by_person: PersonId
  version: number
  due_back: string | null
}

type ProgressIn = In<ProgressRow, 'started_at' | 'ended_at', never>

export type PromisesRow = {
  job_id: JobId
  version: number
  lines: string
  signed_by: string
  signature: string
  signed_at: string
}

type PromisesIn = In<PromisesRow, 'signed_at', never>

export type ProposalsRow = {
  id: string
  basis: string
  placed: string
  planning: string
  made_at: string
  outage: string | null
  plans: string | null
  event: string | null
}

type ProposalsIn = In<ProposalsRow, 'made_at', never>

export type PublishedRow = {
  job_id: JobId
  operation_id: OperationId
  start_at: string
  end_at: string
  place_id: BayId
  people: string
  segments: string
}

type PublishedIn = In<PublishedRow, 'start_at' | 'end_at', never>

export type QuotesRow = {
  job_id: JobId
  version: number
  package_key: string
  package_name: string
  plan: string
  summary: string
  choices: string
  total_cents: number
  note: string
  could_collect_at: string | null
  written_at: string
  valid_until: string
  said: 'accepted' | 'declined' | null
  said_at: string | null
  said_words: string
  told: string | null
  changes_version: number | null
  calls_off: 0 | 1
  found: string
  shown_photos: string
  shown_marks: string
  otherwise: string
  said_how: 'signed' | 'telephone' | null
  said_by: string
  signature: string | null
}

type QuotesIn = In<QuotesRow, 'could_collect_at' | 'written_at' | 'valid_until' | 'said_at', never>

export type RefusedEntriesRow = {
  id: string
  device: string
  at: string
  job_id: JobId | null
  entry: string
  why: string
  read_at: string | null
}

type RefusedEntriesIn = In<RefusedEntriesRow, 'at' | 'read_at', never>

export type RemovalsRow = {
  id: number
  vehicle_id: VehicleId
  job_id: JobId | null
  panel: string
  day: string
  removed_um_x10: number
  uncertainty_um_x10: number
  source: 'measured' | 'worked-out' | 'told'
  note: string
  written_at: string
}

type RemovalsIn = In<RemovalsRow, 'written_at', 'day'>

export type ReorderPointsRow = {
  product_id: ProductId
  ml: number
}

export type RetentionRow = {
  kind: 'messages' | 'photographs' | 'customers'
  months: number
}

export type RetentionLeftRow = {
  month: string
  left_by: string
  left_at: string
}

type RetentionLeftIn = In<RetentionLeftRow, 'left_at', never>

export type RowChangesRow = {
  id: number
  position: number | null
  of_table: string
  row_key: string
  before: string
  after: string
}

export type SessionsRow = {
  id: string
  token_hash: string
  account_id: string
  device_id: string | null
  browser: string
  began_at: string
  used_at: string
  ended_at: string | null
}

type SessionsIn = In<SessionsRow, 'began_at' | 'used_at' | 'ended_at', never>

export type ShopRow = {
  id: number
  setup: string
  catalogue: string
  version: number
}

export type ShopTrialsRow = {
  id: string
  change: string
  about: string
  busier: number
  weekly_cents: number
  bought: string
  tried_at: string
}

type ShopTrialsIn = In<ShopTrialsRow, 'tried_at', never>

export type SignInTriesRow = {
  id: number
  plain_name: string
  whence: string
  at: string
  right: 0 | 1
}

type SignInTriesIn = In<SignInTriesRow, 'at', never>

export type SkippedMessagesRow = {
  key: string
  at: string
}

type SkippedMessagesIn = In<SkippedMessagesRow, 'at', never>

export type SpellsRow = {
  id: string
  bay: BayId
  kind: 'humid' | 'cold' | 'silent' | 'absurd'
  from_at: string
  until_at: string
}

type SpellsIn = In<SpellsRow, 'from_at' | 'until_at', never>

export type StaffRulesRow = {
  one: number
  idle_minutes: number
  floor_contacts: 0 | 1
}

export type StockOrdersRow = {
  id: number
  of: string
  ordered_at: string
  due: string | null
  ended_at: string | null
  came: 0 | 1 | null
}

type StockOrdersIn = In<StockOrdersRow, 'ordered_at' | 'ended_at', never>

export type StoreMovesRow = {
  id: number
  key: string
  amount_x10: number
  job_id: JobId | null
  operation_id: OperationId | null
  note: string
  at: string
}

type StoreMovesIn = In<StoreMovesRow, 'at', never>

export type StoresRow = {
  key: string
  order_below: number
  cents: number
}

export type SuppliesRow = {
  id: string
  kind: 'pad' | 'towel'
  name: string
  clean: number
  dirty: number
  washes: number
  washes_most: number
  reorder_at: number
  pad: string | null
  mm: number | null
  cents: number
}

export type SurveysRow = {
  job_id: JobId
  updated_at: string
  version: number
}

type SurveysIn = In<SurveysRow, 'updated_at', never>

export type TemplatesRow = {
  occasion: string
  language: string
  subject: string
  text: string
}

export type TestSpotsRow = {
  id: string
  job_id: JobId
  attempt: string
  photo_id: string | null
  made_at: string
  withdrawn_at: string | null
}

type TestSpotsIn = In<TestSpotsRow, 'made_at' | 'withdrawn_at', never>

export type ToConfirmRow = {
  id: string
  job_id: JobId
  operation_id: OperationId
  account_id: string
  done_by: string
  done_at: string
  confirmed_by: string | null
  confirmed_at: string | null
}

type ToConfirmIn = In<ToConfirmRow, 'done_at' | 'confirmed_at', never>

export type VehiclesRow = {
  id: VehicleId
  customer_id: CustomerId
  plate: string
  vin: string
  make: string
  model: string
  year: number | null
  shape: string
  colour: string
  paint_system: string
  hardness: string
  colour_code: string
  storage: string
  washing: string
  yearly_km: number | null
  salted: 0 | 1
  hard_water: 0 | 1
  treatments: string
  length_m: number | null
  height_m: number | null
  import_id: string | null
  care_checked_on: string | null
  finish: 'solid' | 'metallic' | null
  panel_facts: string
  put_away_at: string | null
}

type VehiclesIn = In<VehiclesRow, 'put_away_at', 'care_checked_on'>

export type VisitWishesRow = {
  id: string
  vehicle_id: VehicleId
  from_day: string
  words: string
  asked_at: string
  answered_at: string | null
}

type VisitWishesIn = In<VisitWishesRow, 'asked_at' | 'answered_at', 'from_day'>

export type WashesRow = {
  job_id: JobId
  findings: string
  version: number
}

declare module 'knex/types/tables' {
  interface Tables {
    accounts: Knex.CompositeTableType<
      AccountsRow,
      Written<AccountsIn, 'person_id' | 'passphrase' | 'pin' | 'closed_at'>,
      Changed<AccountsIn>
    >
    action_journal: Knex.CompositeTableType<
      ActionJournalRow,
      Written<
        ActionJournalIn,
        | 'position'
        | 'device'
        | 'input'
        | 'secret'
        | 'account_id'
        | 'who'
        | 'job_id'
        | 'vehicle_id'
        | 'chain'
        | 'changes_hash'
      >,
      Changed<ActionJournalIn>
    >
    acts: Knex.CompositeTableType<ActsRow, Written<ActsIn, 'position' | 'conflict'>, Changed<ActsIn>>
    agreements: Knex.CompositeTableType<
      AgreementsRow,
      Written<AgreementsIn, 'version' | 'chances'>,
      Changed<AgreementsIn>
    >
    awaited: Knex.CompositeTableType<AwaitedRow, AwaitedIn, Changed<AwaitedIn>>
    bottles: Knex.CompositeTableType<
      BottlesRow,
      Written<BottlesIn, 'opened_on' | 'gone_on'>,
      Changed<BottlesIn>
    >
    brought_histories: Knex.CompositeTableType<
      BroughtHistoriesRow,
      Written<BroughtHistoriesIn, 'id'>,
      Changed<BroughtHistoriesIn>
    >
    care_dates: Knex.CompositeTableType<
      CareDatesRow,
      Written<CareDatesIn, 'guarantee_until' | 'last_visit'>,
      Changed<CareDatesIn>
    >
    clarity: Knex.CompositeTableType<ClarityRow, ClarityRow, Changed<ClarityRow>>
    coat_climate: Knex.CompositeTableType<CoatClimateRow, CoatClimateIn, Changed<CoatClimateIn>>
    consents: Knex.CompositeTableType<ConsentsRow, Written<ConsentsIn, 'id'>, Changed<ConsentsIn>>
    customers: Knex.CompositeTableType<
      CustomersRow,
      Written<CustomersIn, 'language' | 'write_by' | 'tax' | 'import_id' | 'erased_at'>,
      Changed<CustomersIn>
    >
    defects: Knex.CompositeTableType<
      DefectsRow,
      Written<DefectsRow, 'note' | 'at_x' | 'at_y'>,
      Changed<DefectsRow>
    >
    devices: Knex.CompositeTableType<DevicesRow, DevicesRow, Changed<DevicesRow>>
    feeds: Knex.CompositeTableType<FeedsRow, Written<FeedsIn, 'read_at' | 'revoked_at'>, Changed<FeedsIn>>
    film_readings: Knex.CompositeTableType<
      FilmReadingsRow,
      Written<FilmReadingsRow, 'settled' | 'on_edge'>,
      Changed<FilmReadingsRow>
    >
    films: Knex.CompositeTableType<FilmsRow, FilmsRow, Changed<FilmsRow>>
    found_defects: Knex.CompositeTableType<
      FoundDefectsRow,
      Written<FoundDefectsRow, 'note' | 'at_x' | 'at_y'>,
      Changed<FoundDefectsRow>
    >
    gloss_readings: Knex.CompositeTableType<GlossReadingsRow, GlossReadingsRow, Changed<GlossReadingsRow>>
    handed_on: Knex.CompositeTableType<
      HandedOnRow,
      Written<HandedOnIn, 'job_id' | 'answer' | 'answered_by' | 'answered_at'>,
      Changed<HandedOnIn>
    >
    holds: Knex.CompositeTableType<HoldsRow, Written<HoldsIn, 'freed_at' | 'job_id'>, Changed<HoldsIn>>
    import_rows: Knex.CompositeTableType<ImportRowsRow, ImportRowsRow, Changed<ImportRowsRow>>
    imports: Knex.CompositeTableType<
      ImportsRow,
      Written<ImportsIn, 'taken_at' | 'undone_at' | 'counts'>,
      Changed<ImportsIn>
    >
    inspected_again: Knex.CompositeTableType<InspectedAgainRow, InspectedAgainRow, Changed<InspectedAgainRow>>
    inspected_panels: Knex.CompositeTableType<
      InspectedPanelsRow,
      InspectedPanelsRow,
      Changed<InspectedPanelsRow>
    >
    inspections: Knex.CompositeTableType<
      InspectionsRow,
      Written<InspectionsIn, 'cleared_percent' | 'sent_to' | 'found'>,
      Changed<InspectionsIn>
    >
    jobs: Knex.CompositeTableType<
      JobsRow,
      Written<
        JobsIn,
        | 'budget_cents'
        | 'wanted_by'
        | 'handed_over_at'
        | 'purpose'
        | 'odometer_km'
        | 'fuel_percent'
        | 'keys'
        | 'belongings'
        | 'warnings'
        | 'kind'
        | 'customer_id'
        | 'from_job_id'
        | 'on_guarantee'
        | 'put_off_at'
      >,
      Changed<JobsIn>
    >
    layers: Knex.CompositeTableType<LayersRow, LayersRow, Changed<LayersRow>>
    lessons: Knex.CompositeTableType<LessonsRow, LessonsIn, Changed<LessonsIn>>
    let_go: Knex.CompositeTableType<LetGoRow, LetGoIn, Changed<LetGoIn>>
    looked: Knex.CompositeTableType<LookedRow, LookedRow, Changed<LookedRow>>
    looks: Knex.CompositeTableType<
      LooksRow,
      Written<LooksIn, 'angle_x10' | 'feel' | 'cause' | 'note'>,
      Changed<LooksIn>
    >
    marked_panels: Knex.CompositeTableType<MarkedPanelsRow, MarkedPanelsRow, Changed<MarkedPanelsRow>>
    message_events: Knex.CompositeTableType<
      MessageEventsRow,
      Written<MessageEventsIn, 'words' | 'read_at'>,
      Changed<MessageEventsIn>
    >
    messages: Knex.CompositeTableType<
      MessagesRow,
      Written<MessagesIn, 'claimed_at' | 'attempts' | 'last_error' | 'sent_at' | 'gateway_id'>,
      Changed<MessagesIn>
    >
    migrations: Knex.CompositeTableType<
      MigrationsRow,
      Written<MigrationsRow, 'position'>,
      Changed<MigrationsRow>
    >
    moves: Knex.CompositeTableType<MovesRow, Written<MovesIn, 'id' | 'undone_at'>, Changed<MovesIn>>
    outages: Knex.CompositeTableType<
      OutagesRow,
      Written<OutagesIn, 'what_id' | 'ended_at'>,
      Changed<OutagesIn>
    >
    owner_links: Knex.CompositeTableType<
      OwnerLinksRow,
      Written<OwnerLinksIn, 'revoked_at'>,
      Changed<OwnerLinksIn>
    >
    pace_changes: Knex.CompositeTableType<
      PaceChangesRow,
      Written<PaceChangesIn, 'id'>,
      Changed<PaceChangesIn>
    >
    paired_devices: Knex.CompositeTableType<
      PairedDevicesRow,
      Written<PairedDevicesIn, 'unpaired_at'>,
      Changed<PairedDevicesIn>
    >
    pairing_codes: Knex.CompositeTableType<
      PairingCodesRow,
      Written<PairingCodesIn, 'used_at'>,
      Changed<PairingCodesIn>
    >
    panel_consents: Knex.CompositeTableType<PanelConsentsRow, PanelConsentsIn, Changed<PanelConsentsIn>>
    past_jobs: Knex.CompositeTableType<
      PastJobsRow,
      Written<PastJobsIn, 'id' | 'price_cents'>,
      Changed<PastJobsIn>
    >
    payments: Knex.CompositeTableType<PaymentsRow, Written<PaymentsIn, 'taken_back_at'>, Changed<PaymentsIn>>
    photos: Knex.CompositeTableType<
      PhotosRow,
      Written<PhotosIn, 'marks' | 'same_place_as' | 'removed_at' | 'version' | 'shows'>,
      Changed<PhotosIn>
    >
    pins: Knex.CompositeTableType<PinsRow, PinsRow, Changed<PinsRow>>
    place_defects: Knex.CompositeTableType<PlaceDefectsRow, PlaceDefectsRow, Changed<PlaceDefectsRow>>
    plan_requests: Knex.CompositeTableType<
      PlanRequestsRow,
      Written<PlanRequestsIn, 'id' | 'job_ids' | 'planned_at' | 'fault'>,
      Changed<PlanRequestsIn>
    >
    plannings: Knex.CompositeTableType<PlanningsRow, Written<PlanningsIn, 'id'>, Changed<PlanningsIn>>
    pours: Knex.CompositeTableType<
      PoursRow,
      Written<PoursIn, 'id' | 'job_id' | 'operation_id' | 'act_id' | 'note'>,
      Changed<PoursIn>
    >
    practice_grades: Knex.CompositeTableType<
      PracticeGradesRow,
      Written<PracticeGradesIn, 'id'>,
      Changed<PracticeGradesIn>
    >
    private_links: Knex.CompositeTableType<
      PrivateLinksRow,
      Written<PrivateLinksIn, 'revoked_at'>,
      Changed<PrivateLinksIn>
    >
    progress: Knex.CompositeTableType<
      ProgressRow,
      Written<ProgressIn, 'ended_at' | 'due_back'>,
      Changed<ProgressIn>
    >
    promises: Knex.CompositeTableType<PromisesRow, PromisesIn, Changed<PromisesIn>>
    proposals: Knex.CompositeTableType<
      ProposalsRow,
      Written<ProposalsIn, 'outage' | 'plans' | 'event'>,
      Changed<ProposalsIn>
    >
    published: Knex.CompositeTableType<PublishedRow, PublishedIn, Changed<PublishedIn>>
    quotes: Knex.CompositeTableType<
      QuotesRow,
      Written<
        QuotesIn,
        | 'note'
        | 'could_collect_at'
        | 'said'
        | 'said_at'
        | 'said_words'
        | 'told'
        | 'changes_version'
        | 'calls_off'
        | 'found'
        | 'shown_photos'
        | 'shown_marks'
        | 'otherwise'
        | 'said_how'
        | 'said_by'
        | 'signature'
      >,
      Changed<QuotesIn>
    >
    refused_entries: Knex.CompositeTableType<
      RefusedEntriesRow,
      Written<RefusedEntriesIn, 'job_id' | 'read_at'>,
      Changed<RefusedEntriesIn>
    >
    removals: Knex.CompositeTableType<RemovalsRow, Written<RemovalsIn, 'id' | 'job_id'>, Changed<RemovalsIn>>
    reorder_points: Knex.CompositeTableType<ReorderPointsRow, ReorderPointsRow, Changed<ReorderPointsRow>>
    retention: Knex.CompositeTableType<RetentionRow, RetentionRow, Changed<RetentionRow>>
    retention_left: Knex.CompositeTableType<RetentionLeftRow, RetentionLeftIn, Changed<RetentionLeftIn>>
    row_changes: Knex.CompositeTableType<
      RowChangesRow,
      Written<RowChangesRow, 'id' | 'position'>,
      Changed<RowChangesRow>
    >
    sessions: Knex.CompositeTableType<
      SessionsRow,
      Written<SessionsIn, 'device_id' | 'ended_at'>,
      Changed<SessionsIn>
    >
    shop: Knex.CompositeTableType<ShopRow, Written<ShopRow, 'id' | 'version'>, Changed<ShopRow>>
    shop_trials: Knex.CompositeTableType<ShopTrialsRow, ShopTrialsIn, Changed<ShopTrialsIn>>
    sign_in_tries: Knex.CompositeTableType<
      SignInTriesRow,
      Written<SignInTriesIn, 'id'>,
      Changed<SignInTriesIn>
    >
    skipped_messages: Knex.CompositeTableType<
      SkippedMessagesRow,
      SkippedMessagesIn,
      Changed<SkippedMessagesIn>
    >
    spells: Knex.CompositeTableType<SpellsRow, SpellsIn, Changed<SpellsIn>>
    staff_rules: Knex.CompositeTableType<
      StaffRulesRow,
      Written<StaffRulesRow, 'one' | 'floor_contacts'>,
      Changed<StaffRulesRow>
    >
    stock_orders: Knex.CompositeTableType<
      StockOrdersRow,
      Written<StockOrdersIn, 'id' | 'due' | 'ended_at' | 'came'>,
      Changed<StockOrdersIn>
    >
    store_moves: Knex.CompositeTableType<
      StoreMovesRow,
      Written<StoreMovesIn, 'id' | 'job_id' | 'operation_id' | 'note'>,
      Changed<StoreMovesIn>
    >
    stores: Knex.CompositeTableType<
      StoresRow,
      Written<StoresRow, 'order_below' | 'cents'>,
      Changed<StoresRow>
    >
    supplies: Knex.CompositeTableType<
      SuppliesRow,
      Written<SuppliesRow, 'pad' | 'mm' | 'cents'>,
      Changed<SuppliesRow>
    >
    surveys: Knex.CompositeTableType<SurveysRow, SurveysIn, Changed<SurveysIn>>
    templates: Knex.CompositeTableType<TemplatesRow, TemplatesRow, Changed<TemplatesRow>>
    test_spots: Knex.CompositeTableType<
      TestSpotsRow,
      Written<TestSpotsIn, 'photo_id' | 'withdrawn_at'>,
      Changed<TestSpotsIn>
    >
    to_confirm: Knex.CompositeTableType<
      ToConfirmRow,
      Written<ToConfirmIn, 'confirmed_by' | 'confirmed_at'>,
      Changed<ToConfirmIn>
    >
    vehicles: Knex.CompositeTableType<
      VehiclesRow,
      Written<
        VehiclesIn,
        | 'year'
        | 'colour_code'
        | 'storage'
        | 'washing'
        | 'yearly_km'
        | 'salted'
        | 'hard_water'
        | 'treatments'
        | 'length_m'
        | 'height_m'
        | 'import_id'
        | 'care_checked_on'
        | 'finish'
        | 'panel_facts'
        | 'put_away_at'
      >,
      Changed<VehiclesIn>
    >
    visit_wishes: Knex.CompositeTableType<
      VisitWishesRow,
      Written<VisitWishesIn, 'answered_at'>,
      Changed<VisitWishesIn>
    >
    washes: Knex.CompositeTableType<WashesRow, WashesRow, Changed<WashesRow>>
  }
}
