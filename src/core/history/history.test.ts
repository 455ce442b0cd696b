import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CAUSES, FEELS, WATERS } from '../aftercare'
import { ask, readAsk } from '../asks'
import { PRODUCT_KINDS, SURFACES } from '../coating'
import { REMOVAL_SOURCES } from '../survey'
import { instantOrThrow, localDayOrThrow, plusDays, plusMinutes } from '../time'
import { HARDNESSES, PAINT_SYSTEMS, SHAPES } from '../vehicle'
import { HISTORY_FORMAT, readHistory, type VehicleHistory, writeHistory } from './history-file'

const words = fc.string({ maxLength: 40, unit: 'grapheme' })
const day = fc.integer({ min: 0, max: 9000 }).map((days) => plusDays(localDayOrThrow('2010-01-01'), days))
const instant = fc
  .integer({ min: 0, max: 9_000_000 })
  .map((minutes) => plusMinutes(instantOrThrow('2015-01-01T00:00:00Z'), minutes))
const figure = (least: number, most: number) =>
  fc.integer({ min: 10 * least, max: 10 * most }).map((tenths) => tenths / 10)
const phase = fc.constantFrom('before' as const, 'after' as const)
const rounds = fc.array(
  fc.record({ panel: words, phase, values: fc.array(figure(-500, 2000), { minLength: 1, maxLength: 6 }) }),
  { maxLength: 4 },
)
const jpeg = fc
  .uint8Array({ maxLength: 60 })
  .map((bytes) => Buffer.concat([Buffer.from([0xff, 0xd8, 0xff]), bytes]).toString('base64'))
const optional = { requiredKeys: [] as never[] }

const stay: fc.Arbitrary<VehicleHistory['stays'][number]> = fc
  .tuple(
    fc.record({
      day,
      homeOn: day,
      kind: fc.constantFrom('work' as const, 'visit' as const, 'repair' as const),
      title: words,
      film: rounds,
      gloss: rounds,
      work: fc.array(fc.record({ panel: words, process: words, takesUm: figure(-500, 1000) }), {
        maxLength: 3,
      }),
      layers: fc.array(
        fc
          .tuple(
            fc.record({
              product: words,
              kind: fc.constantFrom(...PRODUCT_KINDS),
              lot: words,
              surface: fc.constantFrom(...SURFACES),
              endedAt: instant,
              lifeMonths: fc.integer({ min: 1, max: 120 }),
              firstVisitMonths: fc.integer({ min: 1, max: 24 }),
            }),
            fc.record({ panels: fc.array(words, { maxLength: 3 }) }, optional),
          )
          .map(([always, perhaps]) => ({ ...always, ...perhaps })),
        { maxLength: 3 },
      ),
      looks: fc.array(
        fc
          .tuple(
            fc.record({ part: words, water: fc.constantFrom(...WATERS), cleaned: fc.boolean(), note: words }),
            fc.record(
              {
                angleDegrees: figure(0, 180),
                feel: fc.constantFrom(...FEELS),
                cause: fc.constantFrom(...CAUSES),
              },
              optional,
            ),
          )
          .map(([always, perhaps]) => ({ ...always, ...perhaps })),
        { maxLength: 3 },
      ),
      photographs: fc.array(
        fc
          .tuple(
            fc.record({ place: words, phase, takenAt: instant, sha256: words }),
            fc.record({ picture: jpeg }, optional),
          )
          .map(([always, perhaps]) => ({ ...always, ...perhaps })),
        { maxLength: 3 },
      ),
    }),
    fc.record({ odometerKm: fc.nat(900_000) }, optional),
  )
  .map(([always, perhaps]) => ({ ...always, ...perhaps }))

const history: fc.Arbitrary<VehicleHistory> = fc.record({
  format: fc.constant(HISTORY_FORMAT),
  writtenOn: day,
  shop: words,
  vehicle: fc
    .tuple(
      fc.record({
        plate: words,
        vin: words,
        make: words,
        model: words,
        shape: fc.constantFrom(...SHAPES),
        colour: words,
        colourCode: words,
        paintSystem: fc.constantFrom(...PAINT_SYSTEMS),
        hardness: fc.constantFrom(...HARDNESSES),
        treatments: fc.constant<VehicleHistory['vehicle']['treatments']>([]),
      }),
      fc.record({ year: fc.integer({ min: 1900, max: 2100 }) }, optional),
    )
    .map(([always, perhaps]) => ({ ...always, ...perhaps })),
  stays: fc.array(stay, { maxLength: 4 }),
  ledger: fc.array(
    fc.record({
      panel: words,
      day,
      removedUm: figure(-500, 1000),
      uncertaintyUm: figure(0, 1000),
      source: fc.constantFrom(...REMOVAL_SOURCES),
      note: words,
    }),
    { maxLength: 4 },
  ),
})

