import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { typedCrew } from '@/core/planning'
import { everybodyOnce } from '@/core/shop'
import { dayIn } from '@/core/time'
import { CrewScreen } from '@/features/shop/crew-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { type FeedKind, listFeeds } from '@/server/planning/feed-links'
import { countries } from '@/server/shop/holidays'
import { loadShop, shopVersion } from '@/server/shop/shop-store'
import { feedLinkText, feedWords } from '@/text/en/feeds'
import { sentence } from '@/text/en/sentence'

export const metadata: Metadata = { title: 'People, bays and hours' }

export default async function CrewPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { setup } = await loadShop(db)
  const links = await listFeeds(db)
  const at = now()
  const feedRow = (kind: FeedKind, of: string, name: string) => ({
    kind,
    of,
    name,
    addresses: links
      .filter((link) => link.kind === kind && link.of === of)
      .map(({ hash, madeAt, readAt }) => ({
        hash,
        words: feedLinkText(setup.region, { madeAt, readAt }, at),
      })),
  })
  const feeds = [
    feedRow('shop', 'all', sentence(feedWords(setup.region).whole)),
    ...everybodyOnce(setup).map(({ id, name }) => feedRow('people', id, name)),
    ...setup.places.map(({ id, name }) => feedRow('bays', id, name)),
  ]
  return (
    <>
      <CrewScreen
        crew={typedCrew(setup)}
        countries={countries()}
        version={version}
        feeds={feeds}
        today={dayIn(setup.region.timezone, now())}
      />
      <RecordChanges
        of={[
          { of: 'shop', parts: ['people', 'places', 'calendars', 'equipment', 'counterCalendar'] },
          { of: 'feeds' },
        ]}
      />
    </>
  )
}
