import { z } from 'zod'
import { ask } from '../asks'
import { type Signature, signatureSchema } from '../survey'
import { type Instant, plusMinutes } from '../time'
import type { Storage } from '../vehicle'

/** A fresh coat that must not get wet yet, and a car that is fetched: under a roof, in dry weather, kept in, or gone on a signed exception. */

export const SKIES = ['rain', 'frost', 'heat'] as const
/** A spell of weather at the shop; `until` is after `from`. */
export type SkySpell = { kind: (typeof SKIES)[number]; from: Instant; until: Instant }

/** What is known of the time until a coat may get wet. */
export type GoingOut = {
  dryUntil: Instant
  /** Where its owner says it sleeps. */
  storage: Storage
  /** The spells until then; undefined where nobody tells. */
  sky?: readonly SkySpell[]
  /** What staying in until then would take, and cost the shop. */
  keep: { minutes: number; cents: number }
}

/** What a car meets that leaves now. Heat wets nothing; hoar frost melts and runs. */
export type WaterAhead = { kind: 'none' } | { kind: 'unknown' } | { kind: 'wet'; spell: SkySpell }

/** A drive home with its stops, minutes (mem). */
export const DRIVE_HOME_MINUTES = 60

/**
 * What water a car meets before its coat may get wet: until then where it stands in the open, on the way home where it has a roof there.
 */
export function waterAhead(out: Pick<GoingOut, 'dryUntil' | 'sky'>, now: Instant, roof: boolean): WaterAhead {
  const home = plusMinutes(now, DRIVE_HOME_MINUTES)
  const until = roof && home < out.dryUntil ? home : out.dryUntil
  // Whoever drives an hour sees the sky himself.
  if (!out.sky) return roof ? { kind: 'none' } : { kind: 'unknown' }
  const spell = out.sky
    .filter(({ kind, from, until: ends }) => kind !== 'heat' && from < until && now < ends)
    .toSorted((a, b) => a.from.localeCompare(b.from))[0]
  return spell ? { kind: 'wet', spell } : { kind: 'none' }
}

/** How a car leaves whose coat must not get wet yet. */
export const goesSchema = z.discriminatedUnion('how', [
  z.strictObject({ how: z.literal('roof') }),
  z.strictObject({ how: z.literal('open') }),
  z.strictObject({
    how: z.literal('exception'),
    name: z
      .string()
      .trim()
      .min(1, ask('signed-by'))
      .max(200, ask('keep-under', { characters: 200 })),
    signature: signatureSchema,
  }),
])
export type Goes = z.infer<typeof goesSchema>

/** A car that left before it may get wet, on the signed wish of whoever fetched it. */
export type LetGo = { dryUntil: Instant; name: string; signature: Signature; at: Instant }

/** Whether it may leave that way, and what keeps it where it may not. */
export function keepsItIn(
  out: GoingOut,
  now: Instant,
  goes: Goes | undefined,
): WaterAhead | 'unasked' | undefined {
  if (now >= out.dryUntil || goes?.how === 'exception') return undefined
  if (!goes) return 'unasked'
  const water = waterAhead(out, now, goes.how === 'roof')
  return water.kind === 'none' ? undefined : water
}

/** What it costs the shop to keep a car in a bay for so long, cents. */
export const keepingCents = (minutes: number, bayCentsPerHour: number): number =>
  Math.round((minutes / 60) * bayCentsPerHour)
