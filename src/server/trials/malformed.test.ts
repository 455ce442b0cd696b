import { expect, test } from 'vitest'
import { instantOrThrow } from '@/core/time'
import { demoShop } from '../db/demo-shop.fixture'
import { deeds } from './deeds.fixture'
import { filledIn, type Said } from './filled-in.fixture'
import { doDeed, worksOutHere } from './in-process.fixture'

const AT = instantOrThrow('2027-01-13T10:20:00Z')
const shop = demoShop(AT)

/** Far more than anybody types, and less than an input may be as a whole: each field knows how long it may be. */
const LONG = 'x'.repeat(60_000)
const HUGE = 2 ** 53

/** Days and moments that exist and are nobody’s: whatever is counted on from them leaves the calendar. */
const farFrom = (value: string): string[] => {
  const found = /^\d{4}-\d\d-\d\d(T.+)?$/.exec(value)
  return found ? ['0001-01-01', '9999-12-31'].map((day) => day + (found[1] ?? '')) : []
}

type Path = readonly (string | number)[]
type Broken = { what: string; input: unknown }

/** Every value in an input with the way to it; of a list the first entry stands for all. */
function leavesOf(input: unknown, path: Path = []): { path: Path; value: unknown }[] {
  if (Array.isArray(input)) return input.length === 0 ? [] : leavesOf(input[0], [...path, 0])
  if (typeof input === 'object' && input !== null && !(input instanceof File))
    return Object.entries(input).flatMap(([name, value]) => leavesOf(value, [...path, name]))
  return [{ path, value: input }]
}

function withValue(input: unknown, [first, ...rest]: Path, value: unknown): unknown {
  if (first === undefined) return value
  if (Array.isArray(input))
    return input.map((each, at) => (at === first ? withValue(each, rest, value) : each))
  const named = input as Record<string, unknown>
  return { ...named, [first]: withValue(named[first], rest, value) }
}

/** One input in every way in which it can be wrong. */
function broken(input: unknown): Broken[] {
  const asAWhole = [null, [], 'nonsense', { nobody: 'knows this' }].filter(
    (each) => JSON.stringify(each) !== JSON.stringify(input),
  )
  const isRecord = typeof input === 'object' && input !== null && !Array.isArray(input)
  return [
    ...asAWhole.map((each) => ({ what: `all of it ${JSON.stringify(each)}`, input: each })),
    ...(isRecord ? [{ what: 'one name too many', input: { ...input, nobody: 'knows this' } }] : []),
    ...leavesOf(input).flatMap(({ path, value }): Broken[] => {
      const wrong =
        typeof value === 'string'
          ? [LONG, 7, ...farFrom(value)]
          : typeof value === 'number'
            ? [HUGE, 'seven']
            : [LONG]
      return wrong.map((each) => ({
        what: `${path.join('.')}: ${String(each).slice(0, 20)}`,
        input: withValue(input, path, each),
      }))
    }),
  ]
}

class TakenBack extends Error {}

test('whatever is sent to an action, it is answered with what is wrong and where, and nothing is done', async () => {
  worksOutHere(shop.db)
  const said: Said[] = []
  const wrong: string[] = []
  let tried = 0
  for (const deed of await deeds(shop.db, AT)) {
    if (deed.kind !== 'action') continue
    const input = filledIn(deed.input, said)
    for (const { what, input: sent } of broken(input)) {
      tried += 1
      await shop.db
        .transaction(async (trx) => {
          const answer = await doDeed(trx, AT, deed, `broken-input-${tried}`, sent)
          if (answer.ok || answer.code === 'fault')
            wrong.push(`${deed.action}, ${what}: ${answer.ok ? 'done' : answer.code}`)
          throw new TakenBack()
        })
        .catch((error) => {
          if (!(error instanceof TakenBack)) throw error
        })
    }
    said.push({ key: deed.key, answer: await doDeed(shop.db, AT, deed, deed.key, input) })
  }
  expect(wrong).toEqual([])
  expect(said.filter(({ answer }) => !(answer as { ok: boolean }).ok)).toEqual([])
  expect(tried).toBeGreaterThan(500)
})
