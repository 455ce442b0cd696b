'use client'

import { useId } from 'react'

/** The camera of the tablet, or a file. */
export function Camera({ label, onFiles }: { label: string; onFiles: (files: File[]) => void }) {
  const id = useId()
  return (
    <>
      <input
        id={id}
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        className="peer sr-only"
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])])
          event.target.value = ''
        }}
      />
      <label
        htmlFor={id}
        className="inline-flex min-h-11 cursor-pointer items-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold peer-focus-visible:outline-3 peer-focus-visible:outline-offset-2 peer-focus-visible:outline-fern hover:bg-lichen"
      >
        {label}
      </label>
    </>
  )
}
