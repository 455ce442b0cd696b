'use client'

import { useCallback, useEffect, useState } from 'react'
import { type PersonId, toPersonId } from '@/core/ids'
import { useSignedIn } from '@/ui/me'

const KEY = 'fern-yard.me'

/**
 * Who works at this screen: whoever of the crew is signed in, and nobody else. Where nobody has to sign in, who was last said to; that is
 * remembered on the tablet, `usual` until somebody has said so.
 */
export function useMe(usual: PersonId): [PersonId, (id: PersonId) => void] {
  const signedIn = useSignedIn()
  const [me, setMe] = useState(usual)
  useEffect(() => {
    const known = localStorage.getItem(KEY)
    if (known) setMe(toPersonId(known))
  }, [])
  const change = useCallback(
    (id: PersonId) => {
      if (signedIn) return
      setMe(id)
      localStorage.setItem(KEY, id)
    },
    [signedIn],
  )
  return [signedIn ?? me, change]
}

/** Whose work is looked at: one’s own first, and anybody’s. */
export function useWhose(usual: PersonId): [PersonId, (id: PersonId) => void] {
  const signedIn = useSignedIn()
  const [me, change] = useMe(usual)
  const [whose, setWhose] = useState<PersonId>()
  return signedIn ? [whose ?? signedIn, setWhose] : [me, change]
}
