import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { toCustomerId, toVehicleId } from '../ids'
import { localDayOrThrow } from '../time'
import { type BringEntry, bringEntrySchema, guessColumns, type Known, planBring } from '.'

const NOBODY: Known = { customers: [], vehicles: [], past: [] }
const car = (plate: string, vin = ''): NonNullable<BringEntry['vehicle']> => ({
  plate,
  vin,
  make: 'Corvane',
  model: 'Nimble',
  colour: '',
  colourCode: '',
  shape: 'hatchback',
})
const row = (line: number, name: string, more: Partial<BringEntry> = {}): BringEntry => ({
  line,
  name,
  phone: '',
  email: '',
  ...more,
})
const washed = (day: string) => ({ day: localDayOrThrow(day), work: 'Wash' })

describe('columns are known by their heads', () => {
  test.each([
    ['English', ['Customer', 'Mobile', 'E-mail', 'Reg no', 'Make', 'Model', 'Date', 'Package', 'Price']],
    [
      'German',
      ['Kunde', 'Handy', 'E-Mail', 'Kennzeichen', 'Hersteller', 'Modell', 'Datum', 'Leistung', 'Betrag'],
    ],
    [
      'French',
      ['Nom', 'Téléphone', 'Courriel', 'Immatriculation', 'Marque', 'Modèle', 'Date', 'Prestation', 'Prix'],
    ],
  ])('%s', (_, header) => {
    expect(guessColumns(header)).toEqual({
      name: 0,
      phone: 1,
      email: 2,
      plate: 3,
      make: 4,
      model: 5,
      day: 6,
      work: 7,
      price: 8,
    })
  })
  test('what nobody can know is left to whoever brings it', () => {
    expect(guessColumns(['A', 'B', ''])).toEqual({})
  })
})

describe('who is known', () => {
  const ita = {
    id: toCustomerId('c1'),
    name: 'Ita Corrigan',
    phone: '+353 86 555 0101',
    email: 'ita@example.com',
  }
  const known: Known = {
    customers: [ita],
    vehicles: [{ id: toVehicleId('v1'), customerId: ita.id, plate: 'IM 4471', vin: '1M8GDM9AXKP042788' }],
    past: [{ vehicleId: toVehicleId('v1'), day: '2025-04-02', work: 'Wash' }],
  }
  test.each([
    ['vin', row(1, 'Somebody', { vehicle: car('OTHER 1', '1m8gdm9a-xkp042788') })],
    ['plate', row(1, 'Somebody', { vehicle: car('im4471') })],
    ['email', row(1, 'I. Corrigan', { email: 'Ita@Example.com' })],
    ['phone', row(1, 'I. Corrigan', { phone: '086 5550101' })],
  ] as const)('is recognised by %s, and stays as it is', (by, entry) => {
    const plan = planBring([entry], known)
    expect(plan.customers).toEqual([])
    expect(plan.recognised).toEqual([
      { line: 1, by, name: 'Ita Corrigan', plate: entry.vehicle?.plate ?? '' },
    ])
  })
  test('a name alone is no proof: two people may share it', () => {
    expect(planBring([row(1, 'Ita Corrigan')], known).customers).toHaveLength(1)
  })
  test('another car of a known owner comes under that owner', () => {
    const plan = planBring([row(1, 'Ita', { email: ita.email, vehicle: car('IM 9') })], known)
    expect(plan.vehicles).toMatchObject([{ plate: 'IM 9', customer: { known: ita.id } }])
  })
  test('work that stands there already is not brought again', () => {
    const of = (day: string) => row(1, 'Ita', { vehicle: car('IM 4471'), past: washed(day) })
    const plan = planBring([of('2025-04-02'), of('2025-05-01')], known)
    expect(plan).toMatchObject({ pastKnown: 1, past: [{ day: '2025-05-01', vehicle: { known: 'v1' } }] })
  })
  test('“none” is no plate by which two cars are one', () => {
    const both = [
      row(1, 'A', { vehicle: car('none', 'VIN-ONE-1') }),
      row(2, 'B', { vehicle: car('none', 'VIN-TWO-2') }),
    ]
    expect(planBring(both, NOBODY).vehicles).toHaveLength(2)
  })
})

