'use client'

import { useEffect, useRef, useState } from 'react'

/** Listens to the gauge on its cable: one JSON reading a line, handed on as it comes. */
export function useGauge(jobId: string, onReading: (panel: string, filmUm: number) => void) {
  const [running, setRunning] = useState(false)
  const abort = useRef<AbortController | null>(null)
  const deliver = useRef(onReading)
  deliver.current = onReading

  useEffect(() => () => abort.current?.abort(), [])

  const start = async () => {
    const controller = new AbortController()
    abort.current = controller
    setRunning(true)
    try {
      const response = await fetch(`/api/jobs/${jobId}/gauge`, { signal: controller.signal })
      for await (const { panel, filmUm } of lines(response)) deliver.current(panel, filmUm)
    } catch (error) {
      if (!controller.signal.aborted) throw error
    } finally {
      setRunning(false)
    }
  }
  return { running, start: () => void start(), stop: () => abort.current?.abort() }
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
