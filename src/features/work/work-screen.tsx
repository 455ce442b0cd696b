import clsx from 'clsx'
import type { Instant } from '@/core/time'
import type { FloorJob } from '@/server/floor'
import { everyone, type Setup } from '@/server/shop-store'
import { ButtonLink } from '@/ui/button'
import { duration, moment } from '@/ui/when'
import { windowText } from '../window-text'
import type { LayerConditions, Step } from './card'
import { StepCard } from './step-card'
import { TakeBack } from './take-back'

type Props = {
  entry: FloorJob
  steps: Step[]
  conditions: Record<string, LayerConditions>
  setup: Setup
  now: Instant
}

/** The job card at the car: one step large, the others as a list to tick off. */
export function WorkScreen({ entry, steps, conditions, setup, now }: Props) {
  const { job } = entry
  if (steps.length === 0)
    return (
      <div className="mx-auto max-w-xl p-10 text-center">
        <h1 className="text-2xl">No job card yet</h1>
        <p className="my-4">The card is written when a package is agreed.</p>
        <ButtonLink href={`/jobs/${job.id}/plan`}>To the packages</ButtonLink>
      </div>
    )
  const current = steps.find(({ progress }) => progress.kind !== 'done')
  const people = everyone(setup).map(({ id, name }) => ({ id, name }))
  return (
    <div className="grid gap-6 p-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
      {current ? (
        <StepCard
          key={`${current.operation.id}-${current.progress.kind}`}
          jobId={job.id}
          step={current}
          conditions={conditions[current.operation.id]}
          people={people}
          zone={setup.timezone}
          now={now}
        />
      ) : (
        <section className="sheet self-start p-8">
          <h1 className="text-3xl">All steps are done</h1>
          <p className="my-4 text-lg">
            The car is ready. The cure calendar starts from the real end of the last layer.
          </p>
          <ButtonLink href={`/jobs/${job.id}/care`}>To care and handover</ButtonLink>
        </section>
      )}
      <section aria-label="Steps of this job">
        <h2 className="mb-1 text-xl">The card</h2>
        <ol>
          {steps.map((step) => (
            <StepLine
              key={step.operation.id}
              jobId={job.id}
              step={step}
              current={step === current}
              setup={setup}
              now={now}
            />
          ))}
        </ol>
      </section>
    </div>
  )
}

function StepLine({
  jobId,
  step,
  current,
  setup,
  now,
}: {
  jobId: string
  step: Step
  current: boolean
  setup: Setup
  now: Instant
}) {
  const { operation, progress, planned, window, log } = step
  const at = (instant: Instant) => moment(setup.timezone, instant, now)
  const nameOf = (id: string | undefined) => everyone(setup).find((person) => person.id === id)?.name ?? ''
  const hold = operation.mode === 'unattended'
  return (
    <li
      className={clsx(
        'border-t border-line py-2',
        current && '-mx-3 rounded border-transparent bg-lichen px-3',
      )}
      data-step={operation.id}
      data-state={progress.kind}
    >
      <div className="flex min-h-9 items-start gap-3">
        <Tick state={progress.kind} hold={hold} />
        <div className="min-w-0 grow">
          <p className={clsx('font-semibold', hold && progress.kind !== 'done' && 'text-copper')}>
            {operation.title}
          </p>
          <p className="text-sm text-ink-soft">
            {progress.kind === 'done'
              ? `${at(progress.from)} to ${at(progress.to)}${progress.by ? `, ${nameOf(progress.by)}` : ''}`
              : progress.kind === 'started'
                ? `since ${at(progress.at)}${progress.by ? `, ${nameOf(progress.by)}` : ''}`
                : planned
                  ? `${at(planned.start)}, ${duration(operation.minutes)}${planned.people.length > 0 ? `, ${planned.people.map(nameOf).join(', ')}` : ''}`
                  : duration(operation.minutes)}
          </p>
          {window && progress.kind === 'open' && (
            <p className="text-sm font-semibold text-copper">
              {windowText(window, { zone: setup.timezone, now })}
            </p>
          )}
          {window &&
            progress.kind === 'done' &&
            (progress.from < window.opens || progress.from > window.closes) && (
              <p className="text-sm font-semibold text-copper">
                Begun{' '}
                {progress.from < window.opens
                  ? `before its window opened ${at(window.opens)}`
                  : `after its window closed ${at(window.closes)}`}
                : look for a bond failure, and follow the data sheet.
              </p>
            )}
          {log && (
            <p className="text-sm text-ink-soft">
              Lot {log.lot}, {log.climate.airC.toFixed(1)} °C, {log.climate.rhPercent.toFixed(0)} %, panel{' '}
              {log.climate.panelC.toFixed(1)} °C
            </p>
          )}
        </div>
        {progress.kind !== 'open' && (progress.by ?? '') !== '' && (
          <TakeBack jobId={jobId} operationId={operation.id} title={operation.title} />
        )}
      </div>
    </li>
  )
}

function Tick({ state, hold }: { state: 'open' | 'started' | 'done'; hold: boolean }) {
  return (
    <svg viewBox="0 0 24 24" className="mt-0.5 size-6 shrink-0" role="img" aria-label={state}>
      <path
        d="M3,21 C2,9 9,3 21,3 C21,15 15,22 3,21 Z"
        className={clsx(
          state === 'done'
            ? 'fill-fern stroke-fern'
            : hold
              ? 'fill-sheet stroke-copper'
              : state === 'started'
                ? 'fill-fern-soft stroke-fern'
                : 'fill-sheet stroke-ink-soft',
        )}
        strokeWidth="2"
      />
      {state === 'done' && (
        <path d="M8,13 l3,3 l6,-7" className="fill-none stroke-on-fern" strokeWidth="2.4" />
      )}
    </svg>
  )
}
