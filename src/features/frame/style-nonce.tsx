'use client'

import { setNonce } from 'get-nonce'
import { useEffect } from 'react'

/** The browser takes only styles that bear the nonce of the page: dialogs, which add one while they are open, are told it. */
export function StyleNonce() {
  useEffect(() => {
    const nonce = document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce
    if (nonce) setNonce(nonce)
  }, [])
  return null
}
