import { now } from '@/server/clock'
import { archive } from '@/server/data/download'
import { asJson } from '@/server/data/take-along'

/** Everything the shop has written as JSON, with its photographs. */
export function GET() {
  return archive('fern-yard-everything', (tables) => asJson(tables, now()))
}
