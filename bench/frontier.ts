import { frontierOf } from '@/core/correction'
import { seededRandom } from '@/core/schedule'

const PANELS = 30
const SEEDED_METHODS = 8
const MOST_MINUTES = 60 * 60
const ROUNDS = 20

/** The whole frontier of thirty panels with eight processes each over sixty hours, ms. */
export function frontierBench(): void {
  const random = seededRandom(4)
  const panels = Array.from({ length: PANELS }, (_, panel) => ({
    id: `p${panel}`,
    options: Array.from({ length: SEEDED_METHODS }, (_, at) => ({
      minutes: at === 0 ? 0 : Math.ceil(random() * 110),
      gain: at === 0 ? 0 : random() * 4,
    })),
  }))
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now()
    frontierOf(panels, MOST_MINUTES).choiceAt(MOST_MINUTES / 2)
    return performance.now() - start
  }).sort((a, b) => a - b)
  console.log(
    `frontier: ${PANELS} panels, ${SEEDED_METHODS} processes, 60 h: median ${times[ROUNDS / 2]!.toFixed(1)} ms`,
  )
}
