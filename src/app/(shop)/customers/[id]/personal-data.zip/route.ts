import { toCustomerId } from '@/core/ids'
import { now } from '@/server/clock'
import { download } from '@/server/data/download'
import { database } from '@/server/db/connection'
import { noteLook, takingOut } from '@/server/people/looked'
import { personalData } from '@/server/people/personal-data'

/** All that is held of a customer, for them. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const db = await database()
  const id = toCustomerId((await params).id)
  const known = await db('customers').where({ id }).whereNull('erased_at').first('id')
  if (!known) return new Response('There is no such customer.', { status: 404 })
  await noteLook(id, takingOut)
  return download('personal-data', personalData(db, id, now()))
}
