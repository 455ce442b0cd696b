import { describe, expect, test } from 'vitest'
import { Rates } from './rates'

const asked = (path: string, who = '192.0.2.7', method = 'GET') => ({ path, method, who })

describe('how often somebody may ask', () => {
  test('is as often as anybody needs, then not at once', () => {
    const rates = new Rates()
    for (let n = 0; n < 10; n++) expect(rates.take(asked('/o/abc/ask', undefined, 'POST'), 0)).toBeUndefined()
    expect(rates.take(asked('/o/abd/ask', undefined, 'POST'), 0)).toBe(12)
    expect(rates.take(asked('/o/abc/ask', '192.0.2.8', 'POST'), 0)).toBeUndefined()
    expect(rates.take(asked('/o/abc/ask', undefined, 'POST'), 12_000)).toBeUndefined()
    expect(rates.take(asked('/o/abc/ask', undefined, 'POST'), 12_000)).toBe(12)
  })
  test('is counted together for links that are guessed, whatever is guessed', () => {
    const rates = new Rates()
    const answers = Array.from({ length: 80 }, (_, n) => rates.take(asked(`/o/guess-${n}`), 0))
    expect(answers.filter((wait) => wait === undefined)).toHaveLength(60)
  })
  test('is counted at the door for what is written there, not for looking at it', () => {
    const rates = new Rates()
    for (let n = 0; n < 200; n++) expect(rates.take(asked('/sign-in'), 0)).toBeUndefined()
    const writes = Array.from({ length: 70 }, (_, n) =>
      rates.take(asked(n % 2 ? '/sign-in' : '/pair', undefined, 'POST'), 0),
    )
    expect(writes.filter((wait) => wait === undefined)).toHaveLength(60)
  })
  test('is not limited for the work itself', () => {
    const rates = new Rates()
    for (let n = 0; n < 2000; n++) expect(rates.take(asked('/jobs/j-1/work'), 0)).toBeUndefined()
  })
  test('is remembered for so many and no more', () => {
    const rates = new Rates()
    for (let n = 0; n < 20_000; n++) rates.take(asked('/g/abc', `10.0.${n >> 8}.${n & 255}`), 0)
    expect((rates as unknown as { buckets: Map<string, unknown> }).buckets.size).toBeLessThanOrEqual(5000)
  })
})
