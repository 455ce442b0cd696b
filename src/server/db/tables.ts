// Written by `npm run tables` from the database that the migrations make; a test holds it to that.
import type { Knex } from 'knex'
import type { CustomerId, JobId, VehicleId } from '@/core/ids'
import type { Instant, LocalDay } from '@/core/time'

/**
 * What each table holds. Moments and days come out as text, to be read where the row becomes a noun, and go in as what they
 * are; ids of nouns and choices from a few are what the database lets nothing else be.
 */

/** What an insert may leave to the database: what may be empty, or has a value of its own. */
type Written<Row, Left extends keyof Row> = Omit<Row, Left> & Partial<Pick<Row, Left>>

/** What a change sets: values, or what the database works out from those that stand. */
type Changed<Row> = { [Column in keyof Row]?: Row[Column] | Knex.Raw }

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
}

export type ActsRow = {
  position: number
  id: string
  job_id: JobId
  by_person: string
  at: string
  act: string
  device: string
  received_at: string
  conflict: string | null
}

export type AgreementsRow = {
  job_id: JobId
  package_key: string
  package_name: string
  plan: string
  summary: string
  total_cents: number
  promised_for: string
  agreed_at: string
}

export type BottlesRow = {
  id: string
  code: number
  product_id: string
  lot: string
  full_ml_x10: number
  arrived_on: string
  opened_on: string | null
  gone_on: string | null
}

export type BroughtHistoriesRow = {
  id: number
  vehicle_id: VehicleId
  history: string
  read_at: string
}

export type CareDatesRow = {
  vehicle_id: VehicleId
  laid_on: string
  product_id: string
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

export type ClarityRow = {
  job_id: JobId
  phase: 'before' | 'after'
  panel: string
  clarity: number
}

export type CoatClimateRow = {
  job_id: JobId
  operation_id: string
  at: string
  air_c_x10: number
  rh_x10: number
  panel_c_x10: number
}

export type CustomersRow = {
  id: CustomerId
  name: string
  phone: string
  email: string
  may_remind: 0 | 1
  created_at: string
  language: 'en' | 'fr' | 'de'
  write_by: 'email' | 'text'
}

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

export type FilmReadingsRow = {
  job_id: JobId
  phase: 'before' | 'after'
  panel: string
  position: number
  film_um_x10: number
  settled: 'kept' | 'set-aside' | null
}

export type FilmsRow = {
  job_id: JobId
  panel: string
}

export type GlossReadingsRow = {
  job_id: JobId
  phase: 'before' | 'after'
  panel: string
  position: number
  gu_x10: number
}

export type InspectionsRow = {
  job_id: JobId
  item: string
  verdict: 'good' | 'fault'
  note: string
  cleared_percent: number | null
  sent_to: string | null
  by_person: string
  at: string
}

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
}

export type LayersRow = {
  job_id: JobId
  operation_id: string
  product_id: string
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
  by_person: string
  at: string
}

export type MessageEventsRow = {
  message_id: string
  kind: 'delivered' | 'bounced' | 'replied'
  words: string
  at: string
  read_at: string | null
}

export type MessagesRow = {
  id: string
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

export type OutagesRow = {
  id: string
  kind: 'person' | 'place' | 'air'
  what_id: string | null
  from_at: string
  until_at: string
  entered_at: string
  ended_at: string | null
}

export type OwnerLinksRow = {
  token_hash: string
  vehicle_id: VehicleId
  customer_id: CustomerId
  made_at: string
  expires_at: string
  revoked_at: string | null
}

export type PaceChangesRow = {
  id: number
  key: string
  factor_before: number
  factor_after: number
  jobs: number
  accepted_at: string
}

export type PaymentsRow = {
  id: string
  job_id: JobId
  cents: number
  way: 'card' | 'cash' | 'transfer'
  note: string
  at: string
  taken_back_at: string | null
}

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
}

