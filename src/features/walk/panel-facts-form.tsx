'use client'

import { useRouter } from 'next/navigation'
import { useState } from 'react'
import {
  COVERINGS,
  FINISHES,
  OVERRULES,
  type Panel,
  type PanelFacts,
  type PanelsFacts,
  SUBSTRATES,
  usualCovering,
  type Vehicle,
} from '@/core/vehicle'
import { keepPanelFacts } from '@/server/vehicles/panel-facts-actions'
import { COVERING_NAME, FINISH_NAME, factsText, SUBSTRATE_NAME } from '@/text/en/panel-facts'
import { spelt } from '@/text/en/spelling'
import { staffPanel, staffPanelName } from '@/text/en/staff-panels'
import { FINDING_NAME } from '@/text/en/survey'
import { Button } from '@/ui/button'
import { DayInput } from '@/ui/day-input'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'

type Props = { vehicle: Vehicle; panels: readonly Panel[]; panel: Panel; readOnly: boolean }

/** Values of a form; an empty one is as the car is. */
type Typed = {
  paint: string
  finish: string
  colour: string
  sprayedOn: string
  substrate: string
  as: string
  why: string
  absent: boolean
}

const typedOf = (own: PanelFacts | undefined): Typed => ({
  paint: own?.paint ?? '',
  finish: own?.finish ?? '',
  colour: own?.colour ?? '',
  sprayedOn: own?.sprayedOn ?? '',
  substrate: own?.substrate ?? '',
  as: own?.overruled?.as ?? '',
  why: own?.overruled?.why ?? '',
  absent: own?.absent ?? false,
})

const factsOf = ({ as, why, absent, ...typed }: Typed): Record<string, unknown> => ({
  ...Object.fromEntries(Object.entries(typed).filter(([, value]) => value !== '')),
  ...(as ? { overruled: { as, why } } : {}),
  ...(absent ? { absent: true } : {}),
})

/** What such a panel is as long as nobody says otherwise. */
const asUsual = (name: string) => `As usual: ${name.toLowerCase()}`

