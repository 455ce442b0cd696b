import type { Handover, Verdict } from '@/core/handover'
import { stepTitle } from '@/text/en/step-names'
import { useRegion } from '@/ui/region'

/** What was said of a place before, and the steps by which it is done again. */
export function Known({
  verdict,
  again,
}: {
  verdict: Verdict | undefined
  again: Handover['reworks'][string]
}) {
  const region = useRegion()
  if (!verdict) return null
  return (
    <>
      <p className={verdict.verdict === 'fault' ? 'text-copper' : 'text-ink-soft'}>{said(verdict)}</p>
      {again.length > 0 && (
        <ul aria-label="Done again" className="mt-2 text-[15px]">
          {again.map(({ title, isDone }) => (
            <li key={stepTitle(region, title)}>
              {isDone ? '✓' : '○'} {stepTitle(region, title)}
            </li>
          ))}
        </ul>
      )}
      {again.some(({ isDone }) => !isDone) && (
        <p className="mt-2">It is being done again. Look at it once its last step is done.</p>
      )}
    </>
  )
}

function said({ verdict, note, found }: Verdict): string {
  if (verdict === 'fault') return `At fault: ${note}`
  return [
    'Was good.',
    ...(found ? [`Before that: ${found}.`] : []),
    ...(note ? [`Good after all, because: ${note}.`] : []),
  ].join(' ')
}