const EMPTY_STAY = {
  day: '2026-01-12',
  homeOn: '2026-01-14',
  kind: 'work',
  title: '',
  film: [],
  gloss: [],
  work: [],
  layers: [],
  looks: [],
  photographs: [],
}
const LAYER = {
  product: 'Heron Glaze',
  kind: 'single',
  lot: '',
  surface: 'paint',
  endedAt: '2026-01-13T15:00:00.000Z',
  lifeMonths: 24,
  firstVisitMonths: 12,
}
const REMOVAL = {
  panel: 'bonnet',
  day: '2026-01-13',
  removedUm: 2,
  uncertaintyUm: 1,
  source: 'told',
  note: '',
}
const withLayer = (more: object) => ({ stays: [{ ...EMPTY_STAY, layers: [{ ...LAYER, ...more }] }] })

describe('a history that is handed on', () => {
  test('is read as it was written, and written again to the letter', () => {
    fc.assert(
      fc.property(history, (written) => {
        const file = writeHistory(written)
        const read = readHistory(file)
        if (!read.ok) throw new Error(read.error.code)
        expect(read.value).toEqual(written)
        expect(writeHistory(read.value)).toBe(file)
      }),
    )
  })
  test('cut off anywhere, or with anything else in a place, is refused in words or reads as something whole', () => {
    const [one] = fc.sample(history, { numRuns: 1, seed: 7 }) as [VehicleHistory]
    const file = writeHistory(one)
    fc.assert(
      fc.property(fc.integer({ min: 0, max: file.length - 2 }), fc.json(), (at, junk) => {
        const cut = readHistory(file.slice(0, at))
        expect(cut.ok).toBe(false)
        const spoiled = readHistory(file.slice(0, at) + junk + file.slice(at + 1))
        for (const read of [cut, spoiled])
          if (!read.ok) expect(read.error.code).toMatch(/^(not-json|other-format|malformed)$/)
      }),
    )
  })
  test.each([
    ['a day that never was', { writtenOn: '2026-02-30' }, 'writtenOn'],
    ['a shape nobody knows', { vehicle: { shape: 'zeppelin' } }, 'vehicle'],
    ['something that does not belong there', { owner: 'Nuala' }, 'owner'],
    ['no stays', { stays: null }, 'stays'],
    ['a whole book for a word', { shop: 'x'.repeat(2001) }, 'shop'],
    ['more km than there are', { stays: [{ ...EMPTY_STAY, odometerKm: 1e9 }] }, 'stays.0.odometerKm'],
    ['a coat that outlasts the calendar', withLayer({ lifeMonths: 100_000 }), 'stays.0.layers.0.lifeMonths'],
    ['a coat that lasts no time', withLayer({ lifeMonths: 0 }), 'stays.0.layers.0.lifeMonths'],
    ['a coat of the year 1', withLayer({ endedAt: '0001-01-01T00:00:00.000Z' }), 'stays.0.layers.0.endedAt'],
    ['a stay of the year 1', { stays: [{ ...EMPTY_STAY, day: '0001-01-01' }] }, 'stays.0.day'],
    ['a day after any of ours', { stays: [{ ...EMPTY_STAY, homeOn: '9999-12-31' }] }, 'stays.0.homeOn'],
    ['paint as thick as a wall', { ledger: [{ ...REMOVAL, removedUm: 1e9 }] }, 'ledger.0.removedUm'],
    ['a car of before there were any', { vehicle: { year: 1 } }, 'vehicle'],
  ])('with %s is refused, and the place is named', (_, change, place) => {
    const [one] = fc.sample(history, { numRuns: 1, seed: 3 }) as [VehicleHistory]
    const read = readHistory(JSON.stringify({ ...one, ...change }))
    expect(read).toMatchObject({
      ok: false,
      error: { code: 'malformed', path: expect.stringContaining(place) },
    })
    const { what } = (read as { error: { what: string } }).error
    expect(readAsk(what), what).toBeDefined()
  })
  test('of more removals than a form takes says how many it may hold', () => {
    const [one] = fc.sample(history, { numRuns: 1, seed: 3 }) as [VehicleHistory]
    const read = readHistory(JSON.stringify({ ...one, ledger: Array(5001).fill(REMOVAL) }))
    const what = ask('file-list-most', { most: 5000 })
    expect(read).toMatchObject({ ok: false, error: { code: 'malformed', path: 'ledger', what } })
  })
  test.each([
    ['no base64', 'dear colleague', ask('file-base64')],
    ['a drawing that could run', Buffer.from('<svg onload="x()"/>').toString('base64'), ask('file-jpeg')],
    ['far too large', `/9j/${'A'.repeat(200_000)}`, ask('file-picture')],
  ])('with a picture that is %s is refused', (_, picture, said) => {
    const [one] = fc.sample(history, { numRuns: 1, seed: 3 }) as [VehicleHistory]
    const [first] = fc.sample(stay, { numRuns: 1, seed: 1 }) as [VehicleHistory['stays'][number]]
    const photograph = {
      place: 'bonnet',
      phase: 'after',
      takenAt: '2027-01-13T10:00:00.000Z',
      sha256: 'a'.repeat(64),
      picture,
    }
    const read = readHistory(JSON.stringify({ ...one, stays: [{ ...first, photographs: [photograph] }] }))
    expect(read).toMatchObject({
      ok: false,
      error: {
        code: 'malformed',
        path: 'stays.0.photographs.0.picture',
        what: said,
      },
    })
  })
})
