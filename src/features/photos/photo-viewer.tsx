'use client'

import { Dialog } from 'radix-ui'
import { useState } from 'react'
import type { Mark, Photo, Shown } from '@/core/photo'
import { keepMarks } from '@/server/photos/photo-actions'
import { markName } from '@/text/marks'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { useRegion } from '@/ui/region'
import { act } from '@/ui/use-action'
import { Camera } from './camera'
import { Compare } from './compare'
import { clamp, DragSurface, type Point } from './drag-surface'
import { MarkedPhoto } from './marked-photo'
import type { Photos } from './use-photos'
import { WhatItShows } from './what-it-shows'

type Props = {
  album: Photos
  photo: Photo
  placeName: string
  readOnly: boolean
  marks: readonly Shown[]
  onClose: () => void
}
type Tool = Mark['kind']

/** One photograph, large: drawn upon, compared with its pair, taken again from the same place, removed. */
export function PhotoViewer({ album, photo, placeName, readOnly, marks: found, onClose }: Props) {
  const region = useRegion()
  const [tool, setTool] = useState<Tool>('circle')
  const [marks, setMarks] = useState<readonly Mark[]>(photo.marks)
  const [fault, setFault] = useState<string>()
  const pair = photo.samePlaceAs
    ? album.photos.find(({ id }) => id === photo.samePlaceAs)
    : album.photos.find(({ samePlaceAs }) => samePlaceAs === photo.id)
  const [before, after] = photo.phase === 'before' ? [photo, pair] : [pair, photo]
  const [comparing, setComparing] = useState(pair !== undefined)
  const change = async (next: readonly Mark[]) => {
    setMarks(next)
    const answer = await act(keepMarks, { id: photo.id, version: photo.version, marks: [...next] })
    if (!answer.ok) return setFault(answer.message)
    setFault(undefined)
    album.replace({ ...photo, marks: [...next], version: photo.version + 1 })
  }
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/50" />
        <Dialog.Content
          className="sheet fixed top-1/2 left-1/2 z-50 max-h-[96dvh] w-[min(60rem,96vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-4"
          aria-describedby={undefined}
        >
          <div className="mb-2 flex flex-wrap items-center gap-3">
            <Dialog.Title className="text-xl">
              {placeName}, {photo.shows ? `${markName(region, photo.shows)}, ` : ''}
              {photo.phase} the work
            </Dialog.Title>
            {before && after && (
              <Button look="outline" aria-pressed={comparing} onClick={() => setComparing(!comparing)}>
                {comparing ? 'This photograph only' : 'Before against after'}
              </Button>
            )}
            <Dialog.Close className="ml-auto min-h-11 rounded border border-ink/60 px-4 font-head font-semibold">
              Close
            </Dialog.Close>
          </div>
          {comparing && before && after ? (
            <Compare before={before} after={after} />
          ) : (
            <DrawOn
              photo={photo}
              marks={marks}
              tool={tool}
              readOnly={readOnly}
              onChange={(next) => void change(next)}
            />
          )}
          {fault && (
            <p role="alert" className="mt-2 text-copper">
              {fault}
            </p>
          )}
          {!readOnly && !comparing && (found.length > 0 || photo.shows) && (
            <div className="mt-3">
              <WhatItShows
                label="It shows"
                marks={found}
                shown={photo.shows ?? 'all'}
                onChange={(shown) => void album.show(photo, shown === 'all' ? undefined : shown)}
              />
            </div>
          )}
          {!readOnly && !comparing && (
            <div className="mt-3 flex flex-wrap items-end gap-3">
              <Choice
                label="Draw with a finger"
                options={[
                  { value: 'circle', name: 'Circle' },
                  { value: 'arrow', name: 'Arrow' },
                ]}
                value={tool}
                onChange={setTool}
              />
              <Button
                look="outline"
                onClick={() => void change([...marks, { kind: 'circle', x: 0.5, y: 0.5, r: 0.12 }])}
              >
                Circle in the middle
              </Button>
              <Button
                look="outline"
                disabled={marks.length === 0}
                onClick={() => void change(marks.slice(0, -1))}
              >
                Undo
              </Button>
              <span className="ml-auto flex gap-2">
                {photo.phase === 'before' && !pair && (
                  <Camera
                    label="Same place, after"
                    onFiles={(files) =>
                      album.take(files.slice(0, 1), {
                        place: photo.place,
                        phase: 'after',
                        ...(photo.shows ? { shows: photo.shows } : {}),
                        samePlaceAs: photo.id,
                      })
                    }
                  />
                )}
                <Button
                  look="quiet"
                  onClick={() => {
                    void album.remove(photo)
                    onClose()
                  }}
                >
                  Remove
                </Button>
              </span>
            </div>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

/** The smallest mark that is meant as one, in shares of the width; less is a touch. */
const LEAST = 0.015

function markFrom(tool: Tool, from: Point, to: Point, ratio: number): Mark | undefined {
  const reach = Math.hypot(to.x - from.x, (to.y - from.y) * ratio)
  if (reach < LEAST) return undefined
  return tool === 'circle'
    ? { kind: 'circle', ...from, r: clamp(reach) }
    : { kind: 'arrow', fromX: from.x, fromY: from.y, toX: to.x, toY: to.y }
}

function moved(mark: Mark, [dx, dy]: readonly [number, number]): Mark {
  if (mark.kind === 'circle') return { ...mark, x: clamp(mark.x + dx), y: clamp(mark.y + dy) }
  return {
    ...mark,
    fromX: clamp(mark.fromX + dx),
    fromY: clamp(mark.fromY + dy),
    toX: clamp(mark.toX + dx),
    toY: clamp(mark.toY + dy),
  }
}

/** The picture as a surface to draw on. By keyboard the arrows move the last mark. */
function DrawOn({
  photo,
  marks,
  tool,
  readOnly,
  onChange,
}: {
  photo: Photo
  marks: readonly Mark[]
  tool: Tool
  readOnly: boolean
  onChange: (marks: readonly Mark[]) => void
}) {
  const [draft, setDraft] = useState<Mark>()
  return (
    <DragSurface
      label={`Photograph with ${marks.length} ${marks.length === 1 ? 'mark' : 'marks'}; the arrows move the last one`}
      readOnly={readOnly}
      onDrag={(from, to) => setDraft(markFrom(tool, from, to, photo.height / photo.width))}
      onDrop={() => {
        if (draft) onChange([...marks, draft])
        setDraft(undefined)
      }}
      onArrow={(by) => {
        const last = marks.at(-1)
        if (last) onChange([...marks.slice(0, -1), moved(last, by)])
      }}
    >
      <MarkedPhoto
        photo={photo}
        size="full"
        className="max-h-[72dvh] max-w-full"
        marks={draft ? [...marks, draft] : marks}
      />
    </DragSurface>
  )
}
