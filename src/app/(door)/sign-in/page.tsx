import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { askedOnce, type Search } from '@/app/asked'
import { ownPage } from '@/features/staff/go-to'
import { SignInScreen } from '@/features/staff/sign-in-screen'
import { whoIsAtTheDoor } from '@/server/staff/who-is-here'

export const metadata: Metadata = { title: 'Sign in' }

export default async function SignInPage({ searchParams }: { searchParams: Search }) {
  const { to } = await askedOnce<'to'>(searchParams)
  const wanted = ownPage(to)
  const { isOpen, isSignedIn, device, people, locked } = await whoIsAtTheDoor()
  if (isOpen || isSignedIn) redirect(wanted)
  return (
    <SignInScreen
      people={people}
      to={wanted}
      {...(device ? { device } : {})}
      {...(locked ? { locked } : {})}
    />
  )
}
