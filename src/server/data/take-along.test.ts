import { unzipSync } from 'fflate'
import Papa from 'papaparse'
import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { zipped } from './archive'
import { asJson, asTables, EVERYTHING_FORMAT, tablesToTake } from './take-along'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)

async function unpacked(files: Parameters<typeof zipped>[0]): Promise<Record<string, Uint8Array>> {
  const pieces: Uint8Array[] = []
  for await (const piece of zipped(files)) pieces.push(piece)
  return unzipSync(Buffer.concat(pieces))
}
const textOf = (bytes: Uint8Array | undefined) => new TextDecoder().decode(bytes)

test('as tables, every row of every table goes along, and nothing of the app’s own working', async () => {
  const files = await unpacked(asTables(await tablesToTake(shop.db)))
  expect(Object.keys(files)).toContain('read-me.txt')
  expect(Object.keys(files)).not.toContain('action_journal.csv')
  expect(Object.keys(files)).not.toContain('owner_links.csv')
  for (const table of ['customers', 'vehicles', 'jobs', 'film_readings', 'removals'] as const) {
    const { data, errors } = Papa.parse<Record<string, string>>(textOf(files[`${table}.csv`]), {
      header: true,
      skipEmptyLines: true,
    })
    expect(errors).toEqual([])
    const [kept] = await shop.db(table).count({ rows: '*' })
    expect(data).toHaveLength(Number(kept!.rows))
  }
  const { data } = Papa.parse<Record<string, string>>(textOf(files['vehicles.csv']), { header: true })
  const car = await shop.db('vehicles').where({ plate: 'IM 4471' }).first()
  expect(data.find(({ plate }) => plate === 'IM 4471')).toMatchObject({
    id: car!.id,
    vin: car!.vin,
    year: String(car!.year),
  })
})

test('as JSON, what was kept as JSON stands open, and the photographs lie beside it', async () => {
  const files = await unpacked(asJson(await tablesToTake(shop.db), AT))
  const read = JSON.parse(textOf(files['fern-yard.json']))
  expect(read).toMatchObject({ format: EVERYTHING_FORMAT, writtenAt: AT })
  expect(read.tables.shop[0].setup.name).toBe('Fern Yard')
  const hashes = await shop.db('photos').distinct('hash')
  expect(hashes.length).toBeGreaterThan(0)
  for (const { hash } of hashes) expect(files[`photos/${hash}.jpg`]!.subarray(0, 2)).toEqual(new Uint8Array([0xff, 0xd8]))
})
