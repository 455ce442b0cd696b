import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { agoMs, type Heard, type Reading } from './when'

const MINUTE = 60_000
const HOUR = 60 * MINUTE

/** A tablet through time: its wall clock may be set, its page's clock stands still in sleep and begins anew with a page. */
class Tablet {
  private now = 1_000 * HOUR
  private wallOff: number
  private asleep = 0
  private pageFrom = 0
  private pages = 1
  constructor(wallOff: number) {
    this.wallOff = wallOff
    this.pageFrom = this.now
  }
  get time() {
    return this.now
  }
  wait(ms: number, asleep = false) {
    this.now += ms
    if (asleep) this.asleep += ms
  }
  set(by: number) {
    this.wallOff += by
  }
  reload() {
    this.pages += 1
    this.pageFrom = this.now
    this.asleep = 0
  }
  read(): Reading {
    return {
      wall: this.now + this.wallOff,
      mono: this.now - this.pageFrom - this.asleep,
      session: `page-${this.pages}`,
    }
  }
  hear(): Heard {
    return { ...this.read(), shop: this.now }
  }
}
const span = fc.integer({ min: 1, max: 20 * HOUR })
const wrong = fc.integer({ min: -400 * HOUR, max: 400 * HOUR })

describe('how long ago something was', () => {
  test('is known whatever the wall clock shows, as long as it is left alone', () => {
    fc.assert(
      fc.property(wrong, span, span, fc.boolean(), fc.boolean(), (off, before, after, sleeps, reloads) => {
        const tablet = new Tablet(off)
        const last = tablet.hear()
        tablet.wait(before)
        const read = tablet.read()
        tablet.wait(after, sleeps)
        if (reloads) tablet.reload()
        expect(agoMs(read, tablet.hear(), last)).toBe(after)
      }),
    )
  })
  test('survives a clock that is set right before it is sent', () => {
    fc.assert(
      fc.property(wrong, span, span, span, (off, before, after, more) => {
        const tablet = new Tablet(off)
        const last = tablet.hear()
        tablet.wait(before)
        const read = tablet.read()
        tablet.wait(after)
        tablet.set(-off)
        tablet.wait(more)
        // A clock set by less than a minute is believed: that is how far a card reads.
        expect(Math.abs(agoMs(read, tablet.hear(), last) - (after + more))).toBeLessThanOrEqual(MINUTE)
      }),
    )
  })
  test('is never less than nothing, nor longer than since the shop was heard before', () => {
    fc.assert(
      fc.property(wrong, wrong, span, span, fc.boolean(), (off, set, before, after, reloads) => {
        const tablet = new Tablet(off)
        const last = tablet.hear()
        tablet.wait(before)
        const read = tablet.read()
        tablet.wait(after, true)
        tablet.set(set)
        if (reloads) tablet.reload()
        const ago = agoMs(read, tablet.hear(), last)
        expect(ago).toBeGreaterThanOrEqual(0)
        expect(ago).toBeLessThanOrEqual(before + after)
      }),
    )
  })
})