describe('within one list', () => {
  test('an owner with two cars and three visits is one owner, and what a later row adds is kept', () => {
    const plan = planBring(
      [
        row(1, 'Bram Tolley', { vehicle: car('IM 1'), past: washed('2024-01-05') }),
        row(2, 'BRAM TOLLEY', { phone: '086 555 0199', vehicle: car('IM 2'), past: washed('2024-02-05') }),
        row(3, 'Bram Tolley', { vehicle: car('IM 1'), past: washed('2024-03-05') }),
      ],
      NOBODY,
    )
    expect(plan.customers).toEqual([{ line: 1, name: 'Bram Tolley', phone: '086 555 0199', email: '' }])
    expect(plan.vehicles.map(({ plate }) => plate)).toEqual(['IM 1', 'IM 2'])
    expect(plan.past.map(({ vehicle }) => vehicle)).toEqual([{ fresh: 0 }, { fresh: 1 }, { fresh: 0 }])
  })
  test('two of one name who are reached differently are two', () => {
    const plan = planBring(
      [row(1, 'Ana Byrne', { phone: '086 555 0001' }), row(2, 'Ana Byrne', { phone: '086 555 0002' })],
      NOBODY,
    )
    expect(plan.customers).toHaveLength(2)
  })
})

const someEntry = fc
  .record({
    // People are reached in one way each, of which a row may leave something out.
    who: fc.constantFrom(
      { name: 'Ana', phone: '086 555 0001', email: 'a@example.com' },
      { name: 'Ana', phone: '086 555 0002', email: 'other@example.com' },
      { name: 'Bo', phone: '086 555 0003', email: '' },
      { name: 'Cy', phone: '', email: 'c@example.com' },
    ),
    withPhone: fc.boolean(),
    withMail: fc.boolean(),
    plate: fc.constantFrom('', 'none', 'IM 1', 'im1', 'IM 2'),
    vin: fc.constantFrom('', 'AAAAAA1', 'BBBBBB2'),
    day: fc.constantFrom('', '2024-01-01', '2024-01-02'),
  })
  .map(({ plate, vin, day, who, withPhone, withMail }): BringEntry => {
    const vehicle = plate || vin ? car(plate, vin) : undefined
    const reached = { phone: withPhone ? who.phone : '', email: withMail ? who.email : '' }
    return {
      line: 1,
      name: who.name,
      ...reached,
      ...(vehicle ? { vehicle, ...(day ? { past: washed(day) } : {}) } : {}),
    }
  })

test('brought a second time, a list brings nothing', () => {
  fc.assert(
    fc.property(fc.array(someEntry, { maxLength: 12 }), (rows) => {
      const entries = rows.map((entry, at) => bringEntrySchema.parse({ ...entry, line: at + 1 }))
      const first = planBring(entries, NOBODY)
      const customerId = (at: number) => toCustomerId(`c${at}`)
      const vehicleId = (at: number) => toVehicleId(`v${at}`)
      const idOf = <Id>(ref: { known: Id } | { fresh: number }, of: (at: number) => Id) =>
        'known' in ref ? ref.known : of(ref.fresh)
      const now: Known = {
        customers: first.customers.map(({ line: _, ...customer }, at) => ({
          id: customerId(at),
          ...customer,
        })),
        vehicles: first.vehicles.map(({ plate, vin, customer }, at) => ({
          id: vehicleId(at),
          customerId: idOf(customer, customerId),
          plate,
          vin,
        })),
        past: first.past.map(({ vehicle, day, work }) => ({
          vehicleId: idOf(vehicle, vehicleId),
          day,
          work,
        })),
      }
      const again = planBring(entries, now)
      // Only a car that has neither plate nor VIN, or an owner with nothing but a name, cannot be known again.
      const nameless = entries.filter(
        ({ vehicle }) => vehicle && !vehicle.vin && /^(none)?$/i.test(vehicle.plate),
      )
      if (nameless.length === 0) expect([again.vehicles, again.past]).toEqual([[], []])
      if (entries.every(({ phone, email }) => phone || email)) expect(again.customers).toEqual([])
    }),
    { numRuns: 300 },
  )
})
