'use client'

import { Dialog } from 'radix-ui'
import type { ReactNode } from 'react'
import type { Refusal } from '@/core/answer'
import { Button } from '@/ui/button'

type Props = {
  title: string
  trigger: ReactNode
  open: boolean
  onOpenChange: (open: boolean) => void
  refusal: Refusal | undefined
  pending: boolean
  ready: boolean
  onBook: () => void
  children: ReactNode
}

/** What is chosen for a short job before it comes onto the calendar. */
export function BookingDialog({
  title,
  trigger,
  open,
  onOpenChange,
  refusal,
  pending,
  ready,
  onBook,
  children,
}: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          className="sheet fixed top-1/2 left-1/2 z-50 max-h-[92vh] w-[min(40rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-auto p-6"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-2xl">{title}</Dialog.Title>
          <div className="mt-4 space-y-4">{children}</div>
          {refusal && (
            <p role="alert" className="mt-3 font-semibold text-copper">
              {refusal.message}
            </p>
          )}
          <div className="mt-5 flex gap-3">
            <Button disabled={pending || !ready} onClick={onBook}>
              {pending ? 'Booking…' : 'Add to the schedule'}
            </Button>
            <Dialog.Close asChild>
              <Button look="quiet">Cancel</Button>
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
