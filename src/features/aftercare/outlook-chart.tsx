'use client'

import type { ChartConfiguration } from 'chart.js'
import { useCallback } from 'react'
import type { Region } from '@/core/region'
import type { LocalDay } from '@/core/time'
import { monthYear, percent } from '@/text/formats'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { useRegion } from '@/ui/region'
import type { OutlookView } from './outlook-view'

const ofHundred = (level: number) => Math.round(level * 1000) / 10

/** What is left of a coating over the months: the likely curve in its band, what was seen, today. */
export function OutlookChart({ view }: { view: OutlookView }) {
  const region = useRegion()
  const said = `${view.name}: likely good until between ${monthYear(region, view.goodUntil.low)} and ${monthYear(region, view.goodUntil.high)}, most likely ${monthYear(region, view.goodUntil.mid)}.`
  const draw = useCallback((ink: Ink) => config(view, region, ink), [view, region])
  return <ChartCanvas label={said} className="h-72" draw={draw} />
}

type Point = { x: number; y: number }

function config(view: OutlookView, region: Region, ink: Ink): ChartConfiguration {
  const line = (pick: (point: OutlookView['curve'][number]) => number): Point[] =>
    view.curve.map((point) => ({ x: point.month, y: ofHundred(pick(point)) }))
  const plain = { pointRadius: 0, tension: 0.25 } as const
  const datasets: ChartConfiguration['data']['datasets'] = [
    { ...plain, label: 'high', data: line(({ high }) => high), borderWidth: 0, fill: false },
    {
      ...plain,
      label: 'Band: eight times in ten',
      data: line(({ low }) => low),
      borderWidth: 0,
      backgroundColor: `${ink('fern')}33`,
      fill: '-1',
    },
    {
      ...plain,
      label: 'Most likely',
      data: line(({ mid }) => mid),
      borderColor: ink('fern'),
      borderWidth: 3,
    },
    ...(view.before
      ? [
          {
            ...plain,
            label: 'Before this visit',
            data: view.before.map(({ month, mid }) => ({ x: month, y: ofHundred(mid) })),
            borderColor: ink('ink-soft'),
            borderDash: [5, 5],
            borderWidth: 1.5,
          },
        ]
      : []),
    {
      label: 'Failed below this',
      data: [
        { x: 0, y: 50 },
        { x: view.curve.at(-1)!.month, y: 50 },
      ],
      borderColor: ink('copper'),
      borderWidth: 1,
      borderDash: [2, 3],
      pointRadius: 0,
    },
    {
      label: 'Today',
      data: [
        { x: view.ageMonths, y: 0 },
        { x: view.ageMonths, y: 100 },
      ],
      borderColor: ink('ink'),
      borderWidth: 1.5,
      pointRadius: 0,
    },
    {
      label: 'Inspected panel',
      data: view.looks.map(({ month, level }, at) => ({
        x: month + ((at % 5) - 2) * 0.06,
        y: ofHundred(level),
      })),
      showLine: false,
      pointRadius: 4,
      pointBorderColor: ink('ink'),
      pointBackgroundColor: view.looks.map(({ water }) =>
        water === 'tight' || water === 'loose' ? ink('fern-soft') : ink('copper'),
      ),
      borderColor: ink('ink'),
    },
  ]
  return {
    type: 'line',
    data: { datasets },
    options: {
      maintainAspectRatio: false,
      interaction: { mode: 'nearest', intersect: true },
      scales: {
        x: {
          type: 'linear',
          min: 0,
          max: view.curve.at(-1)!.month,
          ticks: { maxTicksLimit: 9, callback: (month) => monthYear(region, dayAt(view, Number(month))) },
          grid: { display: false },
        },
        y: { min: 0, max: 100, ticks: { callback: (value) => percent(region, Number(value)), stepSize: 25 } },
      },
      plugins: {
        legend: {
          position: 'bottom',
          labels: {
            boxWidth: 22,
            boxHeight: 3,
            filter: ({ text }) => text !== 'high' && text !== 'Inspected panel',
          },
        },
        tooltip: {
          filter: ({ dataset }) => dataset.label === 'Inspected panel',
          callbacks: { title: () => '', label: ({ dataIndex }) => lookText(view, dataIndex) },
        },
      },
    },
  }
}

const lookText = ({ looks }: OutlookView, at: number) => `${looks[at]!.panel}: ${looks[at]!.water}`

function dayAt({ curve }: OutlookView, month: number): LocalDay {
  return curve.reduce((best, point) =>
    Math.abs(point.month - month) < Math.abs(best.month - month) ? point : best,
  ).day
}
