import { marksOf, renderPanel } from '@/core/lamp'
import { practicePanel } from '@/core/practice'

const SIZE = { width: 760, height: 470 }
const ROUNDS = 20

/** One picture of a heavily swirled panel, ms: the lamp follows the finger as fast as these come. */
export function practiceBench(): void {
  const marks = marksOf({
    ...practicePanel(1),
    defects: [
      { kind: 'swirls', severity: 3, extentPercent: 100, catchesNail: false },
      { kind: 'holograms', severity: 3, extentPercent: 100, catchesNail: false },
    ],
  })
  const pixels = new Uint8ClampedArray(SIZE.width * SIZE.height * 4)
  const times = Array.from({ length: ROUNDS }, (_, round) => {
    const start = performance.now()
    renderPanel(marks, { x: round / ROUNDS, y: 0.5 }, SIZE, pixels)
    return performance.now() - start
  }).sort((a, b) => a - b)
  console.log(
    `practice: a panel of ${SIZE.width} × ${SIZE.height} painted: median ${times[ROUNDS / 2]!.toFixed(1)} ms`,
  )
}
