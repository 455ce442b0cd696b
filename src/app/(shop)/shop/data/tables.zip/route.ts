import { archive } from '@/server/data/download'
import { asTables } from '@/server/data/take-along'

/** Every table the shop has written, as CSV in one archive. */
export function GET() {
  return archive('fern-yard-tables', asTables)
}
