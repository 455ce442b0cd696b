'use client'

import { useEffect, useMemo, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { Photo, Shown } from '@/core/photo'
import type { Phase } from '@/core/survey'
import { keepShown, removePhoto, restorePhoto } from '@/server/photos/photo-actions'
import { freshKey } from '@/ui/fresh-key'
import { act } from '@/ui/use-action'
import { useQueue } from '../queue/this-device'

export type Target = { place: string; phase: Phase; shows?: Shown; samePlaceAs?: string }
/** A photograph on its way, or one that was not taken; it waits on the device until the shop has answered for it. */
export type Upload = { key: string; name: string; target: Target; fault?: string; waits: boolean }

export type Photos = ReturnType<typeof usePhotos>

/** The photographs of a job: those the shop has, and those this device has still to send, over a reload too. */
export function usePhotos(jobId: JobId, stored: readonly Photo[]) {
  const { queue, state } = useQueue()
  const [changed, setChanged] = useState<ReadonlyMap<string, Photo | 'removed'>>(new Map())
  const [removed, setRemoved] = useState<Photo>()

  const sent = useMemo(
    () =>
      state.sent.flatMap((entry) =>
        entry.kind === 'photo' && entry.job === jobId && entry.value ? [entry.value as Photo] : [],
      ),
    [state.sent, jobId],
  )
  useEffect(() => {
    void queue?.shown(new Set(stored.map(({ id }) => id)))
  }, [queue, stored])
  const all = [...stored, ...sent.filter(({ id }) => !stored.some((each) => each.id === id))]
  const photos = all.flatMap((photo) => {
    const known = changed.get(photo.id)
    return known === 'removed' ? [] : [known ?? photo]
  })
  const change = (id: string, to: Photo | 'removed') => setChanged((before) => new Map(before).set(id, to))

  const pending = [...state.waiting, ...state.refused].flatMap((entry): Upload[] => {
    if (entry.kind !== 'photo' || entry.job !== jobId) return []
    const { id, name, place, phase, shows, samePlaceAs } = entry
    const target = { place, phase, ...(shows ? { shows } : {}), ...(samePlaceAs ? { samePlaceAs } : {}) }
    const why = 'why' in entry && entry.why.kind === 'words' ? entry.why.message : undefined
    return [{ key: id, name, target, waits: !state.reached, ...(why ? { fault: why } : {}) }]
  })
  return {
    photos,
    pending,
    removed,
    take: (files: Iterable<File>, target: Target) => {
      for (const file of files)
        void queue?.add(
          {
            id: freshKey(),
            kind: 'photo',
            job: jobId,
            name: file.name,
            ...target,
          },
          file,
        )
    },
    drop: (upload: Upload) => void queue?.dismiss(upload.key),
    replace: (photo: Photo) => change(photo.id, photo),
    /** Says which mark a photograph shows, or that it shows all of its place. */
    show: async (photo: Photo, shows: Shown | undefined) => {
      const { shows: _, ...rest } = photo
      const told = shows ? { shows } : {}
      if ((await act(keepShown, { id: photo.id, ...told })).ok) change(photo.id, { ...rest, ...told })
    },
    remove: async (photo: Photo) => {
      if (!(await act(removePhoto, { id: photo.id })).ok) return
      change(photo.id, 'removed')
      setRemoved(photo)
    },
    undoRemove: async () => {
      if (!removed || !(await act(restorePhoto, { id: removed.id })).ok) return
      change(removed.id, removed)
      setRemoved(undefined)
    },
  }
}
