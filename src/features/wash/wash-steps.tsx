import type { Mix, PlannedStep } from '@/core/wash'
import { spelt } from '@/text/en/spelling'
import { pouredName } from '@/text/en/supplies'
import {
  dwellText,
  lanceErrorText,
  mixText,
  pouredText,
  WASH_STEP,
  washCautions,
  waterText,
} from '@/text/en/wash'
import { useRegion } from '@/ui/region'

/** The steps in order, each with what to pour, how long it stands, and what can hurt. */
export function WashSteps({ steps }: { steps: readonly PlannedStep[] }) {
  const region = useRegion()
  return (
    <ol className="mt-4 border-l-2 border-fern-soft">
      {steps.map((step, at) => {
        const { id, facts, dwell, mix } = step
        const cautions = washCautions(step)
        return (
          <li key={id} className="relative mb-1 py-2.5 pl-7" data-wash-step={id}>
            <span className="absolute top-3 -left-[13px] flex size-6 items-center justify-center rounded-[50%_50%_50%_0] bg-fern font-head text-[13px] font-bold text-on-fern">
              {at + 1}
            </span>
            <div className="grid gap-x-6 gap-y-1 sm:grid-cols-[1fr_16rem]">
              <div>
                <h2 className="text-lg">{spelt(region, WASH_STEP[id].title)}</h2>
                <p className="text-[15px]">{spelt(region, WASH_STEP[id].how(facts))}</p>
                <p className="text-sm text-ink-soft">{WASH_STEP[id].reason}</p>
              </div>
              <div className="text-[15px]">
                {mix && <Mixed mix={mix} />}
                {dwell && (
                  <p>
                    Leave it on for <strong>{dwellText(dwell)}</strong>; do not let it dry
                  </p>
                )}
              </div>
            </div>
            {cautions.length > 0 && (
              <p className="mt-1.5 rounded border-l-4 border-copper bg-copper-soft px-3 py-1.5 text-sm">
                {cautions.join(' ')}
              </p>
            )}
          </li>
        )
      })}
    </ol>
  )
}

/** What to pour for a step, and into what. */
export function Mixed({ mix }: { mix: Mix }) {
  const region = useRegion()
  if (mix.kind === 'neat')
    return (
      <p>
        {mix.ml === undefined ? '' : `About ${pouredText(region, mix.ml)} `}
        <strong>{pouredName(mix.product)}</strong>, neat
      </p>
    )
  if (mix.kind === 'unmixable')
    return (
      <p className="text-copper">
        {pouredName(mix.product)}: {lanceErrorText(region, mix.error)}
      </p>
    )
  return (
    <p>
      <strong>
        {pouredText(region, mix.pour.productMl)} {pouredName(mix.product)}
      </strong>{' '}
      + {waterText(region, mix.pour.waterMl)} water
      <span className="block text-sm text-ink-soft">{mixText(region, mix)}</span>
    </p>
  )
}
