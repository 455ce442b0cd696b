'use client'

import { createContext, type ReactNode, useContext } from 'react'
import type { PersonId } from '@/core/ids'
import { type Duty, isClosed, mayDo, type Role } from '@/core/staff'

type Me = {
  person?: PersonId
  role: Role
  /** The kinds of addresses that are closed to them. */
  closed: readonly string[]
}

const MeContext = createContext<Me | undefined>(undefined)

/** Says who is signed in on this screen: as what, and who of the crew they are, where they are of it. */
export function MeProvider({ children, ...me }: Me & { children: ReactNode }) {
  return <MeContext.Provider value={me}>{children}</MeContext.Provider>
}

export const useSignedIn = () => useContext(MeContext)?.person

/** Whether whoever is signed in may do something of this kind: what they may not is not shown, and refused by the server all the same. */
export const useMayDo = (duty: Duty): boolean => mayDo(useContext(MeContext)?.role ?? 'stranger', duty)

/**
 * Whether a link of the shop leads whoever is signed in somewhere. The front door leads everybody to their own first page; and outside the shop's
 * own pages nobody is signed in, and every link is meant for whoever sees it.
 */
export function useMayOpen(): (href: string) => boolean {
  const me = useContext(MeContext)
  return (href) => {
    const [path = ''] = href.split(/[?#]/)
    return !me || path === '/' || !isClosed(path, me.closed)
  }
}
