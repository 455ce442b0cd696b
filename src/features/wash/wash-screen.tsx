'use client'

import clsx from 'clsx'
import { RadioGroup } from 'radix-ui'
import { useMemo, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { WashSetup } from '@/core/shop'
import type { Supply } from '@/core/supply'
import type { StoredWash } from '@/core/wash'
import {
  CLEAN,
  type Contamination,
  type Level,
  planWash,
  SIGHTS,
  type WashInput,
  type WashMethod,
  ZONES,
} from '@/core/wash'
import { spelt } from '@/text/en/spelling'
import { methodReason, partName, SIGHT_LABEL, SIGHT_NAME, TOUCH_NAME, ZONE_NAME } from '@/text/en/wash'
import { measured, unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { ButtonLink } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { PrintButton } from '@/ui/print-button'
import { useRegion } from '@/ui/region'
import { useFindings } from './use-findings'
import { WashSteps } from './wash-steps'

type Props = {
  jobId: JobId
  title: string
  wash: WashSetup
  stored: StoredWash
  /** What the shop washes with. */
  supplies: readonly Supply[]
  /** What of the car, beside its dirt, decides on the wash. */
  car: Pick<WashInput, 'softTop' | 'bakedWheels' | 'strips' | 'coated' | 'fresh' | 'areaM2' | 'singleStage'>
  /** What the bay's sensor says now, °C. */
  airC: number
}

const LEVELS: readonly Level[] = [0, 1, 2, 3]

/** How dirty it is, by touch and by sight, and the wash that follows from it. */
export function WashScreen({ jobId, title, wash, stored, supplies, car, airC }: Props) {
  const { findings, change, message, setMessage } = useFindings(jobId, stored, {
    contamination: CLEAN,
    place: { airC, drain: wash.drain, hose: wash.hose, indoors: true },
  })
  const region = useRegion()
  const [typed, setTyped] = useState<string>()
  const plan = useMemo(
    () => planWash({ ...findings, school: wash.school, gear: wash.gear, supplies, ...car } as WashInput),
    [findings, wash, supplies, car],
  )
  const { contamination, place } = findings
  const typeAir = (text: string) => {
    setTyped(text)
    const value = numberOf(text)
    if (!(value >= -30 && value <= 50))
      return setMessage(`Type the air temperature, such as ${measured(region, 'temperature', 4)}.`)
    change({ ...findings, place: { ...place, airC: value } })
  }
  return (
    <div className="grid gap-6 p-5 lg:grid-cols-[24rem_minmax(0,1fr)]">
      <section aria-label="How dirty it is" className="no-print space-y-5">
        <Levels
          legend="By touch"
          hint="The back of the hand, or a finger in a thin bag, after the first wash."
          rows={ZONES.map((zone) => ({
            id: zone,
            name: spelt(region, ZONE_NAME[zone]),
            level: contamination.touch[zone],
          }))}
          words={TOUCH_NAME}
          onLevel={(id, level) =>
            change({
              ...findings,
              contamination: {
                ...contamination,
                touch: { ...contamination.touch, [id]: level },
              } as Contamination,
            })
          }
        />
        <Levels
          legend="By sight"
          rows={SIGHTS.map((kind) => ({
            id: kind,
            name: SIGHT_LABEL[kind],
            level: contamination.sight[kind],
          }))}
          words={SIGHT_NAME}
          onLevel={(id, level) =>
            change({
              ...findings,
              contamination: {
                ...contamination,
                sight: { ...contamination.sight, [id]: level },
              } as Contamination,
            })
          }
        />
        <fieldset>
          <legend className="mb-2 font-head text-lg font-semibold">Where it is washed</legend>
          <div className="w-32">
            <Field label={`Air, ${unitSign(region, 'temperature')}`}>
              <NumberInput
                quantity="temperature"
                value={typed ?? String(place.airC)}
                onChange={(text) => typeAir(text)}
              />
            </Field>
          </div>
          {(
            [
              ['hose', 'Running water'],
              ['drain', 'A drain that may take it'],
            ] as const
          ).map(([key, label]) => (
            <label key={key} className="flex min-h-11 items-center gap-3">
              <input
                type="checkbox"
                className="size-6 shrink-0 accent-fern"
                checked={place[key]}
                onChange={(event) =>
                  change({ ...findings, place: { ...place, [key]: event.target.checked } })
                }
              />
              {label}
            </label>
          ))}
        </fieldset>
        {message && (
          <p role="alert" className="text-copper">
            {message}
          </p>
        )}
      </section>
      <section aria-label="The wash">
        <div className="flex flex-wrap items-end gap-x-8 gap-y-3">
          <div>
            <p className="eyebrow">{title}</p>
            <h1 className="text-3xl">{plan.method === 'wet' ? 'Wet wash' : 'Washed without a hose'}</h1>
          </div>
          <p className="flex items-baseline gap-2" data-testid="contamination">
            <span className="font-head text-4xl font-bold">{plan.score.score.toFixed(0)}</span>
            <span className="text-sm text-ink-soft">of 100, contamination</span>
          </p>
          <MethodSwitch
            method={findings.method}
            onChange={(method) => change({ contamination, place, ...(method ? { method } : {}) })}
          />
        </div>
        <p className="mt-2 text-[15px]">
          {plan.overruled && 'Chosen by hand, against: '}
          {plan.reasons.map((reason) => methodReason(region, reason)).join(' ')}
        </p>
        {plan.score.parts.length > 0 && (
          <p className="mt-1 text-sm text-ink-soft">
            {plan.score.parts.map(({ what, points }) => `${partName(what)} ${points.toFixed(0)}`).join(' + ')}{' '}
            = {plan.score.score.toFixed(0)}
          </p>
        )}
        {car.coated && plan.clay.start !== 'none' && (
          <p className="mt-2 max-w-prose text-[15px]">
            A coating lies on this car: no clay. What is still felt after the wash is shown to the manager.
          </p>
        )}
        <WashSteps steps={plan.steps} />
        <div className="no-print mt-5 flex flex-wrap gap-3">
          <PrintButton />
          <ButtonLink href={`/jobs/${jobId}/survey`}>Measure the paint</ButtonLink>
          <ButtonLink look="quiet" href="/shop">
            The shop’s bottles, buckets and lance
          </ButtonLink>
          <ButtonLink look="quiet" href="/shop/products">
            Products, strengths and times
          </ButtonLink>
        </div>
      </section>
    </div>
  )
}

function MethodSwitch({
  method,
  onChange,
}: {
  method: WashMethod | undefined
  onChange: (method: WashMethod | undefined) => void
}) {
  return (
    <label className="no-print text-sm">
      Method
      <select
        className="field mt-0.5"
        value={method ?? ''}
        onChange={(event) => onChange((event.target.value || undefined) as WashMethod | undefined)}
      >
        <option value="">by weather and place</option>
        <option value="wet">wet anyway</option>
        <option value="rinseless">rinseless anyway</option>
      </select>
    </label>
  )
}

function Levels({
  legend,
  hint,
  rows,
  words,
  onLevel,
}: {
  legend: string
  hint?: string
  rows: readonly { id: string; name: string; level: Level }[]
  words: Record<Level, string>
  onLevel: (id: string, level: Level) => void
}) {
  return (
    <fieldset>
      <legend className="font-head text-lg font-semibold">{legend}</legend>
      {hint && <p className="mb-2 text-sm text-ink-soft">{hint}</p>}
      {rows.map(({ id, name, level }) => (
        <div key={id} className="flex items-center justify-between gap-3 border-b border-line py-1.5">
          <span className="text-[15px] leading-tight" id={`level-${id}`}>
            {name}
            <span className="block text-sm text-ink-soft">{words[level]}</span>
          </span>
          <RadioGroup.Root
            className="flex shrink-0 gap-1"
            aria-labelledby={`level-${id}`}
            value={String(level)}
            onValueChange={(chosen) => onLevel(id, Number(chosen) as Level)}
          >
            {LEVELS.map((each) => (
              <RadioGroup.Item
                key={each}
                value={String(each)}
                aria-label={`${name}: ${words[each]}`}
                className={clsx(
                  'size-11 rounded border border-ink-soft/45 bg-sheet font-head font-semibold hover:bg-lichen data-[state=checked]:text-on-fern',
                  each === 0
                    ? 'data-[state=checked]:border-fern data-[state=checked]:bg-fern'
                    : 'data-[state=checked]:border-copper data-[state=checked]:bg-copper',
                )}
              >
                {each}
              </RadioGroup.Item>
            ))}
          </RadioGroup.Root>
        </div>
      ))}
    </fieldset>
  )
}
