'use client'

import { createContext, type ReactNode, useContext, useMemo } from 'react'
import type { Region } from '@/core/region'
import type { LocalDay } from '@/core/time'

type Here = { region: Region; today: LocalDay }
const HereContext = createContext<Here | undefined>(undefined)

/** Gives how the shop writes, and its day, to whatever stands below, so that no number has to bring them along. */
export function RegionProvider({ region, today, children }: Here & { children: ReactNode }) {
  const here = useMemo(() => ({ region, today }), [region, today])
  return <HereContext.Provider value={here}>{children}</HereContext.Provider>
}

function useHere(): Here {
  const here = useContext(HereContext)
  if (!here) throw new Error('no region above this component')
  return here
}

/** How this shop writes. Throws where no region stands above. */
export const useRegion = () => useHere().region

/** The day at the shop, as the page was answered. */
export const useToday = () => useHere().today
