import type { Metadata } from 'next'
import { requestFloor } from '@/app/request-floor'
import { dayIn } from '@/core/time'
import { AskWhen } from '@/features/schedule/ask-when'
import { clock } from '@/ui/when'

export const metadata: Metadata = { title: 'When could it be fetched?' }

export default async function PromisePage() {
  const { shop, now } = await requestFloor()
  const { timezone, currency, packages, people, places } = shop.setup
  return (
    <AskWhen
      zone={timezone}
      currency={currency}
      now={now}
      today={dayIn(timezone, now)}
      clockNow={clock(timezone, now)}
      packages={packages.map(({ key, name, pitch }) => ({ key, name, pitch }))}
      names={Object.fromEntries([...people, ...places].map(({ id, name }) => [id, name]))}
    />
  )
}