export type PinsRow = {
  job_id: JobId
  operation_id: string
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

export type PlanningsRow = {
  id: number
  computed_at: string
  status: string
  cause: string
  reasons: string
}

export type PoursRow = {
  id: number
  bottle_id: string
  ml_x10: number
  job_id: JobId | null
  operation_id: string | null
  act_id: string | null
  note: string
  at: string
}

export type PracticeGradesRow = {
  id: number
  seed: number
  person: string
  grade: string
  graded_at: string
}

export type PrivateLinksRow = {
  token_hash: string
  job_id: JobId
  made_at: string
  expires_at: string
  revoked_at: string | null
}

export type ProgressRow = {
  job_id: JobId
  operation_id: string
  started_at: string
  ended_at: string | null
  by_person: string
  version: number
}

export type PromisesRow = {
  job_id: JobId
  version: number
  lines: string
  signed_by: string
  signature: string
  signed_at: string
}

export type ProposalsRow = {
  id: string
  basis: string
  placed: string
  planning: string
  made_at: string
  outage: string | null
  plans: string | null
}

export type PublishedRow = {
  job_id: JobId
  operation_id: string
  start_at: string
  end_at: string
  place_id: string
  people: string
  segments: string
}

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
}

export type RefusedEntriesRow = {
  id: string
  device: string
  at: string
  job_id: JobId | null
  entry: string
  why: string
  read_at: string | null
}

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

export type ReorderPointsRow = {
  product_id: string
  ml: number
}

export type ShopRow = {
  id: number
  setup: string
  catalogue: string
  version: number
}

export type SkippedMessagesRow = {
  key: string
  at: string
}

export type SpellsRow = {
  id: string
  bay: string
  kind: 'humid' | 'cold' | 'silent' | 'absurd'
  from_at: string
  until_at: string
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
}

export type SurveysRow = {
  job_id: JobId
  updated_at: string
  version: number
}

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
  care_reckoned_on: string | null
}

export type VisitWishesRow = {
  id: string
  vehicle_id: VehicleId
  from_day: string
  words: string
  asked_at: string
  answered_at: string | null
}

export type WashesRow = {
  job_id: JobId
  findings: string
  version: number
}

