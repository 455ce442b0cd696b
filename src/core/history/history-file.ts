import { z } from 'zod'
import { CAUSES, FEELS, WATERS } from '../aftercare'
import { ask, readAsk } from '../asks'
import { PRODUCT_KINDS, SURFACES } from '../coating'
import { ok, type Result, refused } from '../result'
import { PHASES, REMOVAL_SOURCES } from '../survey'
import { type Instant, instantOrThrow, isLocalDay, type LocalDay } from '../time'
import { HARDNESSES, PAINT_SYSTEMS, SHAPES, TREATMENTS } from '../vehicle'

/**
 * The history of a vehicle as it is handed to whoever looks after it next: what was measured, worked, applied, seen and
 * photographed, and all paint ever removed. One JSON file, in an open form of our own; film in µm, gloss in GU at 60°, days as
 * `2027-01-13`, instants in UTC. It names no owner, no message and no money.
 */
export const HISTORY_FORMAT = 'fern-yard-vehicle-history/1'

const day = z.string().refine(isLocalDay, ask('file-day')) as unknown as z.ZodType<LocalDay>
const instant = z.string().refine((text) => {
  try {
    return instantOrThrow(text) === text
  } catch {
    return false
  }
}, ask('file-instant')) as unknown as z.ZodType<Instant>
/** Longer than any note anybody writes (mem). */
const MOST_CHARACTERS = 2000
const text = z.string().max(MOST_CHARACTERS, ask('file-characters-most', { most: MOST_CHARACTERS }))
/** A list of so many entries at most. */
const listed = (most: number) => [most, ask('file-list-most', { most })] as const
/** A number no larger than anything of its kind ever was, either way. */
const upTo = (most: number) =>
  z
    .number(ask('file-number'))
    .min(-most, ask('file-number-most', { most }))
    .max(most, ask('file-number-most', { most }))
/** Filler over a dent is a few millimetres thick. */
const filmUm = upTo(20_000)
const glossGU = upTo(2_000)
const paintUm = upTo(1_000)
const degrees = upTo(180)

/** Small enough that a file of a whole life can still be sent, letters of base64. */
const PICTURE_MOST = 160_000
/** A photograph as small as it is still worth looking at: a JPEG of 360 px at the longest, in base64. */
const picture = z
  .base64(ask('file-base64'))
  .max(PICTURE_MOST, ask('file-picture'))
  // What every JPEG begins with: nothing else is shown.
  .startsWith('/9j/', ask('file-jpeg'))

/** No coating is said to last longer than cars do. */
const MOST_MONTHS = 600
const months = upTo(MOST_MONTHS).positive(ask('file-positive'))

/** Of cars that may still be looked after: of the first there ever were, as far as our calendar goes (mem). */
const YEARS = { first: 1880, last: 2199 }

/** Ten times what any car ever drove (mem). */
const MOST_KM = 10_000_000

const roundOf = (value: z.ZodType<number>) =>
  z.strictObject({
    panel: text,
    phase: z.enum(PHASES),
    values: z
      .array(value)
      .min(1)
      .max(...listed(500)),
  })

const staySchema = z.strictObject({
  day,
  /** When it went home: paint removed up to then came off before or under what was applied at this stay. */
  homeOn: day,
  kind: z.enum(['work', 'visit', 'repair']),
  title: text,
  odometerKm: z
    .int()
    .nonnegative(ask('file-not-negative'))
    .max(MOST_KM, ask('file-number-most', { most: MOST_KM }))
    .optional(),
  film: z.array(roundOf(filmUm)).max(...listed(200)),
  gloss: z.array(roundOf(glossGU)).max(...listed(200)),
  work: z.array(z.strictObject({ panel: text, process: text, takesUm: paintUm })).max(...listed(200)),
  layers: z
    .array(
      z.strictObject({
        product: text,
        kind: z.enum(PRODUCT_KINDS),
        lot: text,
        surface: z.enum(SURFACES),
        /** Of the paint, where it does not lie on all of it. */
        panels: z
          .array(text)
          .max(...listed(100))
          .optional(),
        endedAt: instant,
        lifeMonths: months,
        firstVisitMonths: months,
      }),
    )
    .max(...listed(50)),
  looks: z
    .array(
      z.strictObject({
        part: text,
        water: z.enum(WATERS),
        angleDegrees: degrees.optional(),
        feel: z.enum(FEELS).optional(),
        cleaned: z.boolean(),
        cause: z.enum(CAUSES).optional(),
        note: text,
      }),
    )
    .max(...listed(200)),
  photographs: z
    .array(
      z.strictObject({
        place: text,
        phase: z.enum(PHASES),
        takenAt: instant,
        sha256: text,
        picture: picture.optional(),
      }),
    )
    .max(...listed(500)),
})

