'use client'

import { useRouter } from 'next/navigation'
import { useEffect } from 'react'

const ASK_MS = 4_000

/** Loads the page again when something has happened on the floor; only while somebody looks at it and types nothing. */
export function Live() {
  const router = useRouter()
  useEffect(() => {
    let known: string | undefined
    const ask = async () => {
      if (document.visibilityState !== 'visible') return
      const answer = await fetch('/api/revision').catch(() => undefined)
      if (!answer?.ok) return
      const { revision } = (await answer.json()) as { revision: string }
      if (known !== undefined && revision !== known) router.refresh()
      known = revision
    }
    void ask()
    const timer = setInterval(ask, ASK_MS)
    return () => clearInterval(timer)
  }, [router])
  return null
}
