import { useEffect, useRef, useState } from 'react'

/** The alarm of a tablet: beeps and shakes, and is heard again until somebody has seen to it. */

const AGAIN_MS = 20_000

let audio: AudioContext | undefined

/** The one sound of this page; a browser lets it speak only once the page has been touched. */
function sound(): AudioContext | undefined {
  try {
    audio ??= new AudioContext()
    return audio
  } catch {
    // A tablet without sound still shows it.
    return undefined
  }
}

function ring(): void {
  navigator.vibrate?.([300, 120, 300])
  const context = sound()
  if (context?.state !== 'running') return
  for (const [index, start] of [0, 0.35, 0.7].entries()) {
    const tone = context.createOscillator()
    const gain = context.createGain()
    tone.frequency.value = index === 2 ? 880 : 660
    gain.gain.value = 0.2
    tone.connect(gain).connect(context.destination)
    tone.start(context.currentTime + start)
    tone.stop(context.currentTime + start + 0.22)
  }
}

/** Rings for everything that comes to its end while the card is open, and again every while until it is seen to. */
export function useAlarm(over: readonly string[]): void {
  const heard = useRef<Set<string> | undefined>(undefined)
  const ids = over.join(' ')
  useEffect(() => {
    const now = ids === '' ? [] : ids.split(' ')
    // What was over already when the card was opened is seen, not heard.
    if (heard.current && now.some((id) => !heard.current!.has(id))) ring()
    heard.current = new Set([...(heard.current ?? []), ...now])
    if (now.length === 0) return undefined
    const again = setInterval(ring, AGAIN_MS)
    return () => clearInterval(again)
  }, [ids])
}

/** Whether this tablet would be heard; only asked while something runs. */
export function useSilent(isAsked: boolean): boolean {
  const [isSilent, setIsSilent] = useState(false)
  useEffect(() => {
    if (!isAsked) return undefined
    const context = sound()
    const look = () => setIsSilent(context?.state !== 'running')
    const wake = () => void context?.resume().then(look, look)
    look()
    wake()
    document.addEventListener('pointerdown', wake)
    document.addEventListener('keydown', wake)
    return () => {
      document.removeEventListener('pointerdown', wake)
      document.removeEventListener('keydown', wake)
    }
  }, [isAsked])
  return isAsked && isSilent
}

/** Keeps the screen lit while it is asked for: with wet gloves nobody wakes a tablet. */
export function useLitScreen(isAsked: boolean): void {
  useEffect(() => {
    if (!isAsked || !('wakeLock' in navigator)) return undefined
    let lock: WakeLockSentinel | undefined
    let isOver = false
    const light = async () => {
      if (document.visibilityState !== 'visible') return
      // Refused where the battery is low: then the tablet goes dark as it would.
      const asked = await navigator.wakeLock.request('screen').catch(() => undefined)
      if (isOver) void asked?.release()
      else lock = asked
    }
    void light()
    document.addEventListener('visibilitychange', light)
    return () => {
      isOver = true
      document.removeEventListener('visibilitychange', light)
      void lock?.release()
    }
  }, [isAsked])
}
