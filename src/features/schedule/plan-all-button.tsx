'use client'

import { useState, useTransition } from 'react'
import { planAll } from '@/server/actions/plan-all'
import { Button } from '@/ui/button'

export function PlanAllButton() {
  const [pending, startTransition] = useTransition()
  const [message, setMessage] = useState('')
  return (
    <div className="flex items-center gap-3">
      <p role="status" className="text-sm text-ink-soft">
        {message}
      </p>
      <Button
        look="outline"
        disabled={pending}
        onClick={() => startTransition(async () => setMessage(await planAll()))}
      >
        {pending ? 'Planning…' : 'Plan anew'}
      </Button>
    </div>
  )
}
