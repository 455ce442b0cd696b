'use client'

import { useRouter } from 'next/navigation'
import { PART_IDS, type Vehicle } from '@/core/vehicle'
import { keepPanelFacts } from '@/server/vehicles/panel-facts-actions'
import { staffPanel } from '@/text/en/staff-panels'
import { Refused } from '@/ui/refused'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

/** What this car has beside the panels of its drawing: once it is said to be there, it is inspected and worked like a panel. */
export function MoreParts({
  vehicle,
  onAdded,
}: {
  vehicle: Pick<Vehicle, 'id' | 'panelFacts'>
  onAdded: (id: string) => void
}) {
  const region = useRegion()
  const router = useRouter()
  const { run, pending, refusal } = useAction()
  const missing = PART_IDS.filter((id) => !vehicle.panelFacts?.[id]?.present)
  if (missing.length === 0) return null
  const add = (id: string) =>
    run(keepPanelFacts, { vehicleId: vehicle.id, facts: { [id]: { present: true } } }, () => {
      router.refresh()
      onAdded(id)
    })
  return (
    <fieldset className="mt-3">
      <legend className="text-sm text-ink-soft">
        Also on this car, to be inspected and worked like a panel:
      </legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {missing.map((id) => (
          <button
            key={id}
            type="button"
            disabled={pending}
            className="min-h-11 rounded border border-ink-soft/45 border-dashed px-3 text-[15px] hover:bg-lichen"
            onClick={() => add(id)}
          >
            + {staffPanel(region, id)}
          </button>
        ))}
      </div>
      <Refused refusal={refusal} />
    </fieldset>
  )
}
