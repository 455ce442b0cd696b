'use client'

import { useState } from 'react'
import type { Photo, Shown } from '@/core/photo'
import type { Phase } from '@/core/survey'
import { markName } from '@/text/marks'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'
import { Camera } from './camera'
import { MarkedPhoto } from './marked-photo'
import { PhotoViewer } from './photo-viewer'
import type { Photos } from './use-photos'
import { WhatItShows } from './what-it-shows'

type Props = {
  album: Photos
  place: string
  placeName: string
  phase: Phase
  readOnly: boolean
  /** What is wrong there, the newest last: a photograph may show one of them. */
  marks?: readonly Shown[]
}

const NO_MARKS: readonly Shown[] = []

/** The photographs of one place: small, in a row, with the camera at its end. */
export function PhotoStrip({ album, place, placeName, phase, readOnly, marks = NO_MARKS }: Props) {
  const [viewed, setViewed] = useState<string>()
  const [chosen, setChosen] = useState<Shown | 'all'>()
  // Whoever has just written a mark down takes its photograph next; after the work one takes the panel.
  const shown = chosen ?? (phase === 'before' ? marks.at(-1) : undefined) ?? 'all'
  const here = album.photos.filter((photo) => photo.place === place)
  const pending = album.pending.filter(({ target }) => target.place === place)
  const open = here.find(({ id }) => id === viewed)
  return (
    <section
      aria-label={`Photographs of ${placeName.toLowerCase()}`}
      className="mt-4 border-t border-line pt-3"
    >
      <div className="flex flex-wrap gap-2">
        {here.map((photo) => (
          <Thumb key={photo.id} photo={photo} placeName={placeName} onOpen={() => setViewed(photo.id)} />
        ))}
        {pending.map((upload) => (
          <div key={upload.key} className="w-full rounded border border-line p-2 text-sm">
            {upload.fault ? (
              <div role="alert">
                <p className="text-copper">
                  <strong>{upload.name}</strong>: {upload.fault}
                </p>
                <Button look="quiet" className="mt-1" onClick={() => album.drop(upload)}>
                  Discard
                </Button>
              </div>
            ) : (
              <p role="status">
                {upload.waits
                  ? `${upload.name} is kept on this tablet and sent when the network is back.`
                  : `Sending ${upload.name}…`}
              </p>
            )}
          </div>
        ))}
      </div>
      {album.removed?.place === place && (
        <p className="mt-2 text-sm" role="status">
          Photograph removed.{' '}
          <button
            type="button"
            className="min-h-11 underline underline-offset-4"
            onClick={() => void album.undoRemove()}
          >
            Undo
          </button>
        </p>
      )}
      {!readOnly && (
        <div className="mt-2 space-y-2">
          {marks.length > 0 && (
            <WhatItShows label="The next photograph shows" marks={marks} shown={shown} onChange={setChosen} />
          )}
          <Camera
            label={here.length > 0 ? 'Another photograph' : 'Photograph it'}
            onFiles={(files) =>
              album.take(files, { place, phase, ...(shown === 'all' ? {} : { shows: shown }) })
            }
          />
        </div>
      )}
      {open && (
        <PhotoViewer
          album={album}
          photo={open}
          placeName={placeName}
          readOnly={readOnly}
          marks={marks}
          onClose={() => setViewed(undefined)}
        />
      )}
    </section>
  )
}

function Thumb({ photo, placeName, onOpen }: { photo: Photo; placeName: string; onOpen: () => void }) {
  const region = useRegion()
  const mark = photo.shows && markName(region, photo.shows)
  return (
    <button
      type="button"
      className="overflow-hidden rounded border border-line"
      aria-label={`Open the photograph of ${placeName.toLowerCase()}, ${mark ? `${mark}, ` : ''}${photo.phase} the work`}
      onClick={onOpen}
    >
      <MarkedPhoto photo={photo} size="thumb" className="h-20" />
      <span className="block bg-paper px-1.5 text-xs leading-6">
        {mark ? `${mark}, ${photo.phase}` : photo.phase}
      </span>
    </button>
  )
}
