'use client'

import { useState } from 'react'
import { SKILLS } from '@/core/offer'
import type { Region } from '@/core/region'
import type { Costs } from '@/core/shop'
import { keepCosts } from '@/server/learning/learning-actions'
import { currencySign } from '@/text/formats'
import { amountText, minorOf, numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useAction } from '@/ui/use-action'

const SKILL_NAME = { prep: 'preparation', correct: 'the machine', coat: 'coating' } as const

/** What an hour and a product cost the shop itself: what earnings are held against. */
export function CostsForm({
  costs,
  region,
  version: readAt,
}: {
  costs: Costs
  region: Region
  version: number
}) {
  const [wages, setWages] = useState(() =>
    Object.fromEntries(SKILLS.map((skill) => [skill, amountText(region, costs.wageCentsPerHour[skill])])),
  )
  const [bay, setBay] = useState(amountText(region, costs.bayCentsPerHour))
  const [product, setProduct] = useState(String(costs.productPercent))
  const [version, setVersion] = useState(readAt)
  const { run, pending, refusal, isDone, errorAt } = useAction()
  const error = (field: string) => errorAt(`costs.${field}`)
  const keep = () => {
    const typed: Costs = {
      wageCentsPerHour: {
        prep: minorOf(region, wages.prep!),
        correct: minorOf(region, wages.correct!),
        coat: minorOf(region, wages.coat!),
      },
      bayCentsPerHour: minorOf(region, bay),
      productPercent: numberOf(product),
    }
    run(keepCosts, { version, costs: typed }, (kept) => setVersion(kept.version))
  }
  return (
    <details className="mt-4">
      <summary className="min-h-11 content-center font-head font-semibold underline decoration-ink-soft/40 underline-offset-4">
        What hours, bays and products cost us
      </summary>
      <div className="mt-2 grid gap-3 rounded bg-lichen/60 p-4 sm:grid-cols-3">
        {SKILLS.map((skill) => (
          <Field
            key={skill}
            label={`An hour at ${SKILL_NAME[skill]}, ${currencySign(region)}`}
            {...error(`wageCentsPerHour.${skill}`)}
          >
            <NumberInput
              value={wages[skill] ?? ''}
              onChange={(text) => setWages({ ...wages, [skill]: text })}
            />
          </Field>
        ))}
        <Field
          label={`An hour of a bay, ${currencySign(region)}`}
          hint="Rent, heat, light, insurance."
          {...error('bayCentsPerHour')}
        >
          <NumberInput value={bay} onChange={(text) => setBay(text)} />
        </Field>
        <Field label="Products, % of what we charge" {...error('productPercent')}>
          <NumberInput value={product} onChange={(text) => setProduct(text)} />
        </Field>
        <div className="flex items-end gap-3">
          <Button look="outline" disabled={pending} onClick={keep}>
            Save costs
          </Button>
          {isDone && <p role="status">Saved.</p>}
          {refusal?.field === '' && (
            <p role="alert" className="text-copper">
              {refusal.message}
            </p>
          )}
        </div>
      </div>
    </details>
  )
}
