'use client'

import { useEffect, useState } from 'react'
import { codeOfLabel } from './label-code'

/** What browsers that can read codes offer; others have nothing of that name. */
type Detector = { detect: (image: ImageBitmap) => Promise<{ rawValue: string }[]> }
type WithDetector = { BarcodeDetector?: new (options: { formats: string[] }) => Detector }

/** Reads the label of a bottle with the camera, where the browser can; elsewhere it is not there at all. */
export function LabelScan({ onCode }: { onCode: (code: number) => void }) {
  const [can, setCan] = useState(false)
  const [message, setMessage] = useState('')
  useEffect(() => setCan('BarcodeDetector' in window), [])
  if (!can) return null
  const read = async (file: File) => {
    const Reader = (window as WithDetector).BarcodeDetector!
    const found = await createImageBitmap(file)
      .then((image) => new Reader({ formats: ['qr_code'] }).detect(image))
      .catch(() => [])
    const code = found.map(({ rawValue }) => codeOfLabel(rawValue)).find((each) => each !== undefined)
    setMessage(
      code === undefined
        ? 'No label of ours on it. Hold the camera closer, or choose the bottle by hand.'
        : '',
    )
    if (code !== undefined) onCode(code)
  }
  return (
    <div>
      <label className="inline-flex min-h-11 items-center rounded border border-ink/60 bg-sheet px-4 font-head text-[15px] font-semibold">
        Read a label
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="sr-only"
          onChange={({ target }) => {
            const [file] = target.files ?? []
            if (file) void read(file)
            target.value = ''
          }}
        />
      </label>
      {message && (
        <p role="alert" className="mt-1 text-copper">
          {message}
        </p>
      )}
    </div>
  )
}
