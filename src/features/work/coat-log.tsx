'use client'

import { useState } from 'react'
import { type CoatLog, coatDoubts } from '@/core/card'
import type { CoatSheet } from '@/core/card/sheets'
import type { Quantity } from '@/core/region'
import { DOUBT_WORDS } from '@/text/en/card'
import { measured, unitSign } from '@/text/formats'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { LabelScan } from '../stock/label-scan'

type Typed = {
  ml: Record<string, string>
  lot: string
  airC: string
  rhPercent: string
  panelC: string
  despite: string
}

const within = (value: number | undefined, least: number, most: number) =>
  value !== undefined && value >= least && value <= most

/** What a coat was applied with: the bottles and millilitres, and the air, measured or typed. */
export function CoatLogForm({
  coat,
  isLayer,
  words,
  onDone,
}: {
  coat: CoatSheet
  isLayer: boolean
  /** What the button says, where it is not the usual. */
  words?: string
  onDone: (log: CoatLog) => void
}) {
  const region = useRegion()
  const { climate, bottles, poured, product, shortMl, ml } = coat
  const [typed, setTyped] = useState<Typed>({
    ml: Object.fromEntries(poured.map((each) => [each.bottle, String(Math.round(each.ml))])),
    lot: '',
    airC: climate?.airC.toFixed(1) ?? '',
    rhPercent: climate?.rhPercent.toFixed(0) ?? '',
    panelC: climate?.panelC.toFixed(1) ?? '',
    despite: '',
  })
  const [doubts, setDoubts] = useState<string[]>([])
  const [wrong, setWrong] = useState<Partial<Record<string, string>>>({})
  const change = (next: Partial<Typed>) => setTyped({ ...typed, ...next })
  const finish = () => {
    const pours = bottles.flatMap(({ id }) => {
      const text = typed.ml[id]?.trim() ?? ''
      return text === '' || text === '0' ? [] : [{ bottle: id, ml: numberOf(text) }]
    })
    const faults: Partial<Record<string, string>> = {}
    for (const { bottle, ml: each } of pours)
      if (!within(each, 0.1, 1000)) faults[bottle] = 'Type how much, such as 36.'
    const lot =
      typed.lot.trim() ||
      [...new Set(pours.map(({ bottle }) => bottles.find(({ id }) => id === bottle)!.lot))].join(', ')
    if (lot === '') faults.lot = 'Write the lot from the bottle.'
    const read = {
      airC: numberOf(typed.airC),
      rhPercent: numberOf(typed.rhPercent),
      panelC: numberOf(typed.panelC),
    }
    if (!within(read.airC, -20, 60)) faults.airC = 'Type the air in °C, such as 18.5.'
    if (!within(read.rhPercent, 1, 100)) faults.rhPercent = 'Type the humidity in %, such as 52.'
    if (!within(read.panelC, -20, 80)) faults.panelC = 'Type the panel in °C, such as 17.5.'
    const log = {
      productId: product.id,
      lot,
      poured: pours as CoatLog['poured'],
      climate: read as CoatLog['climate'],
    }
    const found =
      Object.keys(faults).length > 0
        ? []
        : coatDoubts(log, {
            bottles: new Map(bottles.map((bottle) => [bottle.id, { ...bottle, productId: product.id }])),
            products: new Map([[product.id, product]]),
            planned: product.id,
          }).map((doubt) => DOUBT_WORDS[doubt])
    setDoubts(found)
    const despite = typed.despite.trim()
    if (found.length > 0 && despite === '') faults.despite = 'Say in a few words why.'
    setWrong(faults)
    if (Object.keys(faults).length > 0) return
    onDone({ ...log, ...(found.length > 0 ? { despite } : {}) })
  }
  const airField = (name: 'airC' | 'rhPercent' | 'panelC', label: string, quantity?: Quantity) => (
    <Field label={label} {...(wrong[name] ? { error: wrong[name] } : {})}>
      <NumberInput
        {...(quantity ? { quantity } : {})}
        value={typed[name]}
        onChange={(text) => change({ [name]: text })}
      />
    </Field>
  )
  return (
    <section aria-label="What it was applied with" className="rounded border border-line bg-paper p-4">
      <p>
        {product.name}, {measured(region, 'volume', ml)} planned.
        {bottles.length === 0 && ' The shelf has no bottle of it: write the lot by hand.'}
        {bottles.length > 0 && shortMl > 0 && (
          <strong className="text-copper">
            {' '}
            By the book the shelf lacks {measured(region, 'volume', Math.ceil(shortMl))}. Write down what was
            really used.
          </strong>
        )}
      </p>
      {bottles.length > 0 && (
        <div className="mt-3">
          <LabelScan
            onCode={(code) => {
              const bottle = bottles.find((each) => each.code === code)
              if (bottle) change({ ml: { [bottle.id]: String(Math.round(Math.min(ml, bottle.leftMl))) } })
              setWrong(
                bottle ? {} : { label: `Bottle ${code} is not on the shelf, or holds another product.` },
              )
            }}
          />
          {wrong.label && (
            <p role="alert" className="mt-1 font-semibold text-copper">
              {wrong.label}
            </p>
          )}
        </div>
      )}
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        {bottles.map(({ id, code, lot, leftMl, openedOn }) => (
          <Field
            key={id}
            label={`Bottle ${code}, lot ${lot}, ${unitSign(region, 'volume')} used`}
            hint={`${measured(region, 'volume', leftMl)} left${openedOn ? ', open' : ', closed'}`}
            {...(wrong[id] ? { error: wrong[id] } : {})}
          >
            <NumberInput
              quantity="volume"
              value={typed.ml[id] ?? ''}
              onChange={(text) => change({ ml: { ...typed.ml, [id]: text } })}
            />
          </Field>
        ))}
        {bottles.length === 0 && (
          <Field label="Lot on the bottle" {...(wrong.lot ? { error: wrong.lot } : {})}>
            <input
              className="field"
              autoComplete="off"
              value={typed.lot}
              onChange={({ target }) => change({ lot: target.value })}
            />
          </Field>
        )}
      </div>
      {bottles.length > 0 && wrong.lot && (
        <p role="alert" className="mt-2 font-semibold text-copper">
          Say from which bottle it came.
        </p>
      )}
      <div className="mt-3 grid grid-cols-3 gap-3">
        {airField('airC', `Air, ${unitSign(region, 'temperature')}`, 'temperature')}
        {airField('rhPercent', 'Humidity, %')}
        {airField('panelC', `Panel, ${unitSign(region, 'temperature')}`, 'temperature')}
      </div>
      {doubts.length > 0 && (
        <div className="mt-3 rounded border-2 border-copper p-3">
          <p className="font-semibold text-copper">Something speaks against it: {doubts.join('; ')}.</p>
          <div className="mt-2">
            <Field
              label="Why it was done anyway; it stays on the card"
              {...(wrong.despite ? { error: wrong.despite } : {})}
            >
              <input
                className="field"
                maxLength={300}
                value={typed.despite}
                onChange={({ target }) => change({ despite: target.value })}
              />
            </Field>
          </div>
        </div>
      )}
      <Button className="mt-4 min-h-14 px-7 text-lg" onClick={finish}>
        {words ?? (isLayer ? 'Log the layer' : 'Log it')}
      </Button>
    </section>
  )
}
