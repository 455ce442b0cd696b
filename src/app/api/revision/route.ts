import { database } from '@/server/db/connection'
import { floorRevision } from '@/server/floor/revision'

/** Another word whenever something has happened on the floor: pages that show it ask, and load again only then. */
export async function GET() {
  return Response.json(
    { revision: await floorRevision(await database()) },
    { headers: { 'cache-control': 'no-store' } },
  )
}
