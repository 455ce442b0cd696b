import type { Metadata } from 'next'
import { whoIsHere } from '@/server/staff/who-is-here'
import { ROLE_NAME } from '@/text/en/staff'
import { ButtonLink } from '@/ui/button'

export const metadata: Metadata = { title: 'Not for you' }

export default async function NotYoursPage() {
  const { role, name } = await whoIsHere()
  return (
    <div className="mx-auto max-w-xl p-5">
      <h1 className="text-3xl">This page is for somebody else</h1>
      <p className="mt-3">
        {name
          ? `${name}, you are signed in as ${role === 'stranger' ? 'nobody' : ROLE_NAME[role].toLowerCase()}; this page is not part of that.`
          : 'You are not signed in.'}{' '}
        The owner of the shop decides who sees what.
      </p>
      <ButtonLink href="/work" className="mt-5">
        Today’s cars
      </ButtonLink>
    </div>
  )
}
