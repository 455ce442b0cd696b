'use client'

import { createContext, type ReactNode, useContext } from 'react'
import type { Method } from '@/core/correction'

/** A method by its key, as the shop calls it. */
export type KnownMethod = Pick<Method, 'key' | 'name'>

const MethodsContext = createContext<readonly KnownMethod[]>([])

/** Gives what the shop calls its methods to whatever stands below. It carries no words, so that a card stays small. */
export function MethodsProvider({
  methods,
  children,
}: {
  methods: readonly KnownMethod[]
  children: ReactNode
}) {
  return <MethodsContext.Provider value={methods}>{children}</MethodsContext.Provider>
}

export const useMethods = () => useContext(MethodsContext)
