import type { Metadata } from 'next'
import { isMissed } from '@/core/backup'
import { instantOf } from '@/core/time'
import { HealthScreen } from '@/features/health/health-screen'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'
import { loadHealth } from '@/server/health/health'
import { loadShop } from '@/server/shop/shop-store'
import { listDevices } from '@/server/staff/paired-devices'
import { bytesText, faultText } from '@/text/en/health'
import { ago } from '@/text/en/staff'
import { number, paperMoment } from '@/text/formats'

export const metadata: Metadata = { title: 'Health' }

export default async function HealthPage() {
  const db = await database()
  const at = now()
  const { region } = (await loadShop(db)).setup
  const health = await loadHealth(db)
  const { space, backup, isBackedUpByHand } = health
  const devices = await listDevices(db)
  return (
    <HealthScreen
      rows={[
        { name: 'Version', said: `${health.version}, database ${health.step}` },
        { name: 'Running since', said: paperMoment(region, instantOf(new Date(health.since))) },
        {
          name: 'Room on the disk',
          said: `${bytesText(region, space.freeBytes)} left; the database takes ${bytesText(region, health.databaseBytes)}`,
          isBad: space.isShort,
        },
        {
          name: 'Last backup',
          said: backup ? paperMoment(region, backup) : 'none yet',
          isBad: !isBackedUpByHand && isMissed(backup, at),
          href: '/shop/backups',
        },
        {
          name: 'Messages',
          said: `${number(region, health.waiting)} waiting to go out, ${number(region, health.failed)} could not be delivered`,
          ...(health.failed > 0 ? { isBad: true, href: '/aftercare/messages' } : {}),
        },
        {
          name: 'Entries of tablets',
          said:
            health.refused > 0
              ? `${number(region, health.refused)} could not be taken and wait on the yard`
              : 'all taken',
          ...(health.refused > 0 ? { isBad: true, href: '/' } : {}),
        },
      ]}
      devices={devices.map(({ id, name, seenAt }) => ({ id, name, seen: ago(region, seenAt, at) }))}
      faults={health.faults.map((fault) => ({
        key: `${fault.atMs} ${fault.which}`,
        at: paperMoment(region, instantOf(new Date(fault.atMs))),
        words: faultText(fault),
      }))}
    />
  )
}
