import { mayDo } from '@/core/staff'
import { LastChanges } from '@/features/journal/last-changes'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { changesOfRecords, type Watched } from '@/server/journal/record-changes'
import { loadShop } from '@/server/shop/shop-store'
import { whoIsHere } from '@/server/staff/who-is-here'
import { changeTexts, readingOf } from '@/text/en/changes'
import { whoText } from '@/text/en/journal'
import { screenMoment } from '@/text/formats'

const MOST = 6
/** As wide as the page it stands under. */
const WIDTH = { narrow: 'max-w-4xl', middle: 'max-w-5xl', wide: 'max-w-6xl', full: 'max-w-none' } as const

/** Who changed what stands on a page, for whoever may read the journal. */
export async function RecordChanges({
  of,
  width = 'middle',
}: {
  of: readonly Watched[]
  width?: keyof typeof WIDTH
}) {
  const { role } = await whoIsHere()
  if (!mayDo(role, 'manage')) return null
  const db = await database()
  const reading = readingOf(await loadShop(db))
  const seen = (await changesOfRecords(db, of, MOST)).map((change) => ({
    who: whoText(change),
    at: screenMoment(reading.region, change.at, now()),
    changes: change.fields.flatMap(({ of: table, field }) =>
      changeTexts(reading, table, [field], { onItsPage: of.length === 1 }),
    ),
  }))
  return <LastChanges seen={seen.filter(({ changes }) => changes.length > 0)} className={WIDTH[width]} />
}
