'use client'

import { AlertDialog } from 'radix-ui'
import { takeOperationBack } from '@/server/work/work-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

/** Asks once, and takes a tick back. */
export function TakeBackDialog({
  jobId,
  operationId,
  title,
  onClosed,
}: {
  jobId: string
  operationId: string
  title: string
  onClosed: () => void
}) {
  const { run, pending, refusal } = useAction()
  const take = () => run(takeOperationBack, { jobId, operationId }, onClosed)
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onClosed()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 bg-ink/30" />
        <AlertDialog.Content className="sheet fixed top-1/2 left-1/2 w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 p-6">
          <AlertDialog.Title className="text-xl">Take “{title}” back?</AlertDialog.Title>
          <AlertDialog.Description className="my-3">
            Its times{title.startsWith('Layer') ? ', lot and climate' : ''} are removed from the card, and the
            rest is planned again.
          </AlertDialog.Description>
          {refusal && (
            <p role="alert" className="mb-3 text-copper">
              {refusal.message}
            </p>
          )}
          <div className="flex gap-3">
            <Button onClick={take} disabled={pending}>
              Take it back
            </Button>
            <AlertDialog.Cancel className="min-h-11 rounded border border-ink/60 px-4 font-head font-semibold">
              Leave it
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
