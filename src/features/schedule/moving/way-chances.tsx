'use client'

import { useEffect, useState } from 'react'
import type { ChanceChange, Rearranged } from '@/core/schedule'
import { chancesText, type MoveNames } from './move-text'

type Props = { way: Rearranged; chances: (way: Rearranged) => Promise<ChanceChange[]>; names: MoveNames }

/** What a move does to the chances of the promises, as soon as that is worked out. */
export function WayChances({ way, chances, names }: Props) {
  const [changes, setChanges] = useState<{ of: Rearranged; found: ChanceChange[] }>()
  useEffect(() => {
    let current = true
    void chances(way).then((found) => {
      if (current) setChanges({ of: way, found })
    })
    return () => {
      current = false
    }
  }, [way, chances])
  if (changes?.of !== way)
    return <span className="text-ink-soft"> How sure the promises then are is worked out…</span>
  const text = chancesText(changes.found, names)
  return <span data-testid="way-chances"> {text}</span>
}
