'use client'

import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

/** What happens at a car is seen at the desk within five seconds, the time the calendar takes to follow included. */
const ASK_MS = 2_000

/**
 * Loads the page again when something has happened on the floor `since` it was read; only while somebody looks at it. `since` is
 * what the page asked for before it read anything: what happens between the reading and the first look is not missed.
 */
export function Live({ since }: { since: string }) {
  const router = useRouter()
  useEffect(() => {
    let known = since
    const ask = async () => {
      if (document.visibilityState !== 'visible') return
      const answer = await fetch('/api/revision').catch(() => undefined)
      if (!answer?.ok) return
      const { revision } = (await answer.json()) as { revision: string }
      if (revision !== known) router.refresh()
      known = revision
    }
    void ask()
    const timer = setInterval(ask, ASK_MS)
    return () => clearInterval(timer)
  }, [router, since])
  return null
}
