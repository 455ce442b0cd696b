'use client'

import { useState } from 'react'
import { PADS, type Pad } from '@/core/correction'
import {
  type PadSize,
  type Shelf,
  type Supply,
  type SupplyKind,
  type SupplyState,
  supplyState,
} from '@/core/stock'
import type { Instant } from '@/core/time'
import { addSet, countSet, priceSet, renewSet, washSet } from '@/server/stock/stock-actions'
import { stepTitle } from '@/text/en/step-names'
import { workInEnglish } from '@/text/en/work'
import { currencySign, minorDigits, moment, money } from '@/text/formats'
import { title } from '@/text/title'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useMayDo } from '@/ui/me'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { useAction } from '@/ui/use-action'
import { NumberEditor } from './number-editor'

const KIND_WORDS: Record<SupplyKind, string> = { pad: 'Pads', towel: 'Towels' }
const STATE_WORDS: Record<SupplyState, string> = {
  good: '',
  'wash-some': 'Wash due',
  'too-few': 'Reorder',
  worn: 'Worn out: replace',
}

/** Pads and towels by set: clean, dirty, and how often they were washed. */
export function Supplies({
  supplies,
  pads,
  towels,
  now,
}: {
  supplies: readonly Supply[]
  pads: Shelf['pads']
  towels: number
  now: Instant
}) {
  const region = useRegion()
  const digits = minorDigits(region)
  const mayPrice = useMayDo('manage')
  const { run, pending, refusal } = useAction()
  return (
    <section className="mt-8" aria-label="Pads and towels">
      <h2 className="mb-2 text-xl">Pads and towels</h2>
      <WeekNeeds supplies={supplies} pads={pads} towels={towels} now={now} />
      {supplies.length > 0 && (
        <table className="w-full text-[15px]">
          <thead className="text-left text-sm text-ink-soft">
            <tr>
              <th className="py-1 font-normal">Set</th>
              <th className="py-1 text-right font-normal">Clean</th>
              <th className="py-1 text-right font-normal">Dirty</th>
              <th className="py-1 text-right font-normal">Washes</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {supplies.map((supply) => {
              const state = supplyState(supply)
              return (
                <tr key={supply.id} className="border-t border-line" data-set={supply.name}>
                  <td className="py-1">
                    <strong className="font-semibold">{supply.name}</strong>
                    {supply.of && <span className="ml-3 text-ink-soft">{padText(supply.of)}</span>}
                    {state !== 'good' && <span className="ml-3 text-copper">{STATE_WORDS[state]}</span>}
                  </td>
                  <td className="py-1 text-right">{supply.clean}</td>
                  <td className="py-1 text-right">{supply.dirty}</td>
                  <td className="py-1 text-right">
                    {supply.washes} of {supply.washesMost}
                  </td>
                  <td className="py-1 text-right">
                    <Button
                      look="quiet"
                      disabled={pending || supply.dirty === 0}
                      onClick={() => run(washSet, { id: supply.id })}
                    >
                      Washed
                    </Button>
                    <Button look="quiet" disabled={pending} onClick={() => run(renewSet, { id: supply.id })}>
                      Replaced
                    </Button>
                    <NumberEditor
                      words="Count"
                      label={`Count ${supply.name}`}
                      field="Pieces"
                      action={countSet}
                      input={(clean) => ({ id: supply.id, clean })}
                    />
                    {mayPrice && (
                      <NumberEditor
                        words={supply.cents ? `${money(region, supply.cents)} each` : 'Price of one'}
                        label={`Price of one, ${supply.name}`}
                        field={`Price of one, ${currencySign(region)}`}
                        initial={supply.cents ? (supply.cents / 10 ** digits).toFixed(digits) : ''}
                        action={priceSet}
                        input={(price) => ({ id: supply.id, price })}
                      />
                    )}
                  </td>
                </tr>
              )
            })}
          </tbody>
        </table>
      )}
      {refusal && (
        <p role="alert" className="mt-2 font-semibold text-copper">
          {refusal.message}
        </p>
      )}
      <NewSet />
    </section>
  )
}

