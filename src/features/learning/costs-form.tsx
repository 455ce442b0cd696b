'use client'

import { useState } from 'react'
import { SKILLS } from '@/core/offer'
import type { Costs } from '@/core/shop'
import { keepCosts } from '@/server/learning/learning-actions'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { typedNumber } from '@/ui/typed-number'
import { useAction } from '@/ui/use-action'

const SKILL_NAME = { prep: 'preparation', correct: 'the machine', coat: 'coating' } as const

const euros = (cents: number) => (cents / 100).toFixed(2)
const cents = (text: string) => Math.round(typedNumber(text) * 100)

/** What an hour and a product cost the shop itself: what earnings are reckoned against. */
export function CostsForm({
  costs,
  currency,
  version: readAt,
}: {
  costs: Costs
  currency: string
  version: number
}) {
  const [wages, setWages] = useState(() =>
    Object.fromEntries(SKILLS.map((skill) => [skill, euros(costs.wageCentsPerHour[skill])])),
  )
  const [bay, setBay] = useState(euros(costs.bayCentsPerHour))
  const [product, setProduct] = useState(String(costs.productPercent))
  const [version, setVersion] = useState(readAt)
  const { run, pending, refusal, isDone, errorAt } = useAction()
  const error = (field: string) => errorAt(`costs.${field}`)
  const keep = () => {
    const typed: Costs = {
      wageCentsPerHour: {
        prep: cents(wages.prep!),
        correct: cents(wages.correct!),
        coat: cents(wages.coat!),
      },
      bayCentsPerHour: cents(bay),
      productPercent: typedNumber(product),
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
            label={`An hour at ${SKILL_NAME[skill]}, ${currency}`}
            {...error(`wageCentsPerHour.${skill}`)}
          >
            <input
              className="field"
              inputMode="decimal"
              value={wages[skill]}
              onChange={(event) => setWages({ ...wages, [skill]: event.target.value })}
            />
          </Field>
        ))}
        <Field
          label={`An hour of a bay, ${currency}`}
          hint="Rent, heat, light, insurance."
          {...error('bayCentsPerHour')}
        >
          <input
            className="field"
            inputMode="decimal"
            value={bay}
            onChange={(event) => setBay(event.target.value)}
          />
        </Field>
        <Field label="Products, % of what we charge" {...error('productPercent')}>
          <input
            className="field"
            inputMode="decimal"
            value={product}
            onChange={(event) => setProduct(event.target.value)}
          />
        </Field>
        <div className="flex items-end gap-3">
          <Button look="outline" disabled={pending} onClick={keep}>
            Reckon with these
          </Button>
          {isDone && <p role="status">Kept.</p>}
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
