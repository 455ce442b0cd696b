'use client'

import { Dialog } from 'radix-ui'

const LIST: [string, string][] = [
  ['g then y', 'Go to the yard'],
  ['g then t', 'Check a vehicle in'],
  ['g then w', 'Go to today’s work'],
  ['g then s', 'Go to the schedule'],
  ['g then v', 'Go to the vehicles'],
  ['g then a', 'Go to aftercare: visits and messages'],
  ['g then l', 'Go to what the shop has learned'],
  ['g then k', 'Go to the stock'],
  ['g then p', 'Go to the practice panel'],
  ['?', 'This list'],
  ['Walk-round, survey: ← → ↑ ↓', 'Walk round the car, panel by panel'],
  ['Survey: 0–9', 'Start typing a reading for the panel'],
  ['Survey: Enter', 'Keep the reading'],
  ['Survey: Backspace', 'In an empty field, take the last reading back'],
]

/** The list of all keys. */
export function ShortcutList({ onClosed }: { onClosed: () => void }) {
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClosed()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          className="sheet fixed top-1/2 left-1/2 z-50 w-[min(34rem,92vw)] -translate-x-1/2 -translate-y-1/2 p-6"
          aria-describedby={undefined}
        >
          <Dialog.Title className="mb-4 text-2xl">By keyboard</Dialog.Title>
          <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
            {LIST.map(([keys, what]) => (
              <div key={keys} className="contents">
                <dt className="font-semibold">{keys}</dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="mt-6 min-h-11 rounded border border-ink/60 px-4 font-head font-semibold">
            Close
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}
