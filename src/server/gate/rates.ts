import { type PagePattern, patternOf } from '@/core/staff'

/** How often somebody may ask for what can be guessed at or costs much: a bucket of so many, filled again over a minute. */

type Rate = { most: number; perMinute: number }

/** By address of the shop (mem): several times what a busy shop asks for. Whoever is signed in is counted as themselves, anybody else by where they ask from. */
const RATES: Partial<Record<PagePattern, Rate>> = {
  // Owners' pages and calendars: their addresses cannot be guessed, and nobody needs them by the hundred.
  '/o/:token': { most: 60, perMinute: 60 },
  '/o/:token/ask': { most: 10, perMinute: 5 },
  '/o/:token/care.ics': { most: 30, perMinute: 30 },
  '/o/:token/photos/:hash': { most: 300, perMinute: 300 },
  '/g/:token': { most: 60, perMinute: 60 },
  '/with/:token': { most: 60, perMinute: 60 },
  '/calendars/:token': { most: 60, perMinute: 30 },
  // A tablet that was away for days sends what it kept in one go.
  '/api/queue/photo': { most: 600, perMinute: 300 },
  '/api/queue': { most: 600, perMinute: 600 },
  '/jobs/:id/handover.pdf': { most: 12, perMinute: 20 },
  '/jobs/:id/quote.pdf': { most: 12, perMinute: 20 },
  '/vehicles/:id/history.pdf': { most: 12, perMinute: 20 },
  '/customers/:id/personal-data.zip': { most: 10, perMinute: 5 },
  '/shop/data/everything.zip': { most: 5, perMinute: 2 },
  '/shop/data/tables.zip': { most: 5, perMinute: 2 },
}
/** What is written from the door: signing in and pairing, on top of what wrong tries cost. */
const AT_THE_DOOR: Rate = { most: 60, perMinute: 30 }
const DOOR: readonly (PagePattern | undefined)[] = ['/sign-in', '/pair', '/trust']

const MINUTE_MS = 60_000
/** Buckets that are full again are forgotten once there are so many. */
const KEPT = 5000

type Bucket = { left: number; at: number; rate: Rate }

export class Rates {
  private readonly buckets = new Map<string, Bucket>()

  /** Takes one, and gives after how many seconds to come back where there is none left. `nowMs` only ever grows. */
  take(asked: { path: string; method: string; who: string }, nowMs: number): number | undefined {
    const pattern = patternOf(asked.path)
    const isAtDoor = asked.method === 'POST' && DOOR.includes(pattern)
    const rate = isAtDoor ? AT_THE_DOOR : pattern && RATES[pattern]
    if (!rate) return undefined
    const key = `${isAtDoor ? 'door' : pattern} ${asked.who}`
    const bucket = this.filled(key, rate, nowMs)
    if (bucket.left < 1) return Math.ceil(((1 - bucket.left) / rate.perMinute) * 60)
    bucket.left -= 1
    return undefined
  }

  private filled(key: string, rate: Rate, nowMs: number): Bucket {
    const known = this.buckets.get(key)
    if (!known && this.buckets.size >= KEPT) this.forgetFull(nowMs)
    const left = known ? levelOf(known, nowMs) : rate.most
    const bucket = { left, at: nowMs, rate }
    this.buckets.set(key, bucket)
    return bucket
  }

  private forgetFull(nowMs: number): void {
    for (const [key, bucket] of this.buckets)
      if (levelOf(bucket, nowMs) >= bucket.rate.most) this.buckets.delete(key)
    // Whoever comes from everywhere at once: those who came first are forgotten first.
    for (const key of this.buckets.keys()) {
      if (this.buckets.size < KEPT) break
      this.buckets.delete(key)
    }
  }
}

const levelOf = ({ left, at, rate }: Bucket, nowMs: number) =>
  Math.min(rate.most, left + ((nowMs - at) / MINUTE_MS) * rate.perMinute)
