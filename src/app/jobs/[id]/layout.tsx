import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { JobHeader } from '@/features/frame/job-header'
import { now } from '@/server/clock'
import { database } from '@/server/db'
import { loadFloor } from '@/server/floor'

type Props = { params: Promise<{ id: string }>; children: ReactNode }

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { id } = await params
  const floor = await loadFloor(await database(), now())
  return { title: floor.jobs.find(({ job }) => job.id === id)?.job.vehicle.plate ?? 'No such job' }
}

export default async function JobLayout({ params, children }: Props) {
  const { id } = await params
  const floor = await loadFloor(await database(), now())
  const entry = floor.jobs.find(({ job }) => job.id === id)
  if (!entry) notFound()
  return (
    <>
      <JobHeader entry={entry} now={floor.now} />
      {children}
    </>
  )
}
