'use client'

import type { Plugin } from 'chart.js'
import { memo, useMemo } from 'react'
import { shown } from '@/core/region'
import { FLOOR_UM, type VehicleJudgement } from '@/core/survey'
import { staffPanel } from '@/text/en/staff-panels'
import { FINDING_NAME } from '@/text/en/survey'
import { figure, measured, unitSign } from '@/text/formats'
import { ChartCanvas, type Ink } from '@/ui/chart'
import { useRegion } from '@/ui/region'

const STANDS_OUT = new Set(['repainted', 'filler-likely', 'thin', 'thinner'])

/** The whole vehicle at a glance: what was read on each panel, the level they agree on, and who stands out. */
export const Distribution = memo(function Distribution({ judgement }: { judgement: VehicleJudgement }) {
  const read = useMemo(
    () =>
      judgement.panels.flatMap((judged) =>
        judged.statistics ? [{ ...judged, statistics: judged.statistics }] : [],
      ),
    [judgement],
  )
  const { baseline } = judgement
  const region = useRegion()
  const draw = useMemo(
    () => (ink: Ink) => {
      const inUnit = (um: number) => shown(region.units, 'depth', um)
      const colour = ({ finding }: (typeof read)[number]) =>
        ink(STANDS_OUT.has(finding.kind) ? 'copper' : 'fern')
      const level: Plugin = {
        id: 'level',
        beforeDatasetsDraw({ ctx, chartArea, scales }) {
          const y = (um: number) => scales.y!.getPixelForValue(inUnit(um))
          ctx.save()
          if (baseline) {
            const [top, bottom] = [
              y(baseline.medianUm + baseline.stepUm),
              y(baseline.medianUm - baseline.stepUm),
            ]
            ctx.fillStyle = ink('lichen')
            ctx.fillRect(
              chartArea.left,
              Math.max(top, chartArea.top),
              chartArea.width,
              Math.min(bottom, chartArea.bottom) - Math.max(top, chartArea.top),
            )
            ctx.fillStyle = ink('fern')
            ctx.fillRect(chartArea.left, y(baseline.medianUm) - 0.75, chartArea.width, 1.5)
          }
          ctx.fillStyle = ink('copper')
          ctx.fillRect(chartArea.left, y(FLOOR_UM) - 0.75, chartArea.width, 1.5)
          ctx.restore()
        },
      }
      return {
        type: 'bar' as const,
        data: {
          labels: read.map(({ panel }) => staffPanel(region, panel.id)),
          datasets: [
            {
              data: read.map(({ statistics }): [number, number] => [
                inUnit(statistics.minUm - 0.6),
                inUnit(statistics.maxUm + 0.6),
              ]),
              backgroundColor: read.map(colour),
              barThickness: 11,
              borderRadius: 4,
              borderSkipped: false as const,
            },
          ],
        },
        options: {
          maintainAspectRatio: false,
          plugins: {
            legend: { display: false },
            tooltip: {
              callbacks: {
                label: ({ dataIndex }: { dataIndex: number }) => {
                  const { statistics, finding } = read[dataIndex]!
                  return `${figure(region, 'depth', statistics.minUm)}–${measured(region, 'depth', statistics.maxUm)}, median ${figure(region, 'depth', statistics.medianUm)}, ${FINDING_NAME[finding.kind].toLowerCase()}`
                },
              },
            },
          },
          scales: {
            y: {
              beginAtZero: false,
              suggestedMin: inUnit(FLOOR_UM - 10),
              title: { display: true, text: `paint depth, ${unitSign(region, 'depth')}` },
            },
            x: { grid: { display: false }, ticks: { maxRotation: 60, minRotation: 40, autoSkip: false } },
          },
        },
        plugins: [level],
      }
    },
    [read, baseline, region],
  )
  if (read.length === 0) return null
  const out = read.filter(({ finding }) => STANDS_OUT.has(finding.kind))
  const said = `Lowest to highest reading of ${read.length} panels. ${
    out.length > 0
      ? `Standing out: ${out.map(({ panel, finding, statistics }) => `${staffPanel(region, panel.id)} ${FINDING_NAME[finding.kind].toLowerCase()}, ${measured(region, 'depth', statistics.medianUm)}`).join('; ')}.`
      : 'No panel stands out.'
  }`
  return (
    <figure className="mt-5 border-t border-line pt-4">
      <figcaption>
        <h2 className="text-lg">Panel by panel, lowest to highest</h2>
        <p className="text-sm text-ink-soft" data-testid="stands-out">
          {out.length > 0 ? (
            <>
              Standing out:{' '}
              {out.map(({ panel, finding, statistics }, at) => (
                <span key={panel.id}>
                  {at > 0 && ', '}
                  <strong className="text-copper">{staffPanel(region, panel.id)}</strong> (
                  {FINDING_NAME[finding.kind].toLowerCase()}, {measured(region, 'depth', statistics.medianUm)}
                  )
                </span>
              ))}
              .
            </>
          ) : (
            'No panel stands out.'
          )}{' '}
          The pale band is what is typical of this car. The copper line is the safe minimum of{' '}
          {measured(region, 'depth', FLOOR_UM)}.
        </p>
      </figcaption>
      <ChartCanvas label={said} className="h-72" draw={draw} />
    </figure>
  )
})
