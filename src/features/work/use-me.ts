'use client'

import { useCallback, useEffect, useState } from 'react'

const KEY = 'fern-yard.me'

/** Whose tablet this is just now; remembered on the tablet. `usual` until somebody has said so. */
export function useMe(usual: string): [string, (id: string) => void] {
  const [me, setMe] = useState(usual)
  useEffect(() => {
    const known = localStorage.getItem(KEY)
    if (known) setMe(known)
  }, [])
  const change = useCallback((id: string) => {
    setMe(id)
    localStorage.setItem(KEY, id)
  }, [])
  return [me, change]
}
