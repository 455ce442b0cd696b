import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { requestJob } from '@/app/request-floor'
import { toJobId } from '@/core/ids'
import { mayReach } from '@/core/staff'
import { JobHeader } from '@/features/frame/job-header'
import { database } from '@/server/db/connection'
import { jobWay } from '@/server/floor/way-facts'
import { staffRules } from '@/server/staff/sessions'
import { whoIsHere } from '@/server/staff/who-is-here'

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
  const db = await database()
  return (
    <>
      <JobHeader
        entry={entry}
        way={await jobWay(db, entry, floor.now)}
        region={floor.shop.setup.region}
        now={floor.now}
        reachable={mayReach((await whoIsHere()).role, await staffRules(db))}
      />
      {children}
    </>
  )
}
