import type { Metadata } from 'next'
import { BackupsScreen } from '@/features/backup/backups-screen'
import { backupPlaces, listBackups } from '@/server/backup/places'

export const metadata: Metadata = { title: 'Backups' }

export default async function BackupsPage() {
  const { into, second, secret, byHand } = backupPlaces()
  return (
    <BackupsScreen
      kept={await listBackups(into)}
      into={into}
      {...(second ? { second } : {})}
      isSealed={secret !== undefined}
      byHand={byHand}
    />
  )
}
