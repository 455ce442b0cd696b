'use client'

import { useCallback, useEffect, useState } from 'react'
import { type PersonId, toPersonId } from '@/core/ids'
import { useSignedIn } from '@/ui/me'
import type { QueueState } from '../queue/told'
import { keepTookOver, tookOver } from '../queue/who-holds'

const KEY = 'fern-yard.me'

/**
 * Who works at this screen: whoever of the crew is signed in, and nobody else. Where nobody has to sign in, who was last said to; that is
 * remembered on the tablet, `usual` until somebody has said so.
 */
export function useMe(usual: PersonId): [PersonId, (id: PersonId) => void] {
  const signedIn = useSignedIn()
  const [me, setMe] = useState(usual)
  useEffect(() => {
    const known = localStorage.getItem(KEY)
    if (known) setMe(toPersonId(known))
  }, [])
  const change = useCallback(
    (id: PersonId) => {
      if (signedIn) return
      setMe(id)
      localStorage.setItem(KEY, id)
    },
    [signedIn],
  )
  return [signedIn ?? me, change]
}

/** Whose work is looked at: one’s own first, and anybody’s. */
export function useWhose(usual: PersonId): [PersonId, (id: PersonId) => void] {
  const signedIn = useSignedIn()
  const [me, change] = useMe(usual)
  const [whose, setWhose] = useState<PersonId>()
  return signedIn ? [whose ?? signedIn, setWhose] : [me, change]
}

/**
 * Who is at the car. Where the shop is out of reach nobody can sign in: then whoever takes the tablet over says so, goes on under their own name,
 * and confirms it later. `tookOver` is who did; `was` who did until the shop was reached again.
 */
export function useAtTheCar(usual: PersonId, { reached, heard }: QueueState) {
  const signedIn = useSignedIn()
  const [me, setMe] = useMe(usual)
  const [other, setOther] = useState<PersonId>()
  const [was, setWas] = useState<PersonId>()
  const isBack = reached && heard
  useEffect(() => {
    const taken = tookOver()
    setOther(isBack ? undefined : taken)
    if (!isBack || !taken) return
    setWas(taken)
    keepTookOver(undefined)
  }, [isBack])
  const change = useCallback(
    (id: PersonId) => {
      if (!signedIn) return setMe(id)
      if (isBack) return undefined
      const next = id === signedIn ? undefined : id
      keepTookOver(next)
      setOther(next)
      return undefined
    },
    [signedIn, isBack, setMe],
  )
  const takes = signedIn ? other : undefined
  return { me: takes ?? me, change, tookOver: takes, was, mayChange: !signedIn || !reached }
}
