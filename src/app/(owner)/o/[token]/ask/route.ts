import { CUSTOMER } from '@/server/action/caller'
import { perform } from '@/server/action/perform'
import { askForVisit } from '@/server/aftercare/owner-wish'
import { now } from '@/server/clock'
import { writer } from '@/server/db/connection'

/** The one thing an owner can do: ask for a visit. A plain route, so that no action of the shop is reached from here. */
export async function POST(request: Request, { params }: { params: Promise<{ token: string }> }) {
  const { key, ...typed } = ((await request.json().catch(() => undefined)) ?? {}) as Record<string, unknown>
  const call = { key, input: { ...typed, token: (await params).token } }
  const answer = await perform(await writer(), askForVisit, call, { caller: CUSTOMER, at: now() })
  return Response.json(answer, { status: answer.ok ? 200 : 403 })
}
