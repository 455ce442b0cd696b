import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { JobHeader } from '@/features/frame/job-header'
import { database } from '@/server/db/connection'
import { jobWay } from '@/server/floor/way-facts'

type Props = { params: Promise<{ id: string }>; children: ReactNode }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const id = toJobId((await params).id)
  const { entry } = await requestJob(id)
  return { title: entry?.job.vehicle.plate ?? 'No such job' }
}

export default async function JobLayout({ params, children }: Props) {
  const id = toJobId((await params).id)
  const { floor, entry } = await requestJob(id)
  if (!entry) notFound()
  return (
    <>
      <JobHeader
        entry={entry}
        way={await jobWay(await database(), entry, floor.now)}
        region={floor.shop.setup.region}
        now={floor.now}
      />
      {children}
    </>
  )
}
