import type { Metadata } from 'next'
import { OwnSecrets } from '@/features/staff/own-secrets'
import { whoIsHere } from '@/server/staff/who-is-here'
import { ROLE_NAME, ROLE_WORDS } from '@/text/en/staff'

export const metadata: Metadata = { title: 'You' }

export default async function YouPage() {
  const { name, role } = await whoIsHere()
  if (!name || role === 'stranger')
    return (
      <p className="mx-auto max-w-xl p-5">
        Nobody has to sign in here yet. The owner sets that up under Shop.
      </p>
    )
  return (
    <div className="mx-auto max-w-xl p-5">
      <h1 className="text-3xl">{name}</h1>
      <p className="mt-1 mb-6 text-ink-soft">
        {ROLE_NAME[role]}. {ROLE_WORDS[role]}
      </p>
      <OwnSecrets />
    </div>
  )
}
