import type { BadBackup } from '@/core/backup'

/** Why a backup cannot be used, and what to do, for whoever restores one. */
export function badBackupText(bad: BadBackup): string {
  switch (bad.code) {
    case 'no-such-file':
      return 'there is no such file.'
    case 'needs-passphrase':
      return 'it is encrypted. Give the file that holds its passphrase: --passphrase-file FILE.'
    case 'wrong-passphrase':
      return 'this is not its passphrase.'
    case 'damaged':
      return bad.name
        ? `it is damaged: ${bad.name} is not as it was written. Take another backup.`
        : 'it is damaged or cut off. Take another backup.'
    case 'newer':
      return `it was made by a newer version of Fern Yard (${bad.step}). Restore it with that version.`
    case 'in-use':
      return `Fern Yard is being served from the folder, by process ${bad.process}. Stop it first.`
  }
}
