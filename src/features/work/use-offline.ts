'use client'

import { useEffect } from 'react'

/** Long enough for the card itself to stand first, ms. */
const REST_AFTER_MS = 2_500

/** Has the browser keep this page, so that it opens without a network; where it cannot, the open page still works on. */
export function useOffline(fetchTheRest?: () => void): void {
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
        active?.postMessage({ page: location.href, parts })
      })
      .catch(() => undefined)
  }, [])
}
