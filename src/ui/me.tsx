'use client'

import { createContext, type ReactNode, useContext } from 'react'
import type { PersonId } from '@/core/ids'

const MeContext = createContext<PersonId | undefined>(undefined)

/** Says who of the crew is signed in on this screen; nobody while nobody signs in, or for who is not of the crew. */
export function MeProvider({ person, children }: { person?: PersonId; children: ReactNode }) {
  return <MeContext.Provider value={person}>{children}</MeContext.Provider>
}

export const useSignedIn = () => useContext(MeContext)
