'use client'

import { useEffect } from 'react'

/** Long enough for the card itself to stand first, ms. */
const REST_AFTER_MS = 2_500

type Offline = { fetchTheRest?: () => void; ahead?: readonly string[] }

/**
 * Has the browser keep this page, and pages `ahead` by their paths, so that they open without a network; where it cannot, the open
 * page still works on.
 */
export function useOffline({ fetchTheRest, ahead = [] }: Offline): void {
  const paths = ahead.join(' ')
  useEffect(() => {
    if (!fetchTheRest) return undefined
    const timer = setTimeout(fetchTheRest, REST_AFTER_MS)
    return () => clearTimeout(timer)
  }, [fetchTheRest])
  useEffect(() => {
    // On plain http in a shop's network there is none, though its type says otherwise.
    if (!('serviceWorker' in navigator)) return
    const worker = navigator.serviceWorker
    void worker
      .register('/sw.js')
      .then(() => worker.ready)
      .then(({ active }) => {
        const parts = performance.getEntriesByType('resource').map(({ name }) => name)
        active?.postMessage({ page: location.href, parts, ahead: paths.split(' ').filter(Boolean) })
      })
      .catch(() => undefined)
  }, [paths])
}
