'use client'

import { useCallback, useEffect, useMemo, useRef } from 'react'

/** So long after a vain try it is tried again, ms. */
const RETRY_MS = 5_000

/** Tries something once more when the network is back, and, where `soon` was called, after some seconds. */
export function useAgain(run: () => void): { soon: () => void } {
  const newest = useRef(run)
  newest.current = run
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined)
  useEffect(() => {
    const retry = () => newest.current()
    window.addEventListener('online', retry)
    return () => {
      window.removeEventListener('online', retry)
      clearTimeout(timer.current)
    }
  }, [])
  const soon = useCallback(() => {
    clearTimeout(timer.current)
    timer.current = setTimeout(() => newest.current(), RETRY_MS)
  }, [])
  return useMemo(() => ({ soon }), [soon])
}
