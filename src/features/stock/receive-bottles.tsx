'use client'

import { useState } from 'react'
import type { Product } from '@/core/coating'
import { receiveBottles } from '@/server/stock/stock-actions'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useAction } from '@/ui/use-action'

/** Bottles that have come in. */
export function ReceiveBottles({
  products,
}: {
  products: readonly Pick<Product, 'id' | 'name' | 'bottleMl'>[]
}) {
  const [productId, setProductId] = useState('')
  const [typed, setTyped] = useState({ lot: '', ml: '', count: '1' })
  const { run, pending, errorAt, refusal } = useAction()
  const choose = (id: string) => {
    setProductId(id)
    const ml = products.find((product) => product.id === id)?.bottleMl
    if (ml) setTyped({ ...typed, ml: String(ml) })
  }
  const keep = () =>
    run(
      receiveBottles,
      {
        productId,
        lot: typed.lot,
        ml: numberOf(typed.ml),
        count: numberOf(typed.count),
      },
      () => setTyped({ ...typed, lot: '', count: '1' }),
    )
  const text = (field: keyof typeof typed, label: string, width: string) => (
    <Field label={label} {...errorAt(field)}>
      {field === 'lot' ? (
        <input
          className={`field ${width}`}
          autoComplete="off"
          value={typed.lot}
          onChange={({ target }) => setTyped({ ...typed, lot: target.value })}
        />
      ) : (
        <NumberInput
          className={width}
          whole={field === 'count'}
          {...(field === 'ml' ? { quantity: 'volume' as const } : {})}
          value={typed[field]}
          onChange={(value) => setTyped({ ...typed, [field]: value })}
        />
      )}
    </Field>
  )
  return (
    <section className="mt-6" aria-label="Receive bottles">
      <h2 className="mb-2 text-xl">Receive bottles</h2>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Product" {...errorAt('productId')}>
          <select
            className="field min-w-48"
            value={productId}
            onChange={({ target }) => choose(target.value)}
          >
            <option value="">Choose</option>
            {products.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        {text('lot', 'Lot', 'w-36')}
        {text('ml', 'ml in each', 'w-28')}
        {text('count', 'How many', 'w-24')}
        <Button disabled={pending} onClick={keep}>
          Put on the shelf
        </Button>
      </div>
      {refusal?.field === '' && (
        <p role="alert" className="mt-2 font-semibold text-copper">
          {refusal.message}
        </p>
      )}
    </section>
  )
}
