'use client'

import { useEffect } from 'react'

/** Has the browser keep this page, so that it opens without a network; where it cannot, the open page still works on. */
export function useOffline(): void {
  useEffect(() => {
    const worker = navigator.serviceWorker
    if (!worker) return
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
