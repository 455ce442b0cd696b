import { mayDo } from '@/core/staff'
import { LastChanges } from '@/features/journal/last-changes'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { changesOfRecords, type Watched } from '@/server/journal/record-changes'
import { loadShop } from '@/server/shop/shop-store'
import { whoIsHere } from '@/server/staff/who-is-here'
import { changeText } from '@/text/en/changes'
import { whoText } from '@/text/en/journal'
import { screenMoment } from '@/text/formats'

const MOST = 6

/** Who changed what stands on a page, for whoever may read the journal. */
export async function RecordChanges({ of }: { of: readonly Watched[] }) {
  const { role } = await whoIsHere()
  if (!mayDo(role, 'manage')) return null
  const db = await database()
  const { region } = (await loadShop(db)).setup
  const seen = (await changesOfRecords(db, of, MOST)).map((change) => ({
    who: whoText(change),
    at: screenMoment(region, change.at, now()),
    changes: change.fields.map(({ of: table, field }) => changeText(region, table, field)),
  }))
  return <LastChanges seen={seen} />
}
