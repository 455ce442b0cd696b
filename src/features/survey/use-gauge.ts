'use client'

import { useEffect, useRef, useState } from 'react'

/** Listens to the gauge on its cable: one JSON reading a line, handed on as it comes. */
export function useGauge(jobId: string, onReading: (panel: string, filmUm: number) => void) {
  const [running, setRunning] = useState(false)
  const [fault, setFault] = useState<string>()
  const abort = useRef<AbortController | null>(null)
  const deliver = useRef(onReading)
  deliver.current = onReading

  useEffect(() => () => abort.current?.abort(), [])

  /** Begins the walk at `panel`, so that a walk that was stopped goes on where it was. */
  const start = async (panel: string) => {
    const controller = new AbortController()
    abort.current = controller
    setRunning(true)
    setFault(undefined)
    try {
      const response = await fetch(`/api/jobs/${jobId}/gauge?from=${panel}`, { signal: controller.signal })
      if (!response.ok) throw new Error(await response.text())
      for await (const { panel, filmUm } of lines(response)) deliver.current(panel, filmUm)
    } catch {
      if (!controller.signal.aborted)
        setFault(
          'The gauge does not answer. What it has delivered is kept; check it and read on from this panel.',
        )
    } finally {
      setRunning(false)
    }
  }
  return { running, fault, start: (panel: string) => void start(panel), stop: () => abort.current?.abort() }
}

async function* lines(response: Response): AsyncIterable<{ panel: string; filmUm: number }> {
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
