'use client'

import { useState } from 'react'
import type { Photo } from '@/core/photo'
import { percent } from '@/text/formats'
import { useRegion } from '@/ui/region'
import { photoUrl } from './marked-photo'

/** Before against after from the same place: a slider draws the edge between them. */
export function Compare({ before, after }: { before: Photo; after: Photo }) {
  const region = useRegion()
  const [share, setShare] = useState(50)
  return (
    <figure>
      <div
        className="relative mx-auto max-h-[70dvh] max-w-full overflow-hidden rounded"
        style={{ aspectRatio: `${before.width} / ${before.height}` }}
      >
        {/* biome-ignore lint/performance/noImgElement: already of the right size. */}
        <img
          src={photoUrl(after, 'full')}
          alt="After the work"
          className="absolute inset-0 h-full w-full object-cover"
        />
        {/* biome-ignore lint/performance/noImgElement: already of the right size. */}
        <img
          src={photoUrl(before, 'full')}
          alt="Before the work"
          className="absolute inset-0 h-full w-full object-cover"
          style={{ clipPath: `inset(0 ${100 - share}% 0 0)` }}
        />
        <span
          className="absolute inset-y-0 w-0.5 bg-sheet shadow-[0_0_0_1px_var(--c-ink)]"
          style={{ left: `${share}%` }}
        />
        <span className="absolute top-2 left-2 rounded bg-paper/90 px-2 text-sm">before</span>
        <span className="absolute top-2 right-2 rounded bg-paper/90 px-2 text-sm">after</span>
      </div>
      <input
        type="range"
        min={0}
        max={100}
        value={share}
        aria-label="Edge between before and after"
        aria-valuetext={`${percent(region, share)} before`}
        className="mt-2 h-11 w-full accent-fern"
        onChange={(event) => setShare(Number(event.target.value))}
      />
    </figure>
  )
}