/** Where a panel is not like the rest of the car: another paint, sprayed since, of plastic, not there; for several at once. */
export function PanelFactsForm({ vehicle, panels, panel, readOnly }: Props) {
  const region = useRegion()
  const own = vehicle.panelFacts?.[panel.id]
  const [typed, setTyped] = useState(() => typedOf(own))
  const [also, setAlso] = useState<readonly string[]>([])
  const { run, pending, refusal, isDone, clear } = useAction()
  const router = useRouter()
  const set = (change: Partial<Typed>) => {
    setTyped({ ...typed, ...change })
    clear()
  }
  const error = (field: string) =>
    refusal?.field.endsWith(field) || (field === 'why' && refusal?.field.endsWith('overruled.why'))
      ? refusal?.message
      : undefined
  const save = () => {
    const facts = { ...factsOf(typed), ...(own?.present ? { present: true } : {}) }
    const { present: _, ...shared } = facts as Record<string, unknown>
    const told = { [panel.id]: facts, ...Object.fromEntries(also.map((id) => [id, shared])) }
    run(keepPanelFacts, { vehicleId: vehicle.id, facts: told as PanelsFacts }, () => router.refresh())
  }
  const pick = (
    field: 'paint' | 'finish' | 'substrate',
    label: string,
    kinds: readonly string[],
    names: Record<string, string>,
    usual: string,
  ) => (
    <Field label={label} error={error(field)}>
      <select
        className="field"
        value={typed[field]}
        onChange={(event) => set({ [field]: event.target.value })}
      >
        <option value="">{usual}</option>
        {kinds.map((kind) => (
          <option key={kind} value={kind}>
            {names[kind]}
          </option>
        ))}
      </select>
    </Field>
  )
  const usual = usualCovering(panel, vehicle.paintSystem, panels)
  const isAsCar = usual === vehicle.paintSystem
  const said = factsText(region, own)
  const sides = (['left', 'right'] as const).map((side) => ({
    side,
    ids: panels.filter(({ id }) => id.endsWith(`-${side}`) && id !== panel.id).map(({ id }) => id),
  }))
  return (
    <details className="mt-3 border-t border-line pt-1">
      <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
        {said ? `Not like the rest: ${said}` : 'Other paint, sprayed since, or not there?'}
      </summary>
      {!readOnly && (
        <div className="space-y-3 pb-2">
          <div className="grid grid-cols-2 gap-3">
            {pick(
              'paint',
              'Paint',
              COVERINGS,
              COVERING_NAME,
              isAsCar ? 'As the car' : asUsual(COVERING_NAME[usual]),
            )}
            {pick('finish', 'Finish', FINISHES, FINISH_NAME, 'As the car')}
            {pick(
              'substrate',
              'Made of',
              SUBSTRATES,
              SUBSTRATE_NAME,
              asUsual(SUBSTRATE_NAME[panel.substrate]!),
            )}
            <Field label={spelt(region, 'Colour, if another')} error={error('colour')}>
              <input
                className="field"
                value={typed.colour}
                onChange={(event) => set({ colour: event.target.value })}
              />
            </Field>
          </div>
          <Field label="Sprayed on" error={error('sprayedOn')}>
            <DayInput value={typed.sprayedOn} onChange={(sprayedOn) => set({ sprayedOn })} />
          </Field>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 shrink-0 accent-fern"
              checked={typed.absent}
              onChange={(event) => set({ absent: event.target.checked })}
            />
            Not there, or no paint on it (glass roof, hard top off)
          </label>
          <div className="grid grid-cols-2 gap-3">
            <Field label="Against the gauge, it is" error={error('as')}>
              <select
                className="field"
                value={typed.as}
                onChange={(event) => set({ as: event.target.value })}
              >
                <option value="">as the gauge says</option>
                {OVERRULES.map((as) => (
                  <option key={as} value={as}>
                    {FINDING_NAME[as].toLowerCase()}
                  </option>
                ))}
              </select>
            </Field>
            {typed.as && (
              <Field label="Why" error={error('why')}>
                <input
                  className="field"
                  value={typed.why}
                  onChange={(event) => set({ why: event.target.value })}
                />
              </Field>
            )}
          </div>
          <fieldset>
            <legend className="font-head text-sm font-semibold">The same for</legend>
            <div className="mt-1 flex flex-wrap gap-2">
              {sides.map(({ side, ids }) => (
                <Button
                  key={side}
                  look="outline"
                  onClick={() =>
                    setAlso(
                      ids.every((id) => also.includes(id))
                        ? also.filter((id) => !ids.includes(id))
                        : [...new Set([...also, ...ids])],
                    )
                  }
                >
                  All of the {side} side
                </Button>
              ))}
            </div>
            <div className="mt-1 grid grid-cols-2">
              {panels
                .filter(({ id }) => id !== panel.id)
                .map(({ id }) => (
                  <label key={id} className="flex min-h-11 items-center gap-2 text-[15px]">
                    <input
                      type="checkbox"
                      className="size-5 accent-fern"
                      checked={also.includes(id)}
                      onChange={(event) =>
                        setAlso(event.target.checked ? [...also, id] : also.filter((each) => each !== id))
                      }
                    />
                    {staffPanel(region, id)}
                  </label>
                ))}
            </div>
          </fieldset>
          <div className="flex flex-wrap items-center gap-3">
            <Button look="outline" disabled={pending} onClick={save}>
              {pending
                ? 'Saving…'
                : also.length === 0
                  ? `Save for the ${staffPanelName(region, panel.id)}`
                  : `Save for ${also.length + 1} panels`}
            </Button>
            {isDone && <p role="status">Saved.</p>}
            {refusal && !error('why') && (
              <p role="alert" className="text-copper">
                {refusal.message}
              </p>
            )}
          </div>
        </div>
      )}
    </details>
  )
}
