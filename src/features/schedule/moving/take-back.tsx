'use client'

import { useEffect, useState } from 'react'
import type { MoveHistory } from '@/core/planning'
import { redo, undo } from '@/server/planning/move-actions'
import { Button } from '@/ui/button'
import { useAction } from '@/ui/use-action'

/** Takes the last move by hand back, or makes it again. */
export function TakeBack({ history }: { history: MoveHistory }) {
  const [said, setSaid] = useState('')
  const { run: act, pending, refusal } = useAction()
  const message = refusal?.message ?? said
  const run = (action: typeof undo) => act(action, null, (told) => setSaid(told.said))
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const isTyping = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
      if (isTyping || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return
      event.preventDefault()
      run(event.shiftKey ? redo : undo)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  if (!history.undo && !history.redo && !message) return null
  return (
    <span className="flex items-center gap-2">
      <Button
        look="outline"
        disabled={pending || !history.undo}
        title={history.undo}
        onClick={() => run(undo)}
      >
        Undo
      </Button>
      <Button
        look="outline"
        disabled={pending || !history.redo}
        title={history.redo}
        onClick={() => run(redo)}
      >
        Redo
      </Button>
      <span role="status" className="text-sm text-ink-soft">
        {message}
      </span>
    </span>
  )
}
