import type { Metadata } from 'next'
import { redirect } from 'next/navigation'
import { ownPage } from '@/features/staff/go-to'
import { SignInScreen } from '@/features/staff/sign-in-screen'
import { whoIsAtTheDoor } from '@/server/staff/who-is-here'

export const metadata: Metadata = { title: 'Sign in' }

type Search = { to?: string | string[] }

export default async function SignInPage({ searchParams }: { searchParams: Promise<Search> }) {
  const { to } = await searchParams
  const wanted = ownPage(typeof to === 'string' ? to : undefined)
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
