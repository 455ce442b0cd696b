import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { TabletsScreen } from '@/features/staff/tablets-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { ownAuthority, reachOf } from '@/server/gate/reach'
import { loadShop } from '@/server/shop/shop-store'
import { callerNow } from '@/server/staff/caller-now'
import { listDevices } from '@/server/staff/paired-devices'
import { whoIsHere } from '@/server/staff/who-is-here'
import { ago } from '@/text/en/staff'

export const metadata: Metadata = { title: 'Tablets' }

export default async function TabletsPage() {
  const db = await database()
  const at = now()
  const caller = await callerNow()
  const { setup } = await loadShop(db)
  const devices = await listDevices(db)
  const { isOpen } = await whoIsHere()
  const { origins, isEncrypted } = reachOf(process.env)
  const authority = isEncrypted ? ownAuthority() : undefined
  return (
    <>
      <TabletsScreen
        isOpen={isOpen}
        devices={devices.map(({ id, name, seenAt }) => ({ id, name, seen: ago(setup.region, seenAt, at) }))}
        isPaired={caller.paired !== undefined}
        reached={{ origins, isEncrypted, ...(authority ? { fingerprint: authority.fingerprint } : {}) }}
      />
      <RecordChanges of={[{ of: 'paired_devices' }]} />
    </>
  )
}
