import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { LANGUAGES } from '@/core/customer'
import { OCCASIONS } from '@/core/messages'
import { TextsScreen, type TextView } from '@/features/aftercare/texts-screen'
import { database } from '@/server/db/connection'
import { loadTemplates } from '@/server/messages/message-store'
import { loadShop, shopVersion } from '@/server/shop/shop-store'

export const metadata: Metadata = { title: 'Texts and times' }

export default async function TextsPage() {
  const db = await database()
  const templateOf = await loadTemplates(db)
  const texts = OCCASIONS.flatMap((occasion) =>
    LANGUAGES.map((language): TextView => ({ occasion, language, ...templateOf(occasion, language) })),
  )
  const version = await shopVersion(db)
  const { quiet, climate } = (await loadShop(db)).setup
  return (
    <>
      <TextsScreen texts={texts} quiet={quiet} climate={climate} version={version} />
      <RecordChanges width="narrow" of={[{ of: 'templates' }, { of: 'shop', parts: ['quiet', 'climate'] }]} />
    </>
  )
}
