'use client'

import { useEffect, useMemo, useRef, useState } from 'react'
import type { Answer } from '@/core/answer'
import { advisedOn, ceilingOf, farthest, type Locks, type MethodKey } from '@/core/correction'
import type { JobId } from '@/core/ids'
import { type Collecting, type OfferInput, offerCurve, type PackageTemplate } from '@/core/offer'
import type { Region } from '@/core/region'
import { letterOf, wholeIndex } from '@/core/survey'
import { dayIn } from '@/core/time'
import { collectionFor } from '@/server/quotes/agree-actions'
import { CEILING_WORDS, methodTitle } from '@/text/en/correction'
import { staffPanel } from '@/text/en/staff-panels'
import { clock, duration, figure, measured, money, number, screenDay, unitSign } from '@/text/formats'
import { BodyPlan, type PanelFace } from '@/ui/body-plan'
import { Choice } from '@/ui/choice'
import { useToday } from '@/ui/region'
import { reach } from '@/ui/use-action'
import { withinBudget } from '../quote/begin'
import { ChanceMark } from '../schedule/sure-times'
import { Breaches } from './breaches'
import { Decide } from './decide'
import { Difference } from './difference'
import { FrontierCurve, type NamedPoint, pointAt } from './frontier-curve'
import { methodColour } from './method-scale'
import { PanelWays } from './panel-ways'
import { ReadyBy } from './ready-by'

type Props = {
  jobId: JobId
  /** Its plate, and the word for its colour. */
  car: { plate: string; colour: string }
  templates: readonly PackageTemplate[]
  input: OfferInput
  budgetCents: number | undefined
  region: Region
}

/** How long a hand must rest before the calendar is asked, ms. */
const REST_MS = 500
/** min */
const HOUR = 60

