import type { Measure, PanelTrend } from '@/core/aftercare'
import type { KnownVehicle, VehicleCare } from '@/core/job'
import type { Region } from '@/core/region'
import type { LedgerEntry } from '@/core/survey'
import { panelsOfVehicle } from '@/core/vehicle'
import { staffPanelName } from '@/text/en/staff-panels'
import { measured } from '@/text/formats'
import { LedgerTable } from './ledger-table'
import { ToldForm } from './told-form'
import { TrendSheet } from './trend-sheet'

type Props = {
  known: KnownVehicle
  ledger: readonly LedgerEntry[]
  trends: Record<Measure, PanelTrend[]>
  corrections: VehicleCare['corrections']
  region: Region
}

/** The paint of a vehicle over the years: what was taken, what it still has to give, how film and gloss go. */
export function PaintScreen({ known: { vehicle }, ledger, trends, corrections, region }: Props) {
  const panels = panelsOfVehicle(vehicle)
  const least = corrections.reduce((a, b) => (b.left.leftUm < a.left.leftUm ? b : a))
  return (
    <div className="mx-auto grid max-w-6xl gap-8 p-5 lg:grid-cols-2">
      <section>
        <h2 className="text-2xl">The ledger: all paint ever removed</h2>
        <p className="mt-1 mb-3" data-testid="corrections-left">
          The panel with the least to give is the {staffPanelName(region, least.panel)}:{' '}
          {measured(region, 'depth', least.left.leftUm, 1)},{' '}
          {least.left.polishes === 0 ? (
            <strong>not enough for a light polish</strong>
          ) : (
            <>
              enough for{' '}
              <strong>
                {least.left.polishes} light {least.left.polishes === 1 ? 'polish' : 'polishes'}
              </strong>{' '}
              or {least.left.cuts} {least.left.cuts === 1 ? 'cut' : 'cuts'}
            </>
          )}
          , as far as the ledger knows.
        </p>
        <LedgerTable region={region} ledger={ledger} panels={panels} />
        <ToldForm vehicleId={vehicle.id} panels={panels} />
      </section>
      <section>
        <h2 className="text-2xl">Paint depth and gloss over the years</h2>
        <TrendSheet trends={trends} />
      </section>
    </div>
  )
}
