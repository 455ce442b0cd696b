import type { AttemptStep } from '@/core/test-spot'
import { toolsText } from '@/text/en/correction'
import { sentence } from '@/text/en/sentence'
import { measured } from '@/text/formats'
import { useRegion } from '@/ui/region'

/** How a spot was worked, a line a step. */
export function StepsDone({ steps }: { steps: readonly AttemptStep[] }) {
  const region = useRegion()
  return steps.map((step, at) => (
    <p key={at} className="text-sm text-ink-soft">
      {sentence(toolsText(step))} at {step.dial}, {step.passes} passes on{' '}
      {measured(region, 'length', step.sectionM, 2)}
      {step.product ? ` (${step.product})` : ''}.
    </p>
  ))
}