const padText = ({ pad, mm }: PadSize) => `${workInEnglish.pad[pad]}, ${mm} mm`

/** What the coming days take of pads and towels, and what the sets do not reach to. */
function WeekNeeds({ supplies, pads, towels, now }: Parameters<typeof Supplies>[0]) {
  const region = useRegion()
  const clean = supplies.reduce((sum, set) => sum + (set.kind === 'towel' ? set.clean : 0), 0)
  if (pads.length === 0 && towels === 0) return null
  return (
    <ul className="mb-3 space-y-1" aria-label="What the coming days take">
      {pads.map(({ of, left, needed, runsOutAt }) => (
        <li key={`${of.pad} ${of.mm}`} className={runsOutAt ? 'text-copper' : ''}>
          {title({ language: 'en' }, padText(of))}: {needed} at once,{' '}
          {left === undefined ? 'no set of them yet' : `${left} there`}
          {runsOutAt &&
            `. Too few for “${stepTitle(region, runsOutAt.title)}” on ${runsOutAt.plate}, ${moment(region, runsOutAt.at, now)}`}
        </li>
      ))}
      {towels > 0 && (
        <li className={towels > clean ? 'text-copper' : ''}>
          Towels: {towels} in all, {clean} clean
          {towels > clean && '. Some have to be washed in between'}
        </li>
      )}
    </ul>
  )
}

function NewSet() {
  const [kind, setKind] = useState<SupplyKind>('towel')
  const [typed, setTyped] = useState({ name: '', count: '', reorderAt: '' })
  const [of, setOf] = useState<{ pad: '' | Pad; mm: string }>({ pad: '', mm: '' })
  const { run, pending, errorAt } = useAction()
  const text = (field: keyof typeof typed, label: string) => (
    <Field label={label} {...errorAt(field)}>
      {field === 'name' ? (
        <input
          className="field"
          autoComplete="off"
          value={typed.name}
          onChange={({ target }) => setTyped({ ...typed, name: target.value })}
        />
      ) : (
        <NumberInput
          whole
          value={typed[field]}
          onChange={(value) => setTyped({ ...typed, [field]: value })}
        />
      )}
    </Field>
  )
  return (
    <div className="mt-4 flex flex-wrap items-end gap-3">
      <Field label="New set of">
        <select
          className="field"
          value={kind}
          onChange={({ target }) => setKind(target.value === 'pad' ? 'pad' : 'towel')}
        >
          {Object.entries(KIND_WORDS).map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </Field>
      {kind === 'pad' && (
        <>
          <Field label="What pads">
            <select
              className="field"
              value={of.pad}
              onChange={({ target }) => setOf({ ...of, pad: target.value as '' | Pad })}
            >
              <option value="">Any</option>
              {PADS.map((pad) => (
                <option key={pad} value={pad}>
                  {title({ language: 'en' }, workInEnglish.pad[pad])}
                </option>
              ))}
            </select>
          </Field>
          <Field label="Width, mm" {...errorAt('of.mm')}>
            <NumberInput
              whole
              className="w-24"
              value={of.mm}
              onChange={(value) => setOf({ ...of, mm: value })}
            />
          </Field>
        </>
      )}
      {text('name', 'Name')}
      {text('count', 'Pieces')}
      {text('reorderAt', 'Reorder below')}
      <Button
        look="outline"
        disabled={pending}
        onClick={() =>
          run(
            addSet,
            {
              kind,
              name: typed.name,
              count: numberOf(typed.count),
              reorderAt: numberOf(typed.reorderAt),
              ...(kind === 'pad' && of.pad ? { of: { pad: of.pad, mm: numberOf(of.mm) } } : {}),
            },
            () => setTyped({ name: '', count: '', reorderAt: '' }),
          )
        }
      >
        Add the set
      </Button>
    </div>
  )
}