/** What the next hour buys on this very car: drag along the curve, hold a panel to a process, agree what stands there. */
export function FrontierSheet({ jobId, car, templates, input, budgetCents, region }: Props) {
  const today = useToday()
  const coated = templates.filter(({ layers }) => layers.length > 0)
  const [key, setKey] = useState(() => withinBudget({ packages: coated }, input, budgetCents))
  const [locks, setLocks] = useState<Locks>({})
  const [minutes, setMinutes] = useState<number>()
  const [selected, setSelected] = useState('bonnet')
  const [collection, setCollection] = useState<Answer<Collecting> | 'asking'>()
  const rest = useRef<ReturnType<typeof setTimeout>>(undefined)
  const template = coated.find((each) => each.key === key)!

  // The three named points belong to the car and its coating; holding a panel moves the curve, not what they mean.
  const frontier = useMemo(() => offerCurve(template, input, locks), [input, template, locks])
  const { offerAt } = frontier
  const named = useMemo(() => {
    const { points } = frontier
    const highest = points.at(-1)!
    const advised = advisedOn(points)
    const bend = {
      ...advised,
      name: 'The bend',
      why: advised === points[0] ? 'an hour more buys next to nothing' : 'after it an hour buys less',
    }
    const bought =
      budgetCents === undefined
        ? undefined
        : farthest(points, (point) => offerAt(point.minutes).price.totalCents <= budgetCents)
    return [
      bend,
      ...(bought ? [{ ...bought, name: 'What the budget buys', why: money(region, budgetCents!) }] : []),
      { ...highest, name: 'Highest safe', why: CEILING_WORDS[ceilingOf(frontier.panels)] },
    ] satisfies NamedPoint[]
  }, [frontier, offerAt, budgetCents, region])

  const at = pointAt(frontier.points, minutes ?? named.at(-2)?.minutes ?? 0)
  const here = frontier.points[at]!
  const offer = useMemo(() => offerAt(here.minutes), [offerAt, here.minutes])
  const { correction, price } = offer
  const processes = (): Record<string, MethodKey> =>
    Object.fromEntries(correction.panels.map(({ judged, option }) => [judged.panel.id, option.method.key]))
  const later = frontier.points[pointAt(frontier.points, here.minutes + HOUR)]!
  const laterOffer = offerAt(later.minutes)

  const settle = (change: () => void) => {
    change()
    setCollection(undefined)
    clearTimeout(rest.current)
    // The hand rests: only then is the calendar asked, and with what stands on the screen by then.
    rest.current = setTimeout(() => ask.current(), REST_MS)
  }
  const ask = useRef(() => {})
  ask.current = () => {
    setCollection('asking')
    void reach(collectionFor({ jobId, packageKey: key, processes: processes() })).then(setCollection)
  }

  // What stands there first has a date too.
  useEffect(() => ask.current(), [])

  const faces = Object.fromEntries(
    correction.panels.map(({ judged: { panel, budget }, option }): [string, PanelFace] => [
      panel.id,
      {
        fill: methodColour(option.method, input.methods),
        ink: 'var(--c-ink)',
        text: option.removalUm > 0 ? figure(region, 'depth', option.removalUm, 1) : '',
        label: `${staffPanel(region, panel.id)}: ${methodTitle(option.method)}, ${figure(region, 'depth', option.removalUm, 1)} of ${measured(region, 'depth', budget.budgetUm, 1)}`,
      },
    ]),
  )
  const ways = frontier.panels.find(({ judged }) => judged.panel.id === selected)!
  const chosen = correction.panels.find(({ judged }) => judged.panel.id === selected)!.option
  // What the customer asked for is what everything else is held against.
  const reference = named.find(({ name }) => name === 'What the budget buys') ?? named[0]
  const over = budgetCents === undefined ? 0 : price.totalCents - budgetCents
  return (
    <section className="mb-6 border-b border-line pb-6" aria-label="What the next hour buys">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h2 className="text-2xl">What the next hour buys</h2>
          <p className="text-ink-soft">
            The best result for each hour of machine polishing, within each panel’s safe limit.
          </p>
        </div>
        <Choice
          label="Which package of protection?"
          options={coated.map(({ key: value, name }) => ({ value, name }))}
          value={key}
          onChange={(value) => settle(() => setKey(value))}
        />
      </div>
      <div className="mt-4 grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <div>
          <dl
            className="mb-3 grid min-h-22 grid-cols-2 gap-x-6 gap-y-2 sm:grid-cols-4"
            data-testid="frontier-here"
          >
            <Figure name="Condition">
              {input.judgement.grade
                ? `${letterOf(correction.indexAfter)} ${wholeIndex(correction.indexAfter)}`
                : 'not inspected'}
            </Figure>
            <Figure name="At the machine">{duration(region, here.minutes)}</Figure>
            <Figure name="Price">
              {money(region, price.totalCents)}
              {budgetCents !== undefined && (
                <span className={over > 0 ? 'block text-sm text-copper' : 'block text-sm text-fern'}>
                  {over > 0 ? `${money(region, over)} over` : `${money(region, -over)} under`}
                </span>
              )}
            </Figure>
            <Figure name="Collection">
              {collection === undefined ? (
                <button
                  type="button"
                  className="min-h-11 text-left text-base font-normal underline underline-offset-4"
                  onClick={() => ask.current()}
                >
                  Ask the calendar
                </button>
              ) : collection === 'asking' ? (
                <span className="text-base font-normal text-ink-soft">asking the calendar…</span>
              ) : collection.ok ? (
                <span className="text-base">
                  {screenDay(region, dayIn(region.timezone, collection.value.at), today)},{' '}
                  {clock(region, collection.value.at)}{' '}
                  <ChanceMark region={region} chance={collection.value.chance} />
                </span>
              ) : (
                <span className="text-base text-copper">no day found</span>
              )}
            </Figure>
          </dl>
          {typeof collection === 'object' && !collection.ok && (
            <p className="mb-3 rounded border-l-4 border-copper bg-copper-soft px-3 py-2 text-[15px]">
              {collection.message}
            </p>
          )}
          {frontier.points.length > 1 ? (
            <FrontierCurve
              points={frontier.points}
              named={named}
              at={at}
              indexBefore={correction.indexBefore}
              onMove={(to) => settle(() => setMinutes(frontier.points[to]!.minutes))}
            />
          ) : (
            <p className="rounded bg-lichen/70 p-4 text-lg">
              {correction.panels.some(({ option }) => option.method.steps.length > 0)
                ? 'There is only one way to polish this car: the one below. Nothing stronger is needed or allowed.'
                : 'Machine polishing would not improve this car. What remains is a wash, and protection where nothing speaks against it.'}
            </p>
          )}
          {budgetCents !== undefined &&
            offerAt(frontier.points[0]!.minutes).price.totalCents > budgetCents && (
              <p className="mt-3 rounded border-l-4 border-copper bg-copper-soft px-3 py-2 text-[15px]">
                Nothing under a coating fits the budget of {money(region, budgetCents)}. See the packages
                below.
              </p>
            )}
          <p className="mt-3 rounded bg-lichen/70 px-3 py-2 text-[15px]" aria-live="polite">
            {later.minutes === here.minutes ? (
              'Nothing more can be removed safely: what is left stays, and the quote says so.'
            ) : (
              <>
                The next hour buys <strong>{number(region, later.gain - here.gain, 1)} points</strong> for{' '}
                <strong>{money(region, laterOffer.price.totalCents - price.totalCents)}</strong>.
              </>
            )}
          </p>
          {reference && reference.minutes !== here.minutes && (
            <Difference
              from={offerAt(reference.minutes)}
              to={offer}
              name={reference.name.toLowerCase()}
              region={region}
            />
          )}
          {input.purpose === 'sale' && (
            <p className="mt-3 text-[15px] text-ink-soft">
              To be sold: what a buyer sees first counts double along the curve.
            </p>
          )}
          <ReadyBy
            jobId={jobId}
            packageKey={key}
            locks={locks}
            region={region}
            onBest={(best) => settle(() => setMinutes(best))}
          />
          <Breaches broken={offer.breaches} />
          {/* A refusal is of the point it was said of. */}
          <Decide
            key={`${key} ${price.totalCents}`}
            jobId={jobId}
            template={template}
            shownCents={price.totalCents}
            hasNoDay={typeof collection === 'object' && !collection.ok}
            isStopped={offer.breaches.some(({ weight }) => weight === 'stop')}
            processes={processes}
          />
        </div>
        <div>
          <div className="[&_svg]:max-h-[24rem]">
            <BodyPlan
              shape={input.shape}
              panels={input.judgement.panels.map(({ panel }) => panel)}
              faces={faces}
              selected={selected}
              onSelect={setSelected}
            />
          </div>
          <p className="my-2 text-sm text-ink-soft">
            What each panel’s method removes, {unitSign(region, 'depth')}; the darker, the stronger. Touch a
            panel to see why, and to lock it.
          </p>
          <PanelWays
            ways={ways}
            chosen={chosen}
            car={car}
            job={{ id: jobId, consented: input.consented ?? [] }}
            onLock={(process) =>
              settle(() => {
                const { [selected]: _, ...others } = locks
                setLocks(process ? { ...others, [selected]: process } : others)
              })
            }
          />
        </div>
      </div>
    </section>
  )
}

function Figure({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div>
      <dt className="text-sm text-ink-soft">{name}</dt>
      <dd className="font-head text-xl font-bold">{children}</dd>
    </div>
  )
}
