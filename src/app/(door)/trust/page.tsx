import type { Metadata } from 'next'
import { headers } from 'next/headers'
import { TrustScreen } from '@/features/staff/trust-screen'
import { ownAuthority } from '@/server/gate/reach'
import { systemOf } from '@/text/en/trust'

export const metadata: Metadata = { title: 'Trust the shop' }

export default async function TrustPage() {
  const head = await headers()
  const isSecure = head.get('x-forwarded-proto') === 'https'
  return (
    <TrustScreen
      system={systemOf(head.get('user-agent') ?? '')}
      host={head.get('host') ?? ''}
      isSecure={isSecure}
      hasAuthority={ownAuthority() !== undefined}
    />
  )
}
