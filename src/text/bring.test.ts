import { describe, expect, test } from 'vitest'
import { guessColumns } from '@/core/bring'
import { readTable } from '@/core/table'
import { localDayOrThrow } from '@/core/time'
import { type BringReading, readBrought, shapeOf } from './bring'
import { DUBLIN, OHIO } from './region.fixture'

const HEADER = [
  'Customer',
  'Phone',
  'Email',
  'Reg',
  'VIN',
  'Make',
  'Model',
  'Year',
  'Body',
  'Date',
  'Work',
  'Price',
]
const reading: BringReading = {
  region: DUBLIN,
  today: localDayOrThrow('2027-01-13'),
  columns: guessColumns(HEADER),
  shape: 'hatchback',
}
const cells = (changed: Record<string, string>) => {
  const full: Record<string, string> = {
    Customer: 'Ita Corrigan',
    Phone: "'+353 86 555 0101",
    Email: 'ita@example.com',
    Reg: 'im 4471',
    Make: 'Corvane',
    Model: 'Nimble',
    Year: '2019',
    Body: 'Kombi',
    Date: '02/04/2025',
    Work: 'Wash',
    Price: '€ 45,50',
    ...changed,
  }
  return HEADER.map((column) => full[column] ?? '')
}
const faults = (changed: Record<string, string>, how: Partial<BringReading> = {}) => {
  const read = readBrought(cells(changed), 7, { ...reading, ...how })
  return read.ok ? [] : read.error.map(({ field, code }) => `${field}: ${code}`)
}

test('a row is read as the shop writes days and numbers', () => {
  expect(readBrought(cells({}), 7, reading)).toEqual({
    ok: true,
    value: {
      line: 7,
      name: 'Ita Corrigan',
      phone: '+353 86 555 0101',
      email: 'ita@example.com',
      vehicle: {
        plate: 'IM 4471',
        vin: '',
        make: 'Corvane',
        model: 'Nimble',
        year: 2019,
        colour: '',
        colourCode: '',
        shape: 'estate',
      },
      past: { day: '2025-04-02', work: 'Wash', priceMinor: 4550 },
    },
  })
  const american = [
    readBrought(cells({}), 7, { ...reading, region: OHIO }),
    readBrought(cells({}), 7, { ...reading, dayOrder: 'month-first' }),
  ]
  for (const read of american) expect(read.ok && read.value.past?.day).toBe('2025-02-04')
})

test('a customer without a car, and a car without work, are rows too', () => {
  const none = Object.fromEntries(HEADER.slice(3).map((column) => [column, '']))
  const read = readBrought(cells(none), 1, reading)
  expect(read).toMatchObject({ ok: true })
  expect(read.ok && [read.value.vehicle, read.value.past]).toEqual([undefined, undefined])
})

describe('what is wrong is told by its column, all of it', () => {
  test.each<[Record<string, string>, string[]]>([
    [{ Customer: ' ' }, ['name: no-name']],
    [{ Email: 'ita at example' }, ['email: not-a-mail']],
    [{ Year: 'about 2019' }, ['year: not-a-year']],
    [{ Year: '1019' }, ['year: not-a-year']],
    [{ Reg: '' }, ['plate: no-plate']],
    [{ Date: '31/02/2025' }, ['day: not-a-day']],
    [{ Date: '02/04/2027' }, ['day: day-ahead']],
    [{ Date: '' }, ['day: work-without-day']],
    [{ Price: 'free' }, ['price: not-a-price']],
    [{ Price: '1.234' }, ['price: ambiguous-price']],
    [{ Make: 'x'.repeat(300) }, ['make: too-long']],
    [{ Customer: '', Email: '?', Price: '-3' }, ['name: no-name', 'email: not-a-mail', 'price: not-a-price']],
    [{ Reg: '', Make: '', Model: '', Year: '' }, ['work: work-without-vehicle']],
  ])('%j', (changed, told) => {
    expect(faults(changed)).toEqual(told)
  })
})

test('a price that two readers would read differently is what somebody says it is', () => {
  const price = (threeDigits: BringReading['threeDigits']) => {
    const read = readBrought(cells({ Price: '1.234' }), 1, {
      ...reading,
      ...(threeDigits ? { threeDigits } : {}),
    })
    return read.ok && read.value.past?.priceMinor
  }
  expect(price('thousands')).toBe(123_400)
  expect(price('decimals')).toBe(123)
})

test.each([
  ['€ 1.234,50', 123_450],
  ['1 234,50 EUR', 123_450],
  ['Fr. 120', 12_000],
  ['$85.00', 8_500],
  ['0', 0],
])('the price %s', (text, minor) => {
  const read = readBrought(cells({ Price: text }), 1, reading)
  expect(read.ok && read.value.past?.priceMinor).toBe(minor)
})

test.each([
  ['Sedan', 'saloon'],
  ['Décapotable', 'convertible'],
  ['SUV 5-door', 'suv'],
  ['Wohnmobil', 'motorhome'],
  ['spaceship', undefined],
])('%s is a shape', (words, shape) => expect(shapeOf(words)).toBe(shape))

test('any encoding and separator', () => {
  const text = 'Kunde;Kennzeichen;Hersteller\r\nJörg Öztürk;IM 1;Corvane\r\n'
  const latin = Uint8Array.from(text, (letter) => letter.charCodeAt(0))
  const wide = new Uint8Array([
    0xff,
    0xfe,
    ...new Uint8Array(Uint16Array.from(text, (letter) => letter.charCodeAt(0)).buffer),
  ])
  for (const source of [text, latin, wide]) {
    const table = readTable(source, 100)
    if (!table.ok) throw new Error(table.error.code)
    const [header, first] = table.value.rows
    const read = readBrought(first!, 2, { ...reading, columns: guessColumns(header!) })
    expect(read.ok && read.value.name).toBe('Jörg Öztürk')
  }
})
