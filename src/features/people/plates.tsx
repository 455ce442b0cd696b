'use client'

import { useState } from 'react'
import type { Box, Plate, PlatedPhoto } from '@/core/photo/plate'
import { PLATE_NAME } from '@/text/en/people'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { clamp, DragSurface, type Point } from '../photos/drag-surface'

/** A photograph with what it is called. */
export type NamedPlated = PlatedPhoto & { name: string }
export type Said = ReadonlyMap<string, Plate>

const HOW = ['anywhere', 'box', 'none'] as const
type How = (typeof HOW)[number]
const howOf = (plate: Plate): How => (typeof plate === 'object' ? 'box' : plate)

/** Where a plate most often is. */
const IN_THE_MIDDLE: Box = { x: 0.35, y: 0.55, width: 0.3, height: 0.12 }
/** The smallest box that is meant as one, share of the picture; less is a touch. */
const LEAST = 0.01

function boxBetween(one: Point, other: Point): Box {
  const [x, y] = [Math.min(one.x, other.x), Math.min(one.y, other.y)]
  return { x, y, width: Math.abs(one.x - other.x), height: Math.abs(one.y - other.y) }
}
const moved = ({ x, y, width, height }: Box, [dx, dy]: readonly [number, number]): Box => ({
  x: Math.min(1 - width, clamp(x + dx)),
  y: Math.min(1 - height, clamp(y + dy)),
  width,
  height,
})
const sized = ({ x, y, width, height }: Box, [dx, dy]: readonly [number, number]): Box => ({
  x,
  y,
  width: Math.min(1 - x, Math.max(LEAST, width + dx)),
  height: Math.min(1 - y, Math.max(LEAST, height + dy)),
})

/** Where the plate is on each photograph: what is blurred stands under it as it will be. */
export function Plates({
  photos,
  said,
  onSay,
}: {
  photos: readonly NamedPlated[]
  said: Said
  onSay: (photoId: string, plate: Plate) => void
}) {
  const [at, setAt] = useState(0)
  const photo = photos[at]
  if (!photo) return <p className="text-sm text-ink-soft">There are no photographs of their cars.</p>
  const plate = said.get(photo.id) ?? photo.plate
  const likely = photos.filter((each) => each.plate !== 'none').length
  return (
    <section className="space-y-2" aria-label="Plates on photographs">
      <p className="text-[15px]">
        {likely === 0
          ? 'On none of their photographs is a plate to be expected. Look through them if you are not sure.'
          : `A plate may be seen on ${likely} of ${photos.length}. Draw a box round it; until you do, all of the picture is blurred.`}
      </p>
      <p className="font-head font-semibold" aria-live="polite">
        {at + 1} of {photos.length}: {photo.name}
      </p>
      <DragSurface
        label="Photograph; the arrows move the box, with Shift they change its size"
        onDrag={(from, to) => {
          const box = boxBetween(from, to)
          if (Math.min(box.width, box.height) >= LEAST) onSay(photo.id, box)
        }}
        onArrow={(by, withShift) => {
          const box = typeof plate === 'object' ? plate : IN_THE_MIDDLE
          onSay(photo.id, withShift ? sized(box, by) : moved(box, by))
        }}
      >
        <span
          className="relative block max-h-[40dvh] max-w-full overflow-hidden"
          style={{ aspectRatio: `${photo.width} / ${photo.height}` }}
        >
          {/* biome-ignore lint/performance/noImgElement: the picture is already of the right size and never leaves the shop. */}
          <img
            src={`/api/photos/${photo.hash}`}
            alt=""
            width={photo.width}
            height={photo.height}
            draggable={false}
            className="block h-full w-full bg-lichen object-cover"
          />
          <Blurred plate={plate} />
        </span>
      </DragSurface>
      <Choice
        label="Blur"
        options={HOW.map((value) => ({ value, name: PLATE_NAME[value] }))}
        value={howOf(plate)}
        onChange={(how) => onSay(photo.id, how === 'box' ? IN_THE_MIDDLE : how)}
      />
      {photos.length > 1 && (
        <div className="flex gap-3">
          <Button look="outline" disabled={at === 0} onClick={() => setAt(at - 1)}>
            Previous
          </Button>
          <Button look="outline" disabled={at === photos.length - 1} onClick={() => setAt(at + 1)}>
            Next
          </Button>
        </div>
      )}
    </section>
  )
}

/** What will be blurred; a whole picture only as far as the plate on it can still be found. */
function Blurred({ plate }: { plate: Plate }) {
  if (plate === 'none') return null
  const look = 'pointer-events-none absolute border-2 border-dashed border-copper'
  if (plate === 'anywhere') return <span aria-hidden="true" className={`${look} inset-0 backdrop-blur-xs`} />
  const at = { left: plate.x, top: plate.y, width: plate.width, height: plate.height }
  const style = Object.fromEntries(Object.entries(at).map(([side, share]) => [side, `${share * 100}%`]))
  return <span aria-hidden="true" className={`${look} backdrop-blur-lg`} style={style} />
}
