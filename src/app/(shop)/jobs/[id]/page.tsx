import { redirect } from 'next/navigation'
import { roomFor } from '@/features/frame/rooms'
import { requestJob } from '@/server/floor/request-floor'

/** Opens a job where its work is. */
export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  const { entry } = await requestJob(id)
  redirect(entry ? `/jobs/${id}/${roomFor(entry.stage, entry.job.kind)}` : '/')
}
