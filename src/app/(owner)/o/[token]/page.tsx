import { notFound } from 'next/navigation'
import { dayIn } from '@/core/time'
import { OwnerPageScreen } from '@/features/owner/owner-page-screen'
import { loadOwnerPage } from '@/server/aftercare/owner-page'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { RegionProvider } from '@/ui/region'

/** The page of an owner: their car and nothing else. */
export default async function OwnerPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params
  const db = await database()
  const shop = await loadShop(db)
  const at = now()
  const page = await loadOwnerPage(db, shop, token, at)
  if (!page) notFound()
  const { region } = shop.setup
  return (
    <RegionProvider region={region} today={dayIn(region.timezone, at)}>
      <OwnerPageScreen token={token} page={page} setup={shop.setup} now={at} />
    </RegionProvider>
  )
}
