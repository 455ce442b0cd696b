'use client'

import { useEffect, useState } from 'react'
import { signIn } from '@/server/staff/sign-in-actions'
import { Button } from '@/ui/button'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { goTo } from './go-to'

const LEAST = 4
const MOST = 8
const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const

/** A PIN typed with wet gloves: large keys, and the keyboard as well. */
export function PinPad({ name, to, onOther }: { name: string; to: string; onOther: () => void }) {
  const [pin, setPin] = useState('')
  const { run, pending, refusal, clear } = useAction()
  const type = (digit: string) => {
    clear()
    setPin((typed) => (typed + digit).slice(0, MOST))
  }
  const send = () => {
    if (pin.length < LEAST || pending) return
    run(signIn, { name, by: 'pin', secret: pin, browser: navigator.userAgent }, () => goTo(to))
    setPin('')
  }
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return
      if (/^\d$/.test(event.key)) type(event.key)
      else if (event.key === 'Backspace') setPin((typed) => typed.slice(0, -1))
      else if (event.key === 'Enter' && !(event.target instanceof HTMLButtonElement)) send()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })
  const key =
    'min-h-16 rounded border border-ink/60 bg-sheet font-head text-2xl font-semibold hover:bg-lichen'
  return (
    <div className="space-y-4">
      <p
        role="status"
        aria-label={`${pin.length} digits typed`}
        className="flex h-8 items-center justify-center gap-3"
      >
        {Array.from({ length: Math.max(LEAST, pin.length) }, (_, at) => (
          <span
            key={at}
            aria-hidden
            className={`size-3.5 rounded-full border-2 border-fern ${at < pin.length ? 'bg-fern' : ''}`}
          />
        ))}
      </p>
      <Refused refusal={refusal} />
      <div className="grid grid-cols-3 gap-2">
        {DIGITS.map((digit) => (
          <button key={digit} type="button" className={key} onClick={() => type(digit)}>
            {digit}
          </button>
        ))}
        <button type="button" className={`${key} text-base`} onClick={() => setPin('')}>
          Clear
        </button>
        <button type="button" className={key} onClick={() => type('0')}>
          0
        </button>
        <Button className="min-h-16" disabled={pin.length < LEAST || pending} onClick={send}>
          {pending ? 'Signing in …' : 'Sign in'}
        </Button>
      </div>
      <Button look="quiet" className="w-full" onClick={onOther}>
        Somebody else
      </Button>
    </div>
  )
}