const historySchema = z.strictObject({
  format: z.literal(HISTORY_FORMAT),
  writtenOn: day,
  shop: text,
  vehicle: z.strictObject({
    plate: text,
    vin: text,
    make: text,
    model: text,
    year: z
      .int()
      .min(YEARS.first, ask('file-year', YEARS))
      .max(YEARS.last, ask('file-year', YEARS))
      .optional(),
    shape: z.enum(SHAPES),
    colour: text,
    colourCode: text,
    paintSystem: z.enum(PAINT_SYSTEMS),
    hardness: z.enum(HARDNESSES),
    treatments: z
      .array(z.strictObject({ kind: z.enum(TREATMENTS), what: text, year: text }))
      .max(...listed(50)),
  }),
  stays: z.array(staySchema).max(...listed(1000)),
  ledger: z
    .array(
      z.strictObject({
        panel: text,
        day,
        removedUm: paintUm,
        uncertaintyUm: paintUm.min(0, ask('file-not-negative')),
        source: z.enum(REMOVAL_SOURCES),
        note: text,
      }),
    )
    .max(...listed(5000)),
})

export type VehicleHistory = z.infer<typeof historySchema>
export type HistoryStay = VehicleHistory['stays'][number]

export type HistoryError =
  | { code: 'not-json' }
  | { code: 'other-format'; found: string }
  /** `what` is an ask, or what the parser itself says. */
  | { code: 'malformed'; path: string; what: string }

/** As text. What was read is written again to the letter. */
export function writeHistory(history: VehicleHistory): string {
  return `${JSON.stringify(historySchema.parse(history), null, 2)}\n`
}

/** Reads a file that another shop, or this one, has written. Refuses what is not one, and names the place that is wrong. */
export function readHistory(file: string): Result<VehicleHistory, HistoryError> {
  let parsed: unknown
  try {
    parsed = JSON.parse(file)
  } catch {
    return refused({ code: 'not-json' })
  }
  const format = (parsed as { format?: unknown } | null)?.format
  if (format !== HISTORY_FORMAT) return refused({ code: 'other-format', found: String(format ?? 'none') })
  const read = historySchema.safeParse(parsed)
  if (read.success) return ok(read.data)
  const [issue] = read.error.issues
  const path = issue!.code === 'unrecognized_keys' ? [...issue!.path, ...issue!.keys] : issue!.path
  // Of the wrong kind altogether, such as a list for a word: the library’s own words would help nobody here.
  const what = readAsk(issue!.message) ? issue!.message : ask('file-other')
  return refused({ code: 'malformed', path: path.join('.'), what })
}

/** The latest day a history tells of. */
export function lastDayOf({ writtenOn, stays, ledger }: VehicleHistory): string {
  const days: string[] = [
    writtenOn,
    ...ledger.map(({ day }) => day),
    ...stays.flatMap(({ day, homeOn, layers, photographs }) => [
      day,
      homeOn,
      ...layers.map(({ endedAt }) => endedAt.slice(0, 10)),
      ...photographs.map(({ takenAt }) => takenAt.slice(0, 10)),
    ]),
  ]
  return days.reduce((latest, each) => (each > latest ? each : latest))
}
