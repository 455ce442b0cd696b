'use client'

import { useEffect, useState } from 'react'
import type { Answer } from '@/core/answer'
import { reach } from './use-action'

/**
 * What the shop tells when it is asked beside the page, which waits for nothing; asked anew when `key` is another word. Until the answer is
 * there, and where there is none, the last one stands.
 */
export function useTold<Value>(ask: () => Promise<Answer<Value>>, key: string): Value | undefined {
  const [told, setTold] = useState<Value>()
  // biome-ignore lint/correctness/useExhaustiveDependencies: how it is asked is another function each time; the key says when to ask
  useEffect(() => {
    let current = true
    void reach(ask()).then((answer) => {
      if (current && answer.ok) setTold(answer.value)
    })
    return () => {
      current = false
    }
  }, [key])
  return told
}
