'use client'

import { useEffect, useRef, useState } from 'react'
import type { JobId } from '@/core/ids'
import type { Phase } from '@/core/survey'
import type { GaugeEvent } from '@/devices/film-gauge'

/** Listens to the gauge on its cable: one JSON event a line, handed on as it comes. */
export function useGauge(jobId: JobId, onEvent: (event: GaugeEvent) => void) {
  const [running, setRunning] = useState(false)
  const [fault, setFault] = useState<string>()
  const abort = useRef<AbortController | null>(null)
  const deliver = useRef(onEvent)
  deliver.current = onEvent

  useEffect(() => () => abort.current?.abort(), [])

  /** Begins the walk at `panel`, so that a walk that was stopped goes on where it was. */
  const start = async (panel: string, phase: Phase) => {
    const controller = new AbortController()
    abort.current = controller
    setRunning(true)
    setFault(undefined)
    try {
      const response = await fetch(`/api/jobs/${jobId}/gauge?from=${panel}&phase=${phase}`, {
        signal: controller.signal,
      })
      if (!response.ok) throw new Error(await response.text())
      for await (const event of lines(response)) deliver.current(event)
    } catch {
      if (!controller.signal.aborted)
        setFault(
          'The gauge does not answer. What it has delivered is kept; check it and read on from this panel.',
        )
    } finally {
      setRunning(false)
    }
  }
  return {
    running,
    fault,
    start: (panel: string, phase: Phase) => void start(panel, phase),
    stop: () => abort.current?.abort(),
  }
}

async function* lines(response: Response): AsyncIterable<GaugeEvent> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return
    const parts = (rest + value).split('\n')
    rest = parts.pop()!
    for (const line of parts) yield JSON.parse(line)
  }
}
