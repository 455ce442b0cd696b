import type { ChartConfiguration } from 'chart.js'
import type { Region } from '@/core/region'
import { localDayOrThrow } from '@/core/time'
import { monthYear } from '@/text/formats'

/** What the bar charts of this room have in common: quiet axes, a legend below, no movement. */
export function barOptions(unit: string, sideways = false): NonNullable<ChartConfiguration['options']> {
  const value = { beginAtZero: true, title: { display: true, text: unit }, grid: { display: true } }
  const names = { grid: { display: false } }
  return {
    maintainAspectRatio: false,
    indexAxis: sideways ? 'y' : 'x',
    scales: sideways ? { x: value, y: names } : { x: names, y: value },
    plugins: { legend: { position: 'bottom', labels: { boxWidth: 18, boxHeight: 10 } } },
  }
}

/** `2026-04` as `Apr 2026`. */
export const monthLabel = (region: Region, month: string) => monthYear(region, localDayOrThrow(`${month}-01`))

export const round1 = (value: number) => Math.round(value * 10) / 10
