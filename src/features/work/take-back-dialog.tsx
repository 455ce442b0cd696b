'use client'

import { AlertDialog } from 'radix-ui'
import { Button } from '@/ui/button'

type Props = {
  title: string
  /** A step that is done goes back to being under way; one under way to not begun. */
  isDone: boolean
  /** What was applied goes with it. */
  isLayer: boolean
  onTake: () => void
  onClosed: () => void
}

/** Asks once before what was last said of a step is taken back. */
export function TakeBackDialog({ title, isDone, isLayer, onTake, onClosed }: Props) {
  return (
    <AlertDialog.Root open onOpenChange={(open) => !open && onClosed()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <AlertDialog.Content className="sheet fixed top-1/2 left-1/2 z-50 w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 p-6">
          <AlertDialog.Title className="text-xl">Undo “{title}”?</AlertDialog.Title>
          <AlertDialog.Description className="my-3">
            {isDone
              ? `It is under way again, since it was really begun${isLayer ? '; its lot, bottles and climate are removed' : ''}.`
              : 'It counts as not begun, and what was ticked on it is removed.'}{' '}
            The rest is planned again.
          </AlertDialog.Description>
          <div className="flex gap-3">
            <Button
              onClick={() => {
                onTake()
                onClosed()
              }}
            >
              Undo
            </Button>
            <AlertDialog.Cancel className="min-h-11 rounded border border-ink/60 px-4 font-head font-semibold">
              Cancel
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  )
}
