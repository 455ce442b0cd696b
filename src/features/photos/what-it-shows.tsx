'use client'

import type { Shown } from '@/core/photo'
import { markName } from '@/text/marks'
import { Choice } from '@/ui/choice'
import { useRegion } from '@/ui/region'

type Props = {
  label: string
  marks: readonly Shown[]
  shown: Shown | 'all'
  onChange: (shown: Shown | 'all') => void
}

/** Which mark a photograph shows, of those that were found there. */
export function WhatItShows({ label, marks, shown, onChange }: Props) {
  const region = useRegion()
  const kinds = [...new Set([...marks, ...(shown === 'all' ? [] : [shown])])]
  return (
    <Choice
      label={label}
      options={[
        ...kinds.map((kind) => ({ value: kind, name: markName(region, kind) })),
        { value: 'all' as const, name: 'all of it' },
      ]}
      value={shown}
      onChange={onChange}
    />
  )
}
