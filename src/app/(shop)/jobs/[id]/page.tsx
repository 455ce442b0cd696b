import { redirect } from 'next/navigation'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { roomFor } from '@/features/frame/rooms'

/** Opens a job where its work is. */
export default async function JobPage({ params }: { params: Promise<{ id: string }> }) {
  const id = toJobId((await params).id)
  const { entry } = await requestJob(id)
  redirect(entry ? `/jobs/${id}/${roomFor(entry.stage, entry.job.kind)}` : '/')
}
