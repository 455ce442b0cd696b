import { type MethodKey, optionsOf } from '@/core/correction'
import { freeSettings, type OfferInput, type PackageTemplate } from '@/core/offer'
import { methodTitle } from '@/text/en/correction'
import { staffPanel } from '@/text/en/staff-panels'
import { useRegion } from '@/ui/region'

type Props = {
  template: PackageTemplate
  input: OfferInput
  processes: Readonly<Record<string, MethodKey>>
  onChange: (panel: string, method: MethodKey) => void
}

/** The method of each panel, of those its paint allows. */
export function PanelMethods({ template, input, processes, onChange }: Props) {
  const region = useRegion()
  const settings = freeSettings(template, input)
  return (
    <ul className="divide-y divide-line">
      {input.judgement.panels.map((judged) => {
        const { panel } = judged
        const id = `method-${panel.id}`
        const allowed = optionsOf(judged, settings).filter(
          ({ method, broken }) => broken.length === 0 || method.key === processes[panel.id],
        )
        return (
          <li key={panel.id} className="grid grid-cols-[2fr_3fr] items-center gap-2 py-1">
            <label htmlFor={id} className="text-[15px] leading-tight">
              {staffPanel(region, panel.id)}
            </label>
            <select
              id={id}
              className="field w-full"
              value={processes[panel.id] ?? 'leave'}
              onChange={(event) => onChange(panel.id, event.target.value)}
            >
              {allowed.map(({ method }) => (
                <option key={method.key} value={method.key}>
                  {methodTitle(method)}
                </option>
              ))}
            </select>
          </li>
        )
      })}
    </ul>
  )
}
