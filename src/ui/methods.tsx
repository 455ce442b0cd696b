'use client'

import { createContext, type ReactNode, useContext, useMemo } from 'react'
import { type Named, titleOf, wordOf } from '@/text/en/correction'

const MethodsContext = createContext<readonly Named[]>([])

/** Gives what the shop calls its methods to whatever stands below. */
export function MethodsProvider({ methods, children }: { methods: readonly Named[]; children: ReactNode }) {
  return <MethodsContext.Provider value={methods}>{children}</MethodsContext.Provider>
}

/** The name of a method by its key: at the head of something, or in the middle of a sentence. */
export function useMethodNames() {
  const methods = useContext(MethodsContext)
  return useMemo(
    () => ({
      methods,
      title: (key: string) => titleOf(methods, key),
      word: (key: string) => wordOf(methods, key),
    }),
    [methods],
  )
}
