import type { ChartConfiguration } from 'chart.js'

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

/** `2026-04` as `Apr 26`. */
export function monthName(month: string): string {
  return new Date(`${month}-15T12:00:00Z`).toLocaleDateString('en-IE', {
    month: 'short',
    year: '2-digit',
    timeZone: 'UTC',
  })
}

export const round1 = (value: number) => Math.round(value * 10) / 10
