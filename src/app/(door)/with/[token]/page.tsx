import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { dayIn } from '@/core/time'
import { OwnJobs } from '@/features/shop/own-jobs'
import { now } from '@/server/clock'
import { database, writer } from '@/server/db/connection'
import { loadFloor } from '@/server/floor/floor'
import { feedOf, noteRead } from '@/server/planning/feed-links'
import { eventsOf } from '@/server/planning/feeds'
import { clock, paperDay } from '@/text/formats'

export const metadata: Metadata = { title: 'What is planned', referrer: 'same-origin' }

/** What is planned for a subcontractor, by the address the shop gave them. */
export default async function WithPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const db = await database()
  const at = now()
  const found = await feedOf(db, token)
  const floor = await loadFloor(db, at)
  const own = found?.kind === 'people' ? eventsOf(floor, found.of) : undefined
  if (!found || !own) notFound()
  await noteRead(await writer(), found.hash, at)
  const { region, name: shop } = floor.shop.setup
  const rows = own.events
    .flatMap(({ uid, title, text, where, when }) =>
      when.kind === 'instants' && when.to > at ? [{ uid, title, text, where, ...when }] : [],
    )
    .sort((one, other) => (one.from < other.from ? -1 : 1))
    .map(({ uid, title, text, where, from, to }) => ({
      id: uid,
      day: paperDay(region, dayIn(region.timezone, from)),
      hours: `${clock(region, from)}–${clock(region, to)}`,
      title,
      car: text ?? '',
      where: where ?? '',
    }))
  return <OwnJobs name={own.name} shop={shop} rows={rows} calendar={`/calendars/${token}`} />
}
