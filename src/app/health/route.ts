import { database } from '@/server/db/connection'

/** For a monitor: whether the shop answers and its database can be read. It tells nothing else. */
export async function GET() {
  const isReadable = await database()
    .then((db) => db.raw('SELECT 1'))
    .then(
      () => true,
      () => false,
    )
  return Response.json(
    { ok: isReadable },
    { status: isReadable ? 200 : 503, headers: { 'cache-control': 'no-store' } },
  )
}
