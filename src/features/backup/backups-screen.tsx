'use client'

import { useRouter } from 'next/navigation'
import type { Region } from '@/core/region'
import { type Instant, instantOrThrow } from '@/core/time'
import { backUpNow, rehearseBackupNow } from '@/server/backup/backup-actions'
import { number, paperMoment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { ShopCrumb } from '../shop/shop-crumb'

export type BackupRow = { name: string; at: Instant; bytes: number }

type Props = {
  kept: readonly BackupRow[]
  into: string
  second?: string
  isSealed: boolean
  byHand: boolean
}

const MEGABYTE = 1024 * 1024

const size = (region: Region, bytes: number) =>
  bytes < MEGABYTE
    ? `${number(region, Math.ceil(bytes / 1024))} kB`
    : `${number(region, Math.round(bytes / MEGABYTE))} MB`

/** The copies from which the shop comes back after a fire: which there are, one more now, and whether the latest would do. */
export function BackupsScreen({ kept, into, second, isSealed, byHand }: Props) {
  const region = useRegion()
  const router = useRouter()
  const making = useAction()
  const trying = useAction()
  return (
    <div className="mx-auto max-w-4xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Backups</h1>
      <p className="mt-1 max-w-prose text-ink-soft">
        {byHand ? 'Backups are made by hand here.' : 'One is made every night.'} Each is one file with
        everything: all that was written, and the photographs. Those of the last seven days are kept, then one
        a week, then one a month.
      </p>
      <div className="mt-4 flex flex-wrap gap-2">
        <Button disabled={making.pending} onClick={() => making.run(backUpNow, null, () => router.refresh())}>
          {making.pending ? 'Making a backup …' : 'Make one now'}
        </Button>
        <Button
          look="outline"
          disabled={trying.pending || kept.length === 0}
          onClick={() => trying.run(rehearseBackupNow, null)}
        >
          {trying.pending ? 'Unpacking and comparing …' : 'Try whether the latest can be restored'}
        </Button>
      </div>
      <Refused refusal={making.refusal ?? trying.refusal} />
      {trying.isDone && kept[0] && (
        <p role="status" className="mt-2 font-semibold text-fern">
          The backup of {paperMoment(region, kept[0].at)} is whole: it can be restored.
        </p>
      )}
      <ul className="mt-5 border-t border-line">
        {kept.map(({ name, at, bytes }) => (
          <li key={name} className="flex flex-wrap items-baseline gap-x-4 border-b border-line py-2">
            <span className="min-w-56 font-semibold">{paperMoment(region, instantOrThrow(at))}</span>
            <span className="text-sm text-ink-soft">{name}</span>
            <span className="ml-auto text-sm">{size(region, bytes)}</span>
          </li>
        ))}
        {kept.length === 0 && <li className="py-3">There is none yet.</li>}
      </ul>
      <h2 className="mt-8 text-xl">Where they are</h2>
      <ul className="mt-1 max-w-prose list-disc pl-5">
        <li>
          <span className="break-all">{into}</span>
        </li>
        <li>
          {second ? (
            <>
              A copy of each in <span className="break-all">{second}</span>
            </>
          ) : (
            'Nowhere else yet. Set FERN_YARD_BACKUPS_2 to a folder on another disk: a fire takes both copies on one.'
          )}
        </li>
        <li>
          {isSealed
            ? 'Encrypted with the passphrase of FERN_YARD_BACKUP_PASSPHRASE_FILE. Without it nobody can open them, you neither: keep it elsewhere, too.'
            : 'Not encrypted: whoever has the file can read it. Set FERN_YARD_BACKUP_PASSPHRASE_FILE to encrypt them.'}
        </li>
      </ul>
      <h2 className="mt-6 text-xl">To restore one</h2>
      <p className="mt-1 max-w-prose">
        Stop the shop, then run “npm run yard -- restore FILE”. It checks the file first, and keeps what stood
        before. The same moves the shop to a new machine.
      </p>
    </div>
  )
}
