'use client'

import { useRouter } from 'next/navigation'
import { useEffect, useMemo, useState } from 'react'
import type { KeptLook } from '@/core/aftercare'
import type { JobId } from '@/core/ids'
import { freshKey } from '@/ui/fresh-key'
import { useQueue } from '../queue/this-device'
import { KEEP_LOOKS, looksOf, type Seen, shownWith, TAKE_LOOK_BACK } from './looks-on-device'

/** What was seen at this visit and is on its way to the shop. `kept` are the looks the page came with. */
export function useLooks(jobId: JobId, kept: readonly KeptLook[]) {
  const { queue, state } = useQueue()
  const [missing, setMissing] = useState<string>()
  const router = useRouter()
  const { noted, waiting, refused, sent } = useMemo(() => looksOf(jobId, state), [jobId, state])
  // A page that was just opened shows what the shop had by then, from whichever tablet.
  useEffect(() => {
    void queue?.ready.then(() => queue.shown(looksOf(jobId, queue.getState()).sent))
  }, [queue, jobId])
  useEffect(() => {
    if (queue) void queue.shown(shownWith(kept, jobId, queue.getState()))
  }, [queue, jobId, kept])
  // What the shop has since changes the outlook beside it.
  useEffect(() => {
    if (sent.size > 0) router.refresh()
  }, [sent.size, router])
  const note = (action: string, input: object) => {
    setMissing(undefined)
    for (const { id } of refused) void queue?.dismiss(id)
    void queue?.add({
      id: freshKey(),
      kind: 'call',
      action,
      input: { jobId, ...input },
      about: 'What the water does',
    })
  }
  return {
    noted,
    waiting,
    refusal: missing ?? refused.at(-1)?.message,
    reached: state.reached,
    /** Notes looks of one pair of eyes at once. Without a name nothing is noted. */
    add(seen: readonly Seen['look'][], { by, cleaned }: Pick<Seen, 'by' | 'cleaned'>): void {
      if (by) note(KEEP_LOOKS, { by, cleaned, looks: seen })
      else setMissing('Say who is inspecting.')
    },
    /** Takes the look at a part back, whether the shop has it already or not. */
    takeBack: (unit: string) => note(TAKE_LOOK_BACK, { unit }),
  }
}
