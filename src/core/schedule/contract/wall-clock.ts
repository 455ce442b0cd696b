/**
 * What a clock on the wall shows, for the independent checker: asked of Intl moment by moment, and of nothing the solver uses.
 * Zones change on quarter hours at most, so each quarter is asked for once.
 */
export class WallClock {
  private static readonly byZone = new Map<string, WallClock>()
  private readonly offsets = new Map<number, number>()
  private readonly format: Intl.DateTimeFormat

  /** The clock of a zone; what it was asked is remembered, since every plan is checked over the same weeks. */
  static in(zone: string): WallClock {
    const clock = WallClock.byZone.get(zone) ?? new WallClock(zone)
    WallClock.byZone.set(zone, clock)
    return clock
  }

  private constructor(zone: string) {
    this.format = new Intl.DateTimeFormat('en-US', {
      timeZone: zone,
      hourCycle: 'h23',
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    })
  }

  /** Local time less UTC in a quarter hour, minutes; quarters are counted from 1970. */
  offset(quarter: number): number {
    const known = this.offsets.get(quarter)
    if (known !== undefined) return known
    const shown = Object.fromEntries(
      this.format
        .formatToParts(new Date(quarter * QUARTER * 60_000))
        .map(({ type, value }) => [type, Number(value)]),
    ) as Record<'year' | 'month' | 'day' | 'hour' | 'minute', number>
    const local = Date.UTC(shown.year, shown.month - 1, shown.day, shown.hour, shown.minute) / 60_000
    const offset = local - quarter * QUARTER
    this.offsets.set(quarter, offset)
    return offset
  }
}

/** Minutes. */
export const QUARTER = 15
