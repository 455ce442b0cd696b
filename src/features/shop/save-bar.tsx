'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useRef } from 'react'
import { Button } from '@/ui/button'
import type { useAction } from '@/ui/use-action'
import { useOnward } from './setting-up'

type Props = {
  /** The action that saves, as `useAction` gives it. */
  saving: Pick<ReturnType<typeof useAction>, 'pending' | 'refusal' | 'isDone'>
  onSave: () => void
  /** What holds from now on. */
  saved: string
}

/** Saves a page of the shop and says what became of it. While a shop is being set up it leads on to the next page. */
export function SaveBar({ saving: { pending, refusal, isDone }, onSave, saved }: Props) {
  const onward = useOnward()
  const router = useRouter()
  // As it was when it was saved: with the last page saved, the shop is set up and the frame around it leads nowhere any more.
  const leadsTo = useRef<string>(undefined)
  useEffect(() => {
    if (!isDone || !leadsTo.current) return
    router.push(leadsTo.current)
    router.refresh()
  }, [isDone, router])
  const save = () => {
    leadsTo.current = onward?.href
    onSave()
  }
  return (
    <div className="sticky bottom-0 mt-6 flex flex-wrap items-center gap-4 border-t border-line bg-paper py-3">
      <Button disabled={pending} onClick={save}>
        {pending ? 'Saving…' : !onward ? 'Save' : onward.isLast ? 'Save and finish' : 'Save and go on'}
      </Button>
      {isDone && <p role="status">{saved}</p>}
      {refusal && (
        <p role="alert" className="max-w-prose text-copper">
          {refusal.field === '' ? '' : 'Something is not right yet: '}
          {refusal.message}
        </p>
      )}
    </div>
  )
}
