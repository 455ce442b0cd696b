import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { cache } from 'react'
import { readIn } from '@/core/region'
import { dayIn } from '@/core/time'
import { letterheadOf } from '@/features/letterhead'
import { OwnerPageScreen } from '@/features/owner/owner-page-screen'
import { loadOwnerPage } from '@/server/aftercare/owner-page'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { ownerWords } from '@/text/owner'
import { RegionProvider } from '@/ui/region'

type Props = { params: Promise<{ token: string }> }

const load = cache(async (token: string) => {
  const db = await database()
  const shop = await loadShop(db)
  const at = now()
  return { shop, at, page: await loadOwnerPage(db, shop, token, at) }
})

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { page, shop } = await load((await params).token)
  return page ? { title: ownerWords(page.known.customer).title(shop.setup.name) } : {}
}

/** The page of an owner: their car and nothing else, in their language. */
export default async function OwnerPage({ params }: Props) {
  const { token } = await params
  const { page, shop, at } = await load(token)
  if (!page) notFound()
  const region = readIn(shop.setup.region, page.known.customer.language)
  return (
    <RegionProvider region={region} today={dayIn(region.timezone, at)}>
      <OwnerPageScreen token={token} page={page} shop={letterheadOf(shop.setup)} region={region} now={at} />
    </RegionProvider>
  )
}
