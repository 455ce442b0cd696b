'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback } from 'react'
import type { Cause, PackageEarnings } from '@/core/learning'
import type { Region } from '@/core/region'
import type { Costs } from '@/core/shop'
import type { Named } from '@/text/en/correction'
import { workName } from '@/text/en/learning'
import { currencySign, duration, minorDigits, money, percent } from '@/text/formats'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { useMethodNames } from '../method-names'
import { barOptions } from './chart-parts'

type Props = { packages: readonly PackageEarnings[]; costs: Costs; region: Region }

/** What each package earns by the hour it keeps a bay, against what the bay costs; and of each, why. */
export function EarningsSheet({ packages, costs, region }: Props) {
  const { methods } = useMethodNames()
  const losing = packages.filter(({ actual }) => actual.leftCents < 0)
  const draw = useCallback((ink: Ink) => config(packages, costs, region, ink), [packages, costs, region])
  const said = packages
    .map(({ name, centsPerBayHour }) => `${name} ${money(region, centsPerBayHour)}`)
    .join(', ')
  return (
    <>
      <p className="mb-2 max-w-prose text-lg" data-testid="losing">
        {losing.length === 0 ? (
          'Every package pays for its hours, its products and its bay.'
        ) : (
          <>
            <strong className="text-copper">
              {losing.map(({ name }) => name).join(' and ')} {losing.length === 1 ? 'loses' : 'lose'} money
            </strong>
            : {losing.map((each) => lossText(each, region, methods)).join(' ')}
          </>
        )}
      </p>
      <ChartCanvas label={`Earned by the hour in the bay: ${said}.`} className="h-64" draw={draw} />
      <div className="mt-4 grid gap-3 md:grid-cols-2 xl:grid-cols-3">
        {packages.map((each) => (
          <PackageCard key={each.key} earned={each} region={region} />
        ))}
      </div>
    </>
  )
}

function config(
  packages: readonly PackageEarnings[],
  costs: Costs,
  region: Region,
  ink: Ink,
): ChartConfiguration {
  const inMoney = (minor: number) => Math.round(minor) / 10 ** minorDigits(region)
  const bay = costs.bayCentsPerHour
  const options = barOptions(`${currencySign(region)} by the hour in a bay`, true)
  return {
    type: 'bar',
    data: {
      labels: packages.map(({ name }) => name),
      datasets: [
        {
          label: 'Earned, before the bay is paid',
          data: packages.map(({ centsPerBayHour }) => inMoney(centsPerBayHour)),
          backgroundColor: packages.map(({ centsPerBayHour }) =>
            centsPerBayHour < bay ? ink('copper') : ink('fern'),
          ),
          barThickness: 22,
        },
      ],
    },
    options: {
      ...options,
      plugins: {
        legend: { display: false },
        tooltip: { callbacks: { afterLabel: () => `The bay costs ${money(region, bay)} an hour.` } },
      },
    },
    plugins: [
      {
        id: 'bay-cost',
        // A line across all bars: what the bay itself costs.
        afterDatasetsDraw({ ctx, chartArea, scales }) {
          const x = scales.x!.getPixelForValue(inMoney(bay))
          ctx.save()
          ctx.strokeStyle = ink('ink')
          ctx.setLineDash([5, 4])
          ctx.beginPath()
          ctx.moveTo(x, chartArea.top)
          ctx.lineTo(x, chartArea.bottom)
          ctx.stroke()
          ctx.fillStyle = ink('ink')
          ctx.fillText(`the bay costs ${money(region, bay)}`, x + 6, chartArea.bottom - 6)
          ctx.restore()
        },
      },
    ],
  }
}

function lossText(
  { planned, actual, causes }: PackageEarnings,
  region: Region,
  methods: readonly Named[],
): string {
  const from =
    actual.leftCents < 0
      ? `it loses ${money(region, -actual.leftCents)} a car`
      : `it leaves ${money(region, actual.leftCents)} a car`
  const planning =
    planned.leftCents < 0
      ? `and would lose ${money(region, -planned.leftCents)} even on plan: its price is too low for ${Math.round(planned.bayHours)} hours in a bay.`
      : `where ${money(region, planned.leftCents)} was planned.`
  const [worst] = causes
  return `${from} ${planning}${worst ? ` What costs most: ${causeText(worst, region, methods).toLowerCase()}.` : ''}`
}

export function causeText(cause: Cause, region: Region, methods: readonly Named[]): string {
  // A word joiner keeps the sign with its figure.
  const amount = `${cause.cents < 0 ? '−' : '+'}\u2060${money(region, Math.abs(cause.cents))}`
  switch (cause.kind) {
    case 'work': {
      return `${workName(cause.key, methods)} takes ${percent(region, Math.abs(cause.ratio - 1) * 100)} ${cause.ratio > 1 ? 'longer' : 'less'} than planned, ${amount}`
    }
    case 'discount':
      return `Discounts given, ${amount}`
    case 'product':
      return `${cause.cents < 0 ? 'More' : 'Less'} product poured than planned, ${amount}`
    case 'bay':
      return `${duration(region, Math.round(Math.abs(cause.hours) * 60))} ${cause.hours > 0 ? 'more' : 'less'} in a bay, ${amount}`
  }
}

/** Causes named for one package. */
const CAUSES_SHOWN = 4

function PackageCard({ earned, region }: { earned: PackageEarnings; region: Region }) {
  const { methods } = useMethodNames()
  const { name, cars, actual, causes, centsPerBayHour } = earned
  const lines: [string, number][] = [
    ['Paid, net', actual.netCents],
    ['Wages', -actual.wageCents],
    ['Products', -actual.productCents],
    ['Subcontractors', -actual.vendorCents],
    ['Pads, towels, tape', -actual.consumablesCents],
    [`${Math.round(actual.bayHours)} h in a bay`, -actual.bayCents],
  ]
  const loses = actual.leftCents < 0
  return (
    <article className="sheet p-4">
      <h3 className="flex items-baseline justify-between text-lg">
        {name}
        <span className="font-text text-sm font-normal text-ink-soft">
          {cars} {cars === 1 ? 'car' : 'cars'}, {money(region, centsPerBayHour)} an hour
        </span>
      </h3>
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-x-3 text-[15px]">
        {lines
          .filter(([, cents]) => Math.round(cents) !== 0)
          .map(([what, cents]) => (
            <div key={what} className="contents">
              <dt>{what}</dt>
              <dd className="text-right">{money(region, Math.round(cents))}</dd>
            </div>
          ))}
        <dt className="mt-1 border-t border-line pt-1 font-semibold">Profit per car</dt>
        <dd
          className={`mt-1 border-t border-line pt-1 text-right font-semibold ${loses ? 'text-copper' : ''}`}
        >
          {money(region, Math.round(actual.leftCents))}
        </dd>
      </dl>
      <ul className="mt-3 text-sm text-ink-soft">
        {causes
          .filter(({ cents }) => cents < 0)
          .slice(0, CAUSES_SHOWN)
          .map((cause, at) => (
            <li key={at}>{causeText(cause, region, methods)}</li>
          ))}
      </ul>
    </article>
  )
}
