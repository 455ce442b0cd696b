import type { Region } from '@/core/region'
import { LIFETIME_UM, type Removal, takenByPanel } from '@/core/survey'
import type { Panel } from '@/core/vehicle'
import { ledgerNote } from '@/text/en/ledger'
import { staffPanel } from '@/text/en/staff-panels'
import { figure, measured, shortDay, unitSign } from '@/text/formats'

const SOURCE_NAME = { measured: 'measured', 'worked-out': 'worked out', told: 'told' } as const

/** The ledger of a vehicle: panel by panel what was ever taken, against what may be taken in its life. */
export function LedgerTable({
  ledger,
  panels,
  region,
}: {
  ledger: readonly Removal[]
  panels: readonly Panel[]
  region: Region
}) {
  if (ledger.length === 0)
    return (
      <p className="text-ink-soft">
        No entries yet. Every correction is entered here when the car is handed over.
      </p>
    )
  const taken = takenByPanel(ledger)
  return (
    <table className="w-full text-[15px]">
      <thead>
        <tr className="text-left text-sm text-ink-soft">
          <th className="py-1 font-normal">Panel</th>
          <th className="py-1 font-normal">Of {measured(region, 'depth', LIFETIME_UM)} for life</th>
          <th className="py-1 text-right font-normal">Removed, {unitSign(region, 'depth')}</th>
        </tr>
      </thead>
      <tbody>
        {panels
          .filter(({ id }) => taken[id])
          .map(({ id }) => {
            const { takenUm, uncertaintyUm } = taken[id]!
            return (
              <tr key={id} className="border-t border-line align-top">
                <td className="py-1.5 pr-3">
                  {staffPanel(region, id)}
                  {ledger
                    .filter(({ panel }) => panel === id)
                    .map((entry, at) => (
                      <span key={at} className="block text-sm text-ink-soft">
                        {shortDay(region, entry.day)}, {SOURCE_NAME[entry.source]}{' '}
                        {figure(region, 'depth', entry.removedUm, 1)} ±{' '}
                        {figure(region, 'depth', entry.uncertaintyUm, 1)}
                        {entry.note && `, ${ledgerNote(region, entry.note)}`}
                      </span>
                    ))}
                </td>
                <td className="w-2/5 py-2.5 pr-3">
                  <Spent takenUm={takenUm} uncertaintyUm={uncertaintyUm} />
                </td>
                <td className="py-1.5 text-right font-semibold whitespace-nowrap">
                  {figure(region, 'depth', takenUm, 1)} ± {figure(region, 'depth', uncertaintyUm, 1)}
                </td>
              </tr>
            )
          })}
      </tbody>
    </table>
  )
}

/** How much of a panel's life is spent, with the band of what is not quite known. */
function Spent({ takenUm, uncertaintyUm }: { takenUm: number; uncertaintyUm: number }) {
  const share = (um: number) => Math.min(100, Math.max(0, (100 * um) / LIFETIME_UM))
  return (
    <svg viewBox="0 0 100 8" preserveAspectRatio="none" className="block h-3 w-full" aria-hidden="true">
      <rect width={100} height={8} className="fill-lichen" />
      <rect width={share(takenUm)} height={8} className="fill-copper" />
      <rect
        x={share(takenUm - uncertaintyUm)}
        width={share(takenUm + uncertaintyUm) - share(takenUm - uncertaintyUm)}
        height={8}
        className="fill-ink"
        fillOpacity={0.25}
      />
    </svg>
  )
}
