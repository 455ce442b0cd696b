import type { Metadata } from 'next'
import { RecordChanges } from '@/app/record-changes'
import { TOLD_FROM } from '@/core/staff'
import { StaffScreen } from '@/features/staff/staff-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'
import { listAccounts } from '@/server/staff/accounts'
import { callerNow } from '@/server/staff/caller-now'
import { listDevices } from '@/server/staff/paired-devices'
import { listSessions, staffRules } from '@/server/staff/sessions'
import { wrongTries } from '@/server/staff/tries-store'
import { whoIsHere } from '@/server/staff/who-is-here'
import { ago, browserName, whence } from '@/text/en/staff'

export const metadata: Metadata = { title: 'Who signs in' }

export default async function StaffPage() {
  const db = await database()
  const at = now()
  const caller = await callerNow()
  const { setup } = await loadShop(db)
  const members = await listAccounts(db)
  const devices = await listDevices(db)
  const sessions = await listSessions(db, at)
  const wrong = await wrongTries(db, at, TOLD_FROM)
  const rules = await staffRules(db)
  const { isOpen } = await whoIsHere()
  return (
    <>
      <StaffScreen
        isOpen={isOpen}
        members={members}
        crew={setup.people.map(({ id, name }) => ({ id, name }))}
        sessions={sessions.map((session) => ({
          id: session.id,
          name: session.name,
          where: session.device ?? browserName(session.browser),
          used: ago(setup.region, session.usedAt, at),
          isThis: session.id === caller.session,
        }))}
        wrong={wrong.map((each) => whence(setup.region, each, { devices, at }))}
        rules={rules}
      />
      <RecordChanges of={[{ of: 'accounts' }, { of: 'staff_rules' }]} />
    </>
  )
}
