import { redirect } from 'next/navigation'
import { roomFor } from '@/features/frame/rooms'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'

/** Opens a job where its work is. */
export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const floor = await loadFloor(await database(), now())
  const entry = floor.jobs.find(({ job }) => job.id === id)
  redirect(entry ? `/jobs/${id}/${roomFor(entry.stage)}` : '/')
}