declare module 'knex/types/tables' {
  interface Tables {
    action_journal: Knex.CompositeTableType<
      ActionJournalRow,
      Written<Omit<ActionJournalRow, 'at'> & { at: Instant }, 'position' | 'device' | 'input' | 'secret'>,
      Changed<Omit<ActionJournalRow, 'at'> & { at: Instant }>
    >
    acts: Knex.CompositeTableType<
      ActsRow,
      Written<
        Omit<ActsRow, 'at' | 'received_at'> & { at: Instant; received_at: Instant },
        'position' | 'conflict'
      >,
      Changed<Omit<ActsRow, 'at' | 'received_at'> & { at: Instant; received_at: Instant }>
    >
    agreements: Knex.CompositeTableType<
      AgreementsRow,
      Omit<AgreementsRow, 'promised_for' | 'agreed_at'> & { promised_for: Instant; agreed_at: Instant },
      Changed<
        Omit<AgreementsRow, 'promised_for' | 'agreed_at'> & { promised_for: Instant; agreed_at: Instant }
      >
    >
    bottles: Knex.CompositeTableType<
      BottlesRow,
      Written<
        Omit<BottlesRow, 'arrived_on' | 'opened_on' | 'gone_on'> & {
          arrived_on: LocalDay
          opened_on: LocalDay | null
          gone_on: LocalDay | null
        },
        'opened_on' | 'gone_on'
      >,
      Changed<
        Omit<BottlesRow, 'arrived_on' | 'opened_on' | 'gone_on'> & {
          arrived_on: LocalDay
          opened_on: LocalDay | null
          gone_on: LocalDay | null
        }
      >
    >
    brought_histories: Knex.CompositeTableType<
      BroughtHistoriesRow,
      Written<Omit<BroughtHistoriesRow, 'read_at'> & { read_at: Instant }, 'id'>,
      Changed<Omit<BroughtHistoriesRow, 'read_at'> & { read_at: Instant }>
    >
    care_dates: Knex.CompositeTableType<
      CareDatesRow,
      Written<
        Omit<
          CareDatesRow,
          | 'laid_on'
          | 'visit_from'
          | 'visit_until'
          | 'good_low'
          | 'good_mid'
          | 'good_high'
          | 'guarantee_until'
          | 'last_visit'
        > & {
          laid_on: LocalDay
          visit_from: LocalDay
          visit_until: LocalDay
          good_low: LocalDay
          good_mid: LocalDay
          good_high: LocalDay
          guarantee_until: LocalDay | null
          last_visit: LocalDay | null
        },
        'guarantee_until' | 'last_visit'
      >,
      Changed<
        Omit<
          CareDatesRow,
          | 'laid_on'
          | 'visit_from'
          | 'visit_until'
          | 'good_low'
          | 'good_mid'
          | 'good_high'
          | 'guarantee_until'
          | 'last_visit'
        > & {
          laid_on: LocalDay
          visit_from: LocalDay
          visit_until: LocalDay
          good_low: LocalDay
          good_mid: LocalDay
          good_high: LocalDay
          guarantee_until: LocalDay | null
          last_visit: LocalDay | null
        }
      >
    >
    clarity: Knex.CompositeTableType<ClarityRow, ClarityRow, Changed<ClarityRow>>
    coat_climate: Knex.CompositeTableType<
      CoatClimateRow,
      Omit<CoatClimateRow, 'at'> & { at: Instant },
      Changed<Omit<CoatClimateRow, 'at'> & { at: Instant }>
    >
    customers: Knex.CompositeTableType<
      CustomersRow,
      Written<Omit<CustomersRow, 'created_at'> & { created_at: Instant }, 'language' | 'write_by'>,
      Changed<Omit<CustomersRow, 'created_at'> & { created_at: Instant }>
    >
    defects: Knex.CompositeTableType<
      DefectsRow,
      Written<DefectsRow, 'note' | 'at_x' | 'at_y'>,
      Changed<DefectsRow>
    >
    devices: Knex.CompositeTableType<DevicesRow, DevicesRow, Changed<DevicesRow>>
    film_readings: Knex.CompositeTableType<
      FilmReadingsRow,
      Written<FilmReadingsRow, 'settled'>,
      Changed<FilmReadingsRow>
    >
    films: Knex.CompositeTableType<FilmsRow, FilmsRow, Changed<FilmsRow>>
    gloss_readings: Knex.CompositeTableType<GlossReadingsRow, GlossReadingsRow, Changed<GlossReadingsRow>>
    inspections: Knex.CompositeTableType<
      InspectionsRow,
      Written<Omit<InspectionsRow, 'at'> & { at: Instant }, 'cleared_percent' | 'sent_to'>,
      Changed<Omit<InspectionsRow, 'at'> & { at: Instant }>
    >
    jobs: Knex.CompositeTableType<
      JobsRow,
      Written<
        Omit<JobsRow, 'arrive_at' | 'wanted_by' | 'created_at' | 'handed_over_at'> & {
          arrive_at: Instant
          wanted_by: LocalDay | null
          created_at: Instant
          handed_over_at: Instant | null
        },
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
      >,
      Changed<
        Omit<JobsRow, 'arrive_at' | 'wanted_by' | 'created_at' | 'handed_over_at'> & {
          arrive_at: Instant
          wanted_by: LocalDay | null
          created_at: Instant
          handed_over_at: Instant | null
        }
      >
    >
    layers: Knex.CompositeTableType<LayersRow, LayersRow, Changed<LayersRow>>
    lessons: Knex.CompositeTableType<
      LessonsRow,
      Omit<LessonsRow, 'day'> & { day: LocalDay },
      Changed<Omit<LessonsRow, 'day'> & { day: LocalDay }>
    >
    looked: Knex.CompositeTableType<LookedRow, LookedRow, Changed<LookedRow>>
    looks: Knex.CompositeTableType<
      LooksRow,
      Written<Omit<LooksRow, 'at'> & { at: Instant }, 'angle_x10' | 'feel' | 'cause' | 'note'>,
      Changed<Omit<LooksRow, 'at'> & { at: Instant }>
    >
    message_events: Knex.CompositeTableType<
      MessageEventsRow,
      Written<
        Omit<MessageEventsRow, 'at' | 'read_at'> & { at: Instant; read_at: Instant | null },
        'words' | 'read_at'
      >,
      Changed<Omit<MessageEventsRow, 'at' | 'read_at'> & { at: Instant; read_at: Instant | null }>
    >
    messages: Knex.CompositeTableType<
      MessagesRow,
      Written<
        Omit<MessagesRow, 'made_at' | 'not_before' | 'claimed_at' | 'sent_at'> & {
          made_at: Instant
          not_before: Instant
          claimed_at: Instant | null
          sent_at: Instant | null
        },
        'claimed_at' | 'attempts' | 'last_error' | 'sent_at' | 'gateway_id'
      >,
      Changed<
        Omit<MessagesRow, 'made_at' | 'not_before' | 'claimed_at' | 'sent_at'> & {
          made_at: Instant
          not_before: Instant
          claimed_at: Instant | null
          sent_at: Instant | null
        }
      >
    >
    migrations: Knex.CompositeTableType<
      MigrationsRow,
      Written<MigrationsRow, 'position'>,
      Changed<MigrationsRow>
    >
    moves: Knex.CompositeTableType<
      MovesRow,
      Written<
        Omit<MovesRow, 'made_at' | 'undone_at'> & { made_at: Instant; undone_at: Instant | null },
        'id' | 'undone_at'
      >,
      Changed<Omit<MovesRow, 'made_at' | 'undone_at'> & { made_at: Instant; undone_at: Instant | null }>
    >
    outages: Knex.CompositeTableType<
      OutagesRow,
      Written<
        Omit<OutagesRow, 'from_at' | 'until_at' | 'entered_at' | 'ended_at'> & {
          from_at: Instant
          until_at: Instant
          entered_at: Instant
          ended_at: Instant | null
        },
        'what_id' | 'ended_at'
      >,
      Changed<
        Omit<OutagesRow, 'from_at' | 'until_at' | 'entered_at' | 'ended_at'> & {
          from_at: Instant
          until_at: Instant
          entered_at: Instant
          ended_at: Instant | null
        }
      >
    >
    owner_links: Knex.CompositeTableType<
      OwnerLinksRow,
      Written<
        Omit<OwnerLinksRow, 'made_at' | 'expires_at' | 'revoked_at'> & {
          made_at: Instant
          expires_at: Instant
          revoked_at: Instant | null
        },
        'revoked_at'
      >,
      Changed<
        Omit<OwnerLinksRow, 'made_at' | 'expires_at' | 'revoked_at'> & {
          made_at: Instant
          expires_at: Instant
          revoked_at: Instant | null
        }
      >
    >
    pace_changes: Knex.CompositeTableType<
      PaceChangesRow,
      Written<Omit<PaceChangesRow, 'accepted_at'> & { accepted_at: Instant }, 'id'>,
      Changed<Omit<PaceChangesRow, 'accepted_at'> & { accepted_at: Instant }>
    >
    payments: Knex.CompositeTableType<
      PaymentsRow,
      Written<
        Omit<PaymentsRow, 'at' | 'taken_back_at'> & { at: Instant; taken_back_at: Instant | null },
        'taken_back_at'
      >,
      Changed<Omit<PaymentsRow, 'at' | 'taken_back_at'> & { at: Instant; taken_back_at: Instant | null }>
    >
    photos: Knex.CompositeTableType<
      PhotosRow,
      Written<
        Omit<PhotosRow, 'taken_at' | 'removed_at'> & { taken_at: Instant; removed_at: Instant | null },
        'marks' | 'same_place_as' | 'removed_at' | 'version'
      >,
      Changed<Omit<PhotosRow, 'taken_at' | 'removed_at'> & { taken_at: Instant; removed_at: Instant | null }>
    >
    pins: Knex.CompositeTableType<PinsRow, PinsRow, Changed<PinsRow>>
    place_defects: Knex.CompositeTableType<PlaceDefectsRow, PlaceDefectsRow, Changed<PlaceDefectsRow>>
    plan_requests: Knex.CompositeTableType<
      PlanRequestsRow,
      Written<
        Omit<PlanRequestsRow, 'asked_at' | 'planned_at'> & { asked_at: Instant; planned_at: Instant | null },
        'id' | 'job_ids' | 'planned_at' | 'fault'
      >,
      Changed<
        Omit<PlanRequestsRow, 'asked_at' | 'planned_at'> & { asked_at: Instant; planned_at: Instant | null }
      >
    >
    plannings: Knex.CompositeTableType<
      PlanningsRow,
      Written<Omit<PlanningsRow, 'computed_at'> & { computed_at: Instant }, 'id'>,
      Changed<Omit<PlanningsRow, 'computed_at'> & { computed_at: Instant }>
    >
    pours: Knex.CompositeTableType<
      PoursRow,
      Written<Omit<PoursRow, 'at'> & { at: Instant }, 'id' | 'job_id' | 'operation_id' | 'act_id' | 'note'>,
      Changed<Omit<PoursRow, 'at'> & { at: Instant }>
    >
    practice_grades: Knex.CompositeTableType<
      PracticeGradesRow,
      Written<Omit<PracticeGradesRow, 'graded_at'> & { graded_at: Instant }, 'id'>,
      Changed<Omit<PracticeGradesRow, 'graded_at'> & { graded_at: Instant }>
    >
    private_links: Knex.CompositeTableType<
      PrivateLinksRow,
      Written<
        Omit<PrivateLinksRow, 'made_at' | 'expires_at' | 'revoked_at'> & {
          made_at: Instant
          expires_at: Instant
          revoked_at: Instant | null
        },
        'revoked_at'
      >,
      Changed<
        Omit<PrivateLinksRow, 'made_at' | 'expires_at' | 'revoked_at'> & {
          made_at: Instant
          expires_at: Instant
          revoked_at: Instant | null
        }
      >
    >
    progress: Knex.CompositeTableType<
      ProgressRow,
      Written<
        Omit<ProgressRow, 'started_at' | 'ended_at'> & { started_at: Instant; ended_at: Instant | null },
        'ended_at'
      >,
      Changed<
        Omit<ProgressRow, 'started_at' | 'ended_at'> & { started_at: Instant; ended_at: Instant | null }
      >
    >
    promises: Knex.CompositeTableType<
      PromisesRow,
      Omit<PromisesRow, 'signed_at'> & { signed_at: Instant },
      Changed<Omit<PromisesRow, 'signed_at'> & { signed_at: Instant }>
    >
    proposals: Knex.CompositeTableType<
      ProposalsRow,
      Written<Omit<ProposalsRow, 'made_at'> & { made_at: Instant }, 'outage' | 'plans'>,
      Changed<Omit<ProposalsRow, 'made_at'> & { made_at: Instant }>
    >
    published: Knex.CompositeTableType<
      PublishedRow,
      Omit<PublishedRow, 'start_at' | 'end_at'> & { start_at: Instant; end_at: Instant },
      Changed<Omit<PublishedRow, 'start_at' | 'end_at'> & { start_at: Instant; end_at: Instant }>
    >
    quotes: Knex.CompositeTableType<
      QuotesRow,
      Written<
        Omit<QuotesRow, 'could_collect_at' | 'written_at' | 'valid_until' | 'said_at'> & {
          could_collect_at: Instant | null
          written_at: Instant
          valid_until: Instant
          said_at: Instant | null
        },
        'note' | 'could_collect_at' | 'said' | 'said_at' | 'said_words'
      >,
      Changed<
        Omit<QuotesRow, 'could_collect_at' | 'written_at' | 'valid_until' | 'said_at'> & {
          could_collect_at: Instant | null
          written_at: Instant
          valid_until: Instant
          said_at: Instant | null
        }
      >
    >
    refused_entries: Knex.CompositeTableType<
      RefusedEntriesRow,
      Written<
        Omit<RefusedEntriesRow, 'at' | 'read_at'> & { at: Instant; read_at: Instant | null },
        'job_id' | 'read_at'
      >,
      Changed<Omit<RefusedEntriesRow, 'at' | 'read_at'> & { at: Instant; read_at: Instant | null }>
    >
    removals: Knex.CompositeTableType<
      RemovalsRow,
      Written<
        Omit<RemovalsRow, 'day' | 'written_at'> & { day: LocalDay; written_at: Instant },
        'id' | 'job_id'
      >,
      Changed<Omit<RemovalsRow, 'day' | 'written_at'> & { day: LocalDay; written_at: Instant }>
    >
    reorder_points: Knex.CompositeTableType<ReorderPointsRow, ReorderPointsRow, Changed<ReorderPointsRow>>
    shop: Knex.CompositeTableType<ShopRow, Written<ShopRow, 'id' | 'version'>, Changed<ShopRow>>
    skipped_messages: Knex.CompositeTableType<
      SkippedMessagesRow,
      Omit<SkippedMessagesRow, 'at'> & { at: Instant },
      Changed<Omit<SkippedMessagesRow, 'at'> & { at: Instant }>
    >
    spells: Knex.CompositeTableType<
      SpellsRow,
      Omit<SpellsRow, 'from_at' | 'until_at'> & { from_at: Instant; until_at: Instant },
      Changed<Omit<SpellsRow, 'from_at' | 'until_at'> & { from_at: Instant; until_at: Instant }>
    >
    supplies: Knex.CompositeTableType<SuppliesRow, SuppliesRow, Changed<SuppliesRow>>
    surveys: Knex.CompositeTableType<
      SurveysRow,
      Omit<SurveysRow, 'updated_at'> & { updated_at: Instant },
      Changed<Omit<SurveysRow, 'updated_at'> & { updated_at: Instant }>
    >
    templates: Knex.CompositeTableType<TemplatesRow, TemplatesRow, Changed<TemplatesRow>>
    test_spots: Knex.CompositeTableType<
      TestSpotsRow,
      Written<
        Omit<TestSpotsRow, 'made_at' | 'withdrawn_at'> & { made_at: Instant; withdrawn_at: Instant | null },
        'photo_id' | 'withdrawn_at'
      >,
      Changed<
        Omit<TestSpotsRow, 'made_at' | 'withdrawn_at'> & { made_at: Instant; withdrawn_at: Instant | null }
      >
    >
    vehicles: Knex.CompositeTableType<
      VehiclesRow,
      Written<
        Omit<VehiclesRow, 'care_reckoned_on'> & { care_reckoned_on: LocalDay | null },
        | 'year'
        | 'colour_code'
        | 'storage'
        | 'washing'
        | 'yearly_km'
        | 'salted'
        | 'hard_water'
        | 'treatments'
        | 'care_reckoned_on'
      >,
      Changed<Omit<VehiclesRow, 'care_reckoned_on'> & { care_reckoned_on: LocalDay | null }>
    >
    visit_wishes: Knex.CompositeTableType<
      VisitWishesRow,
      Written<
        Omit<VisitWishesRow, 'from_day' | 'asked_at' | 'answered_at'> & {
          from_day: LocalDay
          asked_at: Instant
          answered_at: Instant | null
        },
        'answered_at'
      >,
      Changed<
        Omit<VisitWishesRow, 'from_day' | 'asked_at' | 'answered_at'> & {
          from_day: LocalDay
          asked_at: Instant
          answered_at: Instant | null
        }
      >
    >
    washes: Knex.CompositeTableType<WashesRow, WashesRow, Changed<WashesRow>>
  }
}
