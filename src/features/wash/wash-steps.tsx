import type { Mix, PlannedStep } from '@/core/wash'

const ml = (value: number) => `${value >= 100 ? Math.round(value / 5) * 5 : value.toFixed(0)} ml`
const water = (value: number) => (value >= 2000 ? `${(value / 1000).toFixed(1)} l` : ml(value))

/** The steps in order, each with what to pour, how long it stands, and what can hurt. */
export function WashSteps({ steps }: { steps: readonly PlannedStep[] }) {
  return (
    <ol className="mt-4 border-l-2 border-fern-soft">
      {steps.map(({ step, how, dwell, mix }, at) => (
        <li key={step.id} className="relative mb-1 py-2.5 pl-7" data-wash-step={step.id}>
          <span className="absolute top-3 -left-[13px] flex size-6 items-center justify-center rounded-[50%_50%_50%_0] bg-fern font-head text-[13px] font-bold text-on-fern">
            {at + 1}
          </span>
          <div className="grid gap-x-6 gap-y-1 sm:grid-cols-[1fr_16rem]">
            <div>
              <h2 className="text-lg">{step.title}</h2>
              <p className="text-[15px]">{how}</p>
              <p className="text-sm text-ink-soft">{step.reason}</p>
            </div>
            <div className="text-[15px]">
              {mix && <Mixed mix={mix} />}
              {dwell && (
                <p>
                  Stands{' '}
                  <strong>
                    {dwell.minMinutes}–{dwell.maxMinutes} min
                  </strong>
                  , never dry
                </p>
              )}
            </div>
          </div>
          {step.cautions.length > 0 && (
            <p className="mt-1.5 rounded border-l-4 border-copper bg-copper-soft px-3 py-1.5 text-sm">
              {step.cautions.join(' ')}
            </p>
          )}
        </li>
      ))}
    </ol>
  )
}

/** What to pour for a step, and into what. */
export function Mixed({ mix }: { mix: Mix }) {
  if (mix.kind === 'neat')
    return (
      <p>
        <strong>{mix.product}</strong>, neat
      </p>
    )
  if (mix.kind === 'unmixable')
    return (
      <p className="text-copper">
        {mix.product}: {mix.message}
      </p>
    )
  return (
    <p>
      <strong>
        {ml(mix.pour.productMl)} {mix.product}
      </strong>{' '}
      + {water(mix.pour.waterMl)} water
      <span className="block text-sm text-ink-soft">
        {mix.ratio}, {mix.vessel}
        {mix.capfuls < 10 && `, ${mix.capfuls.toFixed(1)} capfuls`}
      </span>
    </p>
  )
}
