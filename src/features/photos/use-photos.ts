'use client'

import { useState } from 'react'
import type { Phase } from '@/core/survey'
import { removePhoto, restorePhoto } from '@/server/photos/photo-actions'
import type { Photo } from '@/server/photos/photo-store'
import { act } from '@/ui/use-action'

export type Target = { place: string; phase: Phase; samePlaceAs?: string }
/** A photograph on its way, or one that did not arrive: its file stays here until it has. */
export type Upload = { key: number; file: File; target: Target; fault?: string }

export type Photos = ReturnType<typeof usePhotos>

let uploads = 0

/** The photographs of a job. A file that could not be sent is kept and can be sent again. */
export function usePhotos(jobId: string, stored: readonly Photo[]) {
  const [photos, setPhotos] = useState<readonly Photo[]>(stored)
  const [pending, setPending] = useState<readonly Upload[]>([])
  const [removed, setRemoved] = useState<Photo>()

  const send = async (upload: Upload) => {
    setPending((before) => [
      ...before.filter(({ key }) => key !== upload.key),
      { ...upload, fault: undefined } as Upload,
    ])
    const query = new URLSearchParams({ ...upload.target })
    const answer = await fetch(`/api/jobs/${jobId}/photos?${query}`, { method: 'POST', body: upload.file })
      .then(async (response) => ({ ok: response.ok, body: await response.json() }))
      .catch(() => ({
        ok: false,
        body: { message: 'It did not arrive. It is kept here; send it again when the network is back.' },
      }))
    if (answer.ok) {
      setPhotos((before) => [...before, answer.body as Photo])
      setPending((before) => before.filter(({ key }) => key !== upload.key))
    } else
      setPending((before) =>
        before.map((each) =>
          each.key === upload.key ? { ...each, fault: answer.body.message as string } : each,
        ),
      )
  }
  return {
    photos,
    pending,
    removed,
    take: (files: Iterable<File>, target: Target) => {
      for (const file of files) void send({ key: ++uploads, file, target })
    },
    again: (upload: Upload) => void send(upload),
    drop: (upload: Upload) => setPending((before) => before.filter(({ key }) => key !== upload.key)),
    replace: (photo: Photo) =>
      setPhotos((before) => before.map((each) => (each.id === photo.id ? photo : each))),
    remove: async (photo: Photo) => {
      if (!(await act(removePhoto, { id: photo.id })).ok) return
      setPhotos((before) => before.filter(({ id }) => id !== photo.id))
      setRemoved(photo)
    },
    undoRemove: async () => {
      if (!removed) return
      if (!(await act(restorePhoto, { id: removed.id })).ok) return
      setPhotos((before) => [...before, removed])
      setRemoved(undefined)
    },
  }
}
