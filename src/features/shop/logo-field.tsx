'use client'

import { useState } from 'react'
import { LOGO_SIDES } from '@/core/shop'
import { keepLogo } from '@/server/shop/shop-actions'
import { NO_PICTURE } from '@/text/en/logo'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

/** bytes; a logo of print quality comes to a few megabytes (mem). */
const MOST_BYTES = 20 * 1024 * 1024

/** The picture as a PNG of the size it is kept in. Throws where the browser cannot read it. */
async function drawn(file: File): Promise<string> {
  const address = URL.createObjectURL(file)
  try {
    const picture = new Image()
    picture.src = address
    await picture.decode()
    // A drawing may say no size of its own.
    const [width, height] = [
      picture.naturalWidth || LOGO_SIDES.width,
      picture.naturalHeight || LOGO_SIDES.height,
    ]
    const scale = Math.min(1, LOGO_SIDES.width / width, LOGO_SIDES.height / height)
    const canvas = document.createElement('canvas')
    canvas.width = Math.max(1, Math.round(width * scale))
    canvas.height = Math.max(1, Math.round(height * scale))
    canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
    return canvas.toDataURL('image/png')
  } finally {
    URL.revokeObjectURL(address)
  }
}

type Props = { logo: string | undefined; version: number; onSaved: (version: number) => void }

/** The picture at the head of the shop's papers: chosen here, saved at once. */
export function LogoField({ logo, version, onSaved }: Props) {
  const [shown, setShown] = useState(logo)
  const [unread, setUnread] = useState('')
  const { run, pending, refusal, clear } = useAction()
  const save = (src: string | undefined) =>
    run(keepLogo, { version, picture: src?.replace(/^data:image\/png;base64,/, '') ?? '' }, (kept) => {
      setShown(src)
      onSaved(kept.version)
    })
  const choose = async (file: File | undefined) => {
    if (!file) return
    clear()
    setUnread('')
    if (file.size > MOST_BYTES)
      return setUnread(`The file is larger than ${MOST_BYTES / 1024 / 1024} MB. Choose a smaller copy.`)
    const src = await drawn(file).catch(() => undefined)
    if (src) save(src)
    else setUnread(NO_PICTURE)
  }
  const fault = unread || refusal?.message
  return (
    <section className="mt-4" aria-label="Logo">
      <p className="font-semibold">Logo, at the head of your papers</p>
      <div className="mt-1 flex flex-wrap items-center gap-4">
        {shown && (
          // biome-ignore lint/performance/noImgElement: a picture of a few kilobytes that comes with the page.
          <img
            src={shown}
            alt="Logo of the shop"
            className="h-16 w-auto rounded border border-line bg-white p-1"
          />
        )}
        <label className="inline-flex min-h-11 cursor-pointer items-center rounded border border-ink-soft/45 bg-sheet px-4 font-head font-semibold focus-within:outline-2 focus-within:outline-fern hover:bg-lichen">
          {shown ? 'Another picture' : 'Choose a picture'}
          <input
            type="file"
            accept="image/*"
            className="sr-only"
            disabled={pending}
            onChange={({ target }) => {
              choose(target.files?.[0])
              target.value = ''
            }}
          />
        </label>
        {shown && (
          <Button look="quiet" disabled={pending} onClick={() => save(undefined)}>
            No logo
          </Button>
        )}
        {fault && (
          <p role="alert" className="text-copper">
            {fault}
          </p>
        )}
      </div>
    </section>
  )
}
