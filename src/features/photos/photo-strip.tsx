'use client'

import { useState } from 'react'
import type { Photo } from '@/core/photo'
import type { Phase } from '@/core/survey'
import { Button } from '@/ui/button'
import { Camera } from './camera'
import { MarkedPhoto } from './marked-photo'
import { PhotoViewer } from './photo-viewer'
import type { Photos } from './use-photos'

type Props = { album: Photos; place: string; placeName: string; phase: Phase; readOnly: boolean }

/** The photographs of one place: small, in a row, with the camera at its end. */
export function PhotoStrip({ album, place, placeName, phase, readOnly }: Props) {
  const [viewed, setViewed] = useState<string>()
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
        <div className="mt-2">
          <Camera
            label={here.length > 0 ? 'Another photograph' : 'Photograph it'}
            onFiles={(files) => album.take(files, { place, phase })}
          />
        </div>
      )}
      {open && (
        <PhotoViewer
          album={album}
          photo={open}
          placeName={placeName}
          readOnly={readOnly}
          onClose={() => setViewed(undefined)}
        />
      )}
    </section>
  )
}

function Thumb({ photo, placeName, onOpen }: { photo: Photo; placeName: string; onOpen: () => void }) {
  return (
    <button
      type="button"
      className="relative overflow-hidden rounded border border-line"
      aria-label={`Open the photograph of ${placeName.toLowerCase()}, ${photo.phase} the work`}
      onClick={onOpen}
    >
      <MarkedPhoto photo={photo} size="thumb" className="h-20" />
      <span className="absolute right-0 bottom-0 bg-paper/90 px-1.5 text-xs">{photo.phase}</span>
    </button>
  )
}
