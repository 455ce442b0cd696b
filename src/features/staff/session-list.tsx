'use client'

import { useRouter } from 'next/navigation'
import { endSession } from '@/server/staff/staff-actions'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

export type SessionRow = { id: string; name: string; where: string; used: string; isThis: boolean }

/** Who is signed in where; each can be signed out from here. */
export function SessionList({ sessions }: { sessions: readonly SessionRow[] }) {
  const router = useRouter()
  const { run, pending, refusal } = useAction()
  return (
    <>
      <ul>
        {sessions.map((session) => (
          <li key={session.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
            <span className="min-w-40 font-semibold">{session.name}</span>
            <span className="text-sm">{session.where}</span>
            <span className="text-sm text-ink-soft">{session.used}</span>
            {session.isThis ? (
              <span className="ml-auto flex min-h-11 items-center px-4 text-sm">this screen</span>
            ) : (
              <Button
                look="quiet"
                className="ml-auto"
                disabled={pending}
                onClick={() => run(endSession, { session: session.id }, () => router.refresh())}
              >
                Sign out<span className="sr-only"> {session.name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Refused refusal={refusal} />
    </>
  )
}
