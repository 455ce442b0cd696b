'use client'

import { useEffect } from 'react'
import type { PersonId } from '@/core/ids'
import { keepSignedIn } from '../queue/who-holds'

/** What waits on this device is sent from whichever page is open: one taps at the car and walks on to the next screen. */
export function SendOn({ person }: { person?: PersonId }) {
  useEffect(() => keepSignedIn(person), [person])
  useEffect(() => {
    void import('../queue/this-device').then(({ thisDevice }) => thisDevice()).catch(() => undefined)
  }, [])
  return null
}
