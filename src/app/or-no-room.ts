import { isFull } from '@/server/db/no-room'

/** What a tablet is told that sends something then: it keeps it and sends it again. */
export async function orNoRoom(answer: () => Promise<Response>): Promise<Response> {
  try {
    return await answer()
  } catch (error) {
    if (!isFull(error)) throw error
    return Response.json({ message: 'The disk of the shop’s machine is full.' }, { status: 507 })
  }
}
