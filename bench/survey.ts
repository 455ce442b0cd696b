import { judge, readingsFromCsv } from '@/core/survey'
import { isMetal, panelsOf } from '@/core/vehicle'

const READINGS = 1000
const ROUNDS = 20

/** Importing and judging a thousand readings, ms. */
export function surveyBench(): void {
  const panels = panelsOf('estate')
  const metal = panels.filter(({ substrate }) => isMetal(substrate))
  const lines = Array.from(
    { length: READINGS },
    (_, index) => `${metal[index % metal.length]!.id},${100 + (index % 37)}`,
  )
  const text = `panel,reading_um\n${lines.join('\n')}\n`
  const times: number[] = []
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now()
    const readings = readingsFromCsv(text, panels)
    if (!readings.ok) throw new Error('the benchmark table is faulty')
    judge({ panels, paintSystem: 'clear-over-base', school: 'both', readings: readings.value, defects: {} })
    times.push(performance.now() - start)
  }
  times.sort((a, b) => a - b)
  console.log(`survey: ${READINGS} readings imported and judged: median ${times[ROUNDS / 2]!.toFixed(1)} ms`)
}
