'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback, useState } from 'react'
import type { Measure, PanelTrend } from '@/core/aftercare'
import type { Region } from '@/core/region'
import { localDayOrThrow } from '@/core/time'
import { figure, monthYear, number, shortDay, unitSign } from '@/text/formats'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { Choice } from '@/ui/choice'
import { useRegion } from '@/ui/region'

/** A reading in the unit it is read in: film in the shop’s, gloss in gloss units. */
const readingText = (region: Region, measure: Measure, value: number) =>
  measure === 'film' ? figure(region, 'depth', value, 1) : number(region, value, 1)
const unitOf = (region: Region, measure: Measure) => (measure === 'film' ? unitSign(region, 'depth') : 'GU')
const YEAR_MS = 365.25 * 86_400_000

/** How a figure has gone, panel by panel: the readings, and whether the change is more than the gauge’s own doubt. */
export function TrendSheet({ trends }: { trends: Record<Measure, PanelTrend[]> }) {
  const region = useRegion()
  const [measure, setMeasure] = useState<Measure>('film')
  const [panel, setPanel] = useState('bonnet')
  const own = trends[measure]
  const shown = own.find((trend) => trend.panel === panel) ?? own[0]
  if (trends.film.length + trends.gloss.length === 0)
    return <p className="mt-2 text-ink-soft">Nothing was read yet. The first round appears here.</p>
  return (
    <>
      <div className="my-3">
        <Choice
          label="What"
          options={[
            { value: 'film', name: 'Paint depth' },
            { value: 'gloss', name: 'Gloss' },
          ]}
          value={measure}
          onChange={setMeasure}
        />
      </div>
      {shown && <TrendChart measure={measure} trend={shown} />}
      <table className="mt-3 w-full text-[15px]">
        <thead>
          <tr className="text-left text-sm text-ink-soft">
            <th className="py-1 font-normal">Panel</th>
            <th className="py-1 text-right font-normal">First, {unitOf(region, measure)}</th>
            <th className="py-1 text-right font-normal">Last, {unitOf(region, measure)}</th>
            <th className="py-1 text-right font-normal">A year</th>
          </tr>
        </thead>
        <tbody>
          {own.map(({ panel: id, name, rounds, trend }) => (
            <tr key={id} className="border-t border-line">
              <th className="text-left font-normal">
                <button
                  type="button"
                  aria-pressed={id === shown?.panel}
                  className="min-h-11 underline decoration-ink-soft/40 underline-offset-4 aria-pressed:font-bold"
                  onClick={() => setPanel(id)}
                >
                  {name}
                </button>
              </th>
              <td className="text-right">{readingText(region, measure, rounds[0]!.value)}</td>
              <td className="text-right">{readingText(region, measure, rounds.at(-1)!.value)}</td>
              <td className="text-right">
                {!trend
                  ? 'one round'
                  : trend.isReal
                    ? `${trend.perYear > 0 ? '+' : '−'}${readingText(region, measure, Math.abs(trend.perYear))} ± ${readingText(region, measure, trend.sdPerYear)}`
                    : 'no sure change'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-ink-soft">
        {measure === 'film'
          ? 'What was polished off is added back, so that a change here is wear, or another gauge.'
          : 'From the last coating on. A fresh one confuses the meter: it is read again after some days.'}
      </p>
    </>
  )
}

function TrendChart({ measure, trend: { name, rounds, trend } }: { measure: Measure; trend: PanelTrend }) {
  const region = useRegion()
  const draw = useCallback(
    (ink: Ink): ChartConfiguration => {
      const at = (day: string) => Date.parse(day)
      const points = rounds.map(({ day, value, phase }, i) => ({
        x: at(day) + (phase === 'after' ? 3e8 : 0) + i,
        y: value,
      }))
      const [first, last] = [points[0]!.x, points.at(-1)!.x]
      const line =
        trend && [first, last].map((x) => ({ x, y: trend.last + trend.perYear * ((x - last) / YEAR_MS) }))
      return {
        type: 'line',
        data: {
          datasets: [
            {
              label: 'Mean of a round',
              data: points,
              borderColor: ink('fern'),
              backgroundColor: ink('fern'),
              pointRadius: 4,
              borderWidth: 1,
            },
            ...(line
              ? [
                  {
                    label: trend.isReal ? 'Trend' : 'Trend, no sure change',
                    data: line,
                    borderColor: ink('ink-soft'),
                    borderDash: [5, 4],
                    pointRadius: 0,
                  },
                ]
              : []),
          ],
        },
        options: {
          maintainAspectRatio: false,
          scales: {
            x: {
              type: 'linear',
              ticks: {
                maxTicksLimit: 6,
                callback: (value) =>
                  monthYear(region, localDayOrThrow(new Date(Number(value)).toISOString().slice(0, 10))),
              },
              grid: { display: false },
            },
            y: { title: { display: true, text: unitOf(region, measure) }, grace: '20%' },
          },
          plugins: { legend: { position: 'bottom', labels: { boxWidth: 20, boxHeight: 3 } } },
        },
      }
    },
    [measure, rounds, trend, region],
  )
  const said = `${name}: ${rounds.map(({ day, value }) => `${readingText(region, measure, value)} on ${shortDay(region, day)}`).join(', ')}`
  return <ChartCanvas label={said} className="h-56" draw={draw} />
}
