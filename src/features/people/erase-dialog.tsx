'use client'

import { useRouter } from 'next/navigation'
import { Dialog } from 'radix-ui'
import { type FormEvent, useState } from 'react'
import type { CustomerId } from '@/core/ids'
import { PHOTO_CHOICES, type PhotoChoice } from '@/core/people'
import { erase } from '@/server/people/people-actions'
import { PHOTO_CHOICE_NAME } from '@/text/en/people'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { type NamedPlated, Plates, type Said } from './plates'

/** Forgetting a customer: what goes, what stays and why, and their name once more. */
export function EraseDialog({
  customerId,
  name,
  pictures,
}: {
  customerId: CustomerId
  name: string
  pictures: readonly NamedPlated[]
}) {
  const router = useRouter()
  const [open, setOpen] = useState(false)
  const [typed, setTyped] = useState('')
  const [photos, setPhotos] = useState<PhotoChoice>('blur')
  const [said, setSaid] = useState<Said>(new Map())
  const [plates, setPlates] = useState(false)
  const { run, pending, refusal, errorAt, clear } = useAction()
  const submit = (event: FormEvent) => {
    event.preventDefault()
    const marked = [...said].map(([photoId, plate]) => ({ photoId, plate }))
    run(erase, { customerId, name: typed, photos, plates, marked }, () => {
      setOpen(false)
      router.push('/vehicles')
    })
  }
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="quiet">Erase them …</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content className="sheet fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(64rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto p-6">
          <Dialog.Title className="text-2xl">Erase {name}</Dialog.Title>
          <Dialog.Description className="mt-1">This cannot be taken back.</Dialog.Description>
          <form onSubmit={submit} className="mt-3 grid gap-x-8 gap-y-4 md:grid-cols-2">
            <div className="space-y-4">
              <ul className="ml-5 list-disc text-[15px]">
                <li>
                  Gone: name, telephone, e-mail, messages, wishes, their private pages, what they agreed to.
                </li>
                <li>
                  Kept without their name: quotes, agreements and payments, as the tax law asks; the record of
                  the paint, which belongs to the car. A signature stays with what was signed.
                </li>
                <li>Backups still hold it until the last of them is over, a year from now at most.</li>
              </ul>
              <label className="flex min-h-11 items-center gap-3">
                <input
                  type="checkbox"
                  className="size-6 shrink-0 accent-fern"
                  checked={plates}
                  onChange={(event) => setPlates(event.target.checked)}
                />
                Forget the plates and vehicle numbers of their cars as well
              </label>
              <Field label="Type their name" {...errorAt('name')}>
                <input
                  className="field"
                  autoComplete="off"
                  maxLength={200}
                  value={typed}
                  onChange={(event) => {
                    setTyped(event.target.value)
                    clear()
                  }}
                />
              </Field>
              <Refused refusal={refusal?.field === 'name' ? undefined : refusal} />
              <div className="flex gap-3">
                <Button type="submit" disabled={pending || typed.trim() === ''}>
                  {pending ? 'Erasing …' : 'Erase them'}
                </Button>
                <Dialog.Close asChild>
                  <Button look="outline">Keep them</Button>
                </Dialog.Close>
              </div>
            </div>
            <div className="space-y-3">
              <Choice
                label="Photographs"
                options={PHOTO_CHOICES.map((value) => ({ value, name: PHOTO_CHOICE_NAME[value] }))}
                value={photos}
                onChange={setPhotos}
              />
              {photos === 'blur' && (
                <Plates
                  photos={pictures}
                  said={said}
                  onSay={(photoId, plate) => setSaid((before) => new Map(before).set(photoId, plate))}
                />
              )}
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
