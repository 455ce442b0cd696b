import type { Reading } from '@/core/survey'
import type { Panel } from '@/core/vehicle'
import type { FilmGauge } from '@/devices/film-gauge'

/** One round of the gauge, as it would be stored. */
export async function roundOf(
  gauge: FilmGauge,
  panels: readonly Panel[],
): Promise<Record<string, Reading[]>> {
  const readings: Record<string, Reading[]> = {}
  for await (const event of gauge.read(panels, new AbortController().signal)) {
    if (event.kind !== 'reading') continue
    readings[event.panel] ??= []
    readings[event.panel]!.push({ um: event.filmUm })
  }
  return readings
}
