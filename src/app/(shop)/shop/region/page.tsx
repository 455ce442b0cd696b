import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { logoSrc } from '@/features/letterhead'
import { type RegionChoices, RegionScreen } from '@/features/shop/region-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Name and region' }

function choices(): RegionChoices {
  const names = new Intl.DisplayNames('en', { type: 'currency' })
  return {
    zones: Intl.supportedValuesOf('timeZone'),
    currencies: Intl.supportedValuesOf('currency').map((code) => ({ code, name: names.of(code) ?? code })),
  }
}

export default async function RegionPage() {
  const db = await database()
  const version = await shopVersion(db)
  const { name, address, contact, logo, region, settingUp } = (await loadShop(db)).setup
  // A shop that has no name yet is not called what the file of a new shop calls it.
  const identity = {
    name: settingUp && !settingUp.done.includes('identity') ? '' : name,
    address,
    contact,
    region,
  }
  return (
    <>
      <RegionScreen
        identity={identity}
        logo={logo && logoSrc(logo)}
        choices={choices()}
        version={version}
        now={now()}
      />
      <RecordChanges width="narrow" of={[{ of: 'shop', parts: ['name', 'address', 'contact', 'region'] }]} />
    </>
  )
}
