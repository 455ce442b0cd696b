'use client'

import { useCallback, useEffect, useState } from 'react'
import { type PersonId, toPersonId } from '@/core/ids'

const KEY = 'fern-yard.me'

/** Whose tablet this is just now; remembered on the tablet. `usual` until somebody has said so. */
export function useMe(usual: PersonId): [PersonId, (id: PersonId) => void] {
  const [me, setMe] = useState(usual)
  useEffect(() => {
    const known = localStorage.getItem(KEY)
    if (known) setMe(toPersonId(known))
  }, [])
  const change = useCallback((id: PersonId) => {
    setMe(id)
    localStorage.setItem(KEY, id)
  }, [])
  return [me, change]
}
