import clsx from 'clsx'
import { pausedNow, workOn } from '@/core/card'
import { noteWaitsFor } from '@/core/card/notes'
import type { OperationId, PersonId } from '@/core/ids'
import { progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { openedWindow } from '@/core/planning'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { duration, measured, moment, percent } from '@/text/formats'
import { windowText } from '../window-text'
import { TakeBack } from './take-back'
import { Tick } from './tick'
import type { Card } from './use-card'

type Props = {
  card: Card
  me: PersonId
  shown: string | undefined
  next: string | undefined
  onShow: (id: string) => void
}

/** All steps of the job, to look at and to tick off. */
export function StepList({ card, me, shown, next, onShow }: Props) {
  return (
    <section aria-label="Steps of this job">
      <h2 className="mb-1 text-xl">Job card</h2>
      <ol>
        {card.view.live.plan.operations.map((operation) => (
          <StepLine
            key={operation.id}
            card={card}
            operation={operation}
            shown={operation.id === shown}
            current={operation.id === next}
            onShow={() => onShow(operation.id)}
            onTakeBack={(id) => card.add(me, { kind: 'undo', operation: id })}
          />
        ))}
      </ol>
    </section>
  )
}

function StepLine({
  card: { view, state, now },
  operation,
  shown,
  current,
  onShow,
  onTakeBack,
}: {
  card: Card
  operation: PlannedOperation
  shown: boolean
  current: boolean
  onShow: () => void
  onTakeBack: (operation: OperationId) => void
}) {
  const { region } = view
  const live = { ...view.live, progress: state.progress }
  const progress = progressAt(live, operation, now)
  const planned = view.live.published.find((placed) => placed.operation === operation.id)
  const window = openedWindow(live, operation, now)
  const log = view.layers.find(({ operationId }) => operationId === operation.id)
  const hold = operation.mode === 'unattended'
  const at = (instant: Instant) => moment(view.region, instant, now)
  const nameOf = (id: string | undefined) => view.people.find((person) => person.id === id)?.name ?? ''
  const rests = progress.kind === 'started' && pausedNow(workOn(state, operation.id))
  const missed =
    window && progress.kind === 'done' && (progress.from < window.opens || progress.from > window.closes)
  return (
    <li
      className={clsx(
        'border-t border-line py-2',
        shown && '-mx-3 rounded border-transparent bg-lichen px-3',
      )}
      data-step={operation.id}
      data-state={progress.kind}
    >
      <div className="flex min-h-9 items-start gap-3">
        <Tick state={progress.kind} hold={hold} />
        <div className="min-w-0 grow">
          <button
            type="button"
            onClick={onShow}
            aria-current={current ? 'step' : undefined}
            className={clsx(
              'min-h-6 text-left font-semibold underline-offset-4 hover:underline',
              hold && progress.kind !== 'done' && 'text-copper',
            )}
          >
            {stepTitle(region, operation.title)}
          </button>
          {workOn(state, operation.id).notes.some(noteWaitsFor) && (
            <span className="ml-2 rounded bg-copper-soft px-2 text-sm text-copper">note</span>
          )}
          <p className="text-sm text-ink-soft">
            {progress.kind === 'done'
              ? `${at(progress.from)} to ${at(progress.to)}${progress.by ? `, ${nameOf(progress.by)}` : ''}`
              : progress.kind === 'started'
                ? `since ${at(progress.at)}${progress.by ? `, ${nameOf(progress.by)}` : ''}${rests ? ', paused' : ''}`
                : planned
                  ? `${at(planned.start)}, ${duration(view.region, operation.minutes)}${planned.people.length > 0 ? `, ${planned.people.map(nameOf).join(', ')}` : ''}`
                  : duration(view.region, operation.minutes)}
          </p>
          {window && progress.kind === 'open' && (
            <p className="text-sm font-semibold text-copper">
              {windowText(window, { region: view.region, now })}
            </p>
          )}
          {missed && (
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
              Lot {log.lot}, {measured(region, 'temperature', log.climate.airC, 1)},{' '}
              {percent(region, log.climate.rhPercent)}, panel{' '}
              {measured(region, 'temperature', log.climate.panelC, 1)}
            </p>
          )}
        </div>
        {progress.kind !== 'open' && (progress.by ?? '') !== '' && (
          <TakeBack
            title={stepTitle(region, operation.title)}
            isDone={progress.kind === 'done'}
            isLayer={operation.kind === 'layer'}
            onTake={() => onTakeBack(operation.id)}
          />
        )}
      </div>
    </li>
  )
}
