'use client'

import { useMemo } from 'react'
import { titleOf, wordOf } from '@/text/en/correction'
import { useMethods } from '@/ui/methods'

/** The name of a method by its key: at the head of something, or in the middle of a sentence. */
export function useMethodNames() {
  const methods = useMethods()
  return useMemo(
    () => ({
      methods,
      title: (key: string) => titleOf(methods, key),
      word: (key: string) => wordOf(methods, key),
    }),
    [methods],
  )
}
