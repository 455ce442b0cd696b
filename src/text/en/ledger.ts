import type { Region } from '@/core/region'
import { isSpotWork, readWitnesses, type Witness } from '@/core/survey'
import { figure } from '../formats'

/** The note of an entry in the ledger: what somebody wrote, or what gauge and table said each by itself. */
export function ledgerNote(region: Region, note: string): string {
  if (isSpotWork(note)) return 'spot work on one mark'
  const witnesses = readWitnesses(note)
  if (!witnesses) return note
  const said = ({ removedUm, uncertaintyUm }: Witness) =>
    `${figure(region, 'depth', removedUm, 1)} ± ${figure(region, 'depth', uncertaintyUm, 1)}`
  return `gauge ${said(witnesses.gauge)}, table ${said(witnesses.table)}`
}
