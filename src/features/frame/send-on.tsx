'use client'

import { useEffect } from 'react'

/** What waits on this device is sent from whichever page is open: one taps at the car and walks on to the next screen. */
export function SendOn() {
  useEffect(() => {
    void import('../queue/this-device').then(({ thisDevice }) => thisDevice()).catch(() => undefined)
  }, [])
  return null
}
