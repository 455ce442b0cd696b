import { z } from 'zod'
import { askForVisit } from '@/server/aftercare/owner-wish'
import { now } from '@/server/clock'
import { database } from '@/server/db/connection'

const wishSchema = z.object({ fromDay: z.string().max(20), words: z.string().max(1000) })

/** The one thing an owner can do: ask for a visit. A plain route, so that no action of the shop is reached from here. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }) {
  const read = wishSchema.safeParse(await request.json().catch(() => undefined))
  if (!read.success) return Response.json({ kind: 'refused', message: 'Choose a day.' }, { status: 400 })
  const { fromDay, words } = read.data
  const answer = await askForVisit(await database(), (await params).token, fromDay, words, now())
  return Response.json(answer, { status: answer.kind === 'done' ? 200 : 403 })
}
