import type { Offer } from '@/core/offer'
import type { Region } from '@/core/region'
import { methodWord } from '@/text/en/correction'
import { staffPanelName } from '@/text/en/staff-panels'
import { duration, money, number } from '@/text/formats'

/** Panels that get something else, by what they get instead. */
export function changedPanels(
  region: Region,
  from: Offer,
  to: Offer,
): { change: string; panels: string[] }[] {
  const before = new Map(from.correction.panels.map(({ judged, option }) => [judged.panel.id, option.method]))
  const byChange = new Map<string, string[]>()
  for (const { judged, option } of to.correction.panels) {
    const was = before.get(judged.panel.id)!
    if (was.key === option.method.key) continue
    const change = `${methodWord(option.method)} instead of ${methodWord(was)}`
    byChange.set(change, [...(byChange.get(change) ?? []), staffPanelName(region, judged.panel.id)])
  }
  return [...byChange].map(([change, panels]) => ({ change, panels }))
}

/** What one gets for that much more, or gives up for that much less. */
export function Difference({
  from,
  to,
  name,
  region,
}: {
  from: Offer
  to: Offer
  name: string
  region: Region
}) {
  const cents = to.price.totalCents - from.price.totalCents
  const points = to.correction.indexAfter - from.correction.indexAfter
  const minutes = to.machineMinutes - from.machineMinutes
  return (
    <div className="mt-2 rounded border border-line px-3 py-2 text-[15px]" data-testid="difference">
      <p>
        <strong>
          {money(region, Math.abs(cents))} {cents >= 0 ? 'more' : 'less'}
        </strong>{' '}
        than {name}: {duration(region, Math.abs(minutes))} {minutes >= 0 ? 'more' : 'less'} at the machine,{' '}
        {number(region, Math.abs(points), 1)} points {points >= 0 ? 'more' : 'less'}.
      </p>
      <ul className="mt-1 text-sm text-ink-soft">
        {changedPanels(region, from, to).map(({ change, panels }) => (
          <li key={change}>
            {panels.join(', ')}: {change}
          </li>
        ))}
      </ul>
    </div>
  )
}
