import type { Metadata } from 'next'
import { askedOnce, type Search } from '@/app/asked'
import { requestRevision } from '@/app/request-floor'
import { MessagesScreen } from '@/features/aftercare/messages-screen'
import { Live } from '@/features/frame/live'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { listMessages, unreadReplies } from '@/server/messages/message-store'
import { proposalViews } from '@/server/messages/proposal-view'
import { proposeMessages } from '@/server/messages/proposed-messages'
import { loadShop } from '@/server/shop/shop-store'
import { platesOf } from '@/server/vehicles/vehicle-store'

export const metadata: Metadata = { title: 'Messages' }

/** So many are written out; the rest is counted. */
const PROPOSALS_SHOWN = 60

export default async function MessagesPage({ searchParams }: { searchParams: Search }) {
  const since = await requestRevision()
  const page = Math.max(0, Math.floor(Number((await askedOnce<'page'>(searchParams)).page ?? 0)) || 0)
  const db = await database()
  const shop = await loadShop(db)
  const at = now()
  const { proposed, more } = await proposeMessages(db, shop, at, PROPOSALS_SHOWN)
  const queue = await listMessages(db, ['waiting', 'sending', 'failed'])
  const sent = await listMessages(db, ['sent', 'withdrawn'], page)
  const replies = await unreadReplies(db)
  const vehicles = [...queue.messages, ...sent.messages, ...replies].map(({ vehicleId }) => vehicleId)
  return (
    <>
      <Live since={since} />
      <MessagesScreen
        proposals={{ shown: await proposalViews(db, shop, proposed), more }}
        queue={queue.messages}
        sent={sent}
        replies={replies}
        plates={await platesOf(db, vehicles)}
        page={page}
        region={shop.setup.region}
        now={at}
        quiet={shop.setup.quiet}
      />
    </>
  )
}
