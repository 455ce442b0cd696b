import type { Metadata } from 'next'
import { requestFloor } from '@/app/request-floor'
import { pitchFor } from '@/core/offer'
import { AWAY } from '@/core/planning'
import { namesOf } from '@/core/shop'
import { clockIn, dayIn } from '@/core/time'
import { AskWhen } from '@/features/schedule/ask-when'

export const metadata: Metadata = { title: 'Earliest collection date' }

export default async function PromisePage() {
  const { shop, now } = await requestFloor()
  const { region, packages } = shop.setup
  return (
    <AskWhen
      region={region}
      now={now}
      today={dayIn(region.timezone, now)}
      clockNow={clockIn(region.timezone, now)}
      packages={packages.map(({ key, name, pitch }) => ({
        key,
        name,
        pitch: pitchFor(pitch, region.language),
      }))}
      names={{ ...namesOf(shop.setup), [AWAY]: 'Away' }}
    />
  )
}
