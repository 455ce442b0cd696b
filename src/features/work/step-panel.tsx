'use client'

import { useState } from 'react'
import { pausedNow, workOn } from '@/core/card'
import { progressAt } from '@/core/job'
import type { PlannedOperation } from '@/core/offer'
import { isWheelsOn } from '@/core/offer/wheels-on'
import { openedWindow } from '@/core/planning'
import type { Instant } from '@/core/time'
import { PAUSE_WORDS } from '@/text/en/pause'
import { stepTitle } from '@/text/en/step-names'
import { cautionFor, isRewash, recipeFor } from '@/text/en/steps'
import { duration, moment } from '@/text/formats'
import { later } from '@/ui/later'
import { Link } from '@/ui/link'
import type { Photos } from '../photos/use-photos'
import { windowText } from '../window-text'
import { Actions } from './step-actions'
import { Checklist, Presets } from './step-checklist'
import type { Card, StepProps } from './use-card'

// The way a wash is done is read once, by whoever washes.
const Sections = later(() => import('./sections').then(({ Sections: sections }) => sections))
const WashLines = later(() => import('./wash-lines').then(({ WashLines: lines }) => lines))
// Only a coat has panels to apply and to level.
const CoatPanels = later(() => import('./coat-panels').then(({ CoatPanels: coat }) => coat))
const MachineRecipes = later(() => import('./machine-recipes').then(({ MachineRecipes: recipes }) => recipes))
const AtHand = later(() => import('./at-hand').then(({ AtHand: hand }) => hand))
// Words are written now and then, and read from the shop's own page meanwhile.
const StepNotes = later(() => import('./step-notes').then(({ StepNotes: notes }) => notes))
const WashOld = later(() => import('./wash-old').then(({ WashOld: notice }) => notice))
// A fault that was sent back was photographed, or was not.
const FaultPhotos = later(() => import('./fault-photos').then(({ FaultPhotos: photos }) => photos))
// Only a coat asks for the air of its bay.
const Air = later(() => import('./air').then(({ Air: air }) => air))
const AwayActions = later(() => import('./away-actions').then(({ AwayActions: away }) => away))
const Parts = later(() => import('./parts').then(({ Parts: parts }) => parts))
const OrderActions = later(() => import('./order-actions').then(({ OrderActions: order }) => order))
const Torque = later(() => import('./torque').then(({ Torque: torque }) => torque))
const RecordForm = later(() => import('./record-form').then(({ RecordForm: form }) => form))

type Props = StepProps & { isNext: boolean; album: Photos }

/** The step at hand, large: how, with what care, how far it is, and what happens now. */
export function StepPanel({ card, operation, me, isNext, album }: Props) {
  const { view, state, now } = card
  const live = { ...view.live, progress: state.progress }
  const progress = progressAt(live, operation, now)
  const planned = view.live.published.find((placed) => placed.operation === operation.id)
  const sheet = view.sheets[operation.id]
  const [recipe, caution] = [
    recipeFor(view.region, operation, {
      washIsPlanned: view.wash.length > 0,
      isCoated: view.job.kind !== 'work',
    }),
    cautionFor(operation, view.live.plan.operations),
  ]
  const window = openedWindow(live, operation, now)
  const work = workOn(state, operation.id)
  const at = (instant: Instant) => moment(view.region, instant, now)
  const title = stepTitle(view.region, operation.title)
  const old = view.washOld
  const place =
    typeof operation.title === 'object' && operation.title.code === 'again' && operation.title.place
  const rests = pausedNow(work)
  return (
    <section className="sheet p-5" aria-label={title}>
      <p className="eyebrow">
        {progress.kind === 'started'
          ? `Begun ${at(progress.at)}`
          : progress.kind === 'done'
            ? `Done ${at(progress.to)}`
            : isNext
              ? 'Next'
              : 'Later'}
        {planned && `, planned ${at(planned.start)} to ${at(planned.end)}`}
      </p>
      <h1 className="mt-1 text-4xl">{title}</h1>
      <p className="mt-1 text-lg text-ink-soft">
        about {duration(view.region, operation.minutes)}
        {rests && ` · paused since ${at(rests.from)}: ${PAUSE_WORDS[rests.reason].toLowerCase()}`}
      </p>
      {window && progress.kind === 'open' && (
        <p
          className="mt-4 rounded bg-copper-soft px-4 py-3 text-xl font-semibold text-copper"
          data-testid="window"
        >
          {windowText(window, { region: view.region, now })}
        </p>
      )}
      {sheet?.coat && progress.kind !== 'done' && (
        <Air
          coat={sheet.coat}
          region={view.region}
          now={now}
          {...(window && progress.kind === 'open' && now > window.closes ? { closed: window.closes } : {})}
        />
      )}
      {operation.away && <AwayActions card={card} operation={operation} me={me} />}
      {sheet?.found && (
        <p className="mt-4 border-l-4 border-copper pl-4 text-lg leading-relaxed">
          Sent back by {view.people.find(({ id }) => id === sheet.found?.by)?.name ?? 'the inspector'}:{' '}
          {sheet.found.note}
        </p>
      )}
      {sheet?.found && place && <FaultPhotos album={album} place={place} />}
      {old?.before === operation.id && progress.kind === 'open' && (
        <WashOld
          job={view.job.id}
          operation={operation.id}
          washedAt={old.washedAt}
          region={view.region}
          now={now}
        />
      )}
      {recipe && <p className="mt-4 text-lg leading-relaxed">{recipe}</p>}
      {operation.kind === 'wash' && !isRewash(operation) && <WashLines job={view.job.id} lines={view.wash} />}
      {operation.kind === 'look' && view.job.kind === 'visit' && (
        <p className="mt-2">
          <Link
            href={`/jobs/${view.job.id}/visit`}
            className="inline-flex min-h-11 items-center font-semibold"
          >
            Inspection, panel by panel
          </Link>
        </p>
      )}
      {operation.kind === 'mask' && (
        <p className="mt-2">
          <Link
            href={`/jobs/${view.job.id}/walk`}
            className="inline-flex min-h-11 items-center font-semibold"
          >
            Second inspection, panel by panel
          </Link>
        </p>
      )}
      {operation.kind === 'finish' && (
        <p className="mt-2">
          <Link
            href={`/jobs/${view.job.id}/finish`}
            className="inline-flex min-h-11 items-center font-semibold"
          >
            Open final inspection (a second person)
          </Link>
        </p>
      )}
      {sheet && sheet.machines.length > 0 && <MachineRecipes recipes={sheet.machines} />}
      {sheet?.liquids && <AtHand liquids={sheet.liquids} />}
      {caution && <p className="mt-4 border-l-4 border-copper pl-4 leading-relaxed">{caution}</p>}
      {(operation.extra === 'touch-up' || work.order) && progress.kind === 'open' && (
        <OrderActions card={card} operation={operation} me={me} />
      )}
      {isWheelsOn(operation) && <Torque card={card} operation={operation} me={me} />}
      <Checklist card={card} operation={operation} me={me} />
      <Presets card={card} operation={operation} me={me} />
      {sheet && sheet.tasks.length > 0 && operation.kind === 'layer' && (
        <CoatPanels card={card} operation={operation} me={me} album={album} />
      )}
      {sheet && sheet.tasks.length > 0 && operation.kind !== 'layer' && (
        <Sections card={card} operation={operation} me={me} album={album} />
      )}
      <Parts card={card} operation={operation} me={me} album={album} />
      <StepNotes card={card} operation={operation} me={me} />
      {progress.kind !== 'done' && <Afterwards card={card} operation={operation} me={me} />}
      {progress.kind !== 'done' && !operation.away && (
        <Actions
          card={card}
          operation={operation}
          me={me}
          against={[
            ...(window && progress.kind === 'open' && now > window.closes
              ? [
                  `The recoat window closed ${at(window.closes)}. Read the data sheet before you apply another layer.`,
                ]
              : []),
            ...airAgainst(card, operation),
          ]}
        />
      )}
    </section>
  )
}

/** A step that was done at another time; the form comes when it is asked for. */
function Afterwards({ card, operation, me }: Omit<Props, 'isNext' | 'album'>) {
  const [open, setOpen] = useState(false)
  return (
    <details
      className="mt-5 border-t border-line pt-3"
      onToggle={({ currentTarget }) => setOpen(currentTarget.open)}
    >
      <summary className="min-h-11 py-2 font-head font-semibold underline decoration-ink-soft/50 underline-offset-4">
        Enter the times by hand
      </summary>
      {open && <RecordForm card={card} operation={operation} me={me} />}
    </details>
  )
}

/** The air of the bay forbids this coat. */
/** What the bay has against this coating: its air, or that nobody has measured it. */
function airAgainst({ view }: Card, operation: PlannedOperation): string[] {
  const coat = view.sheets[operation.id]?.coat
  if (!coat || coat.outlook.breaches.length === 0) return []
  return coat.climate
    ? ['Outside the product’s limits. Wait, or warm or dry the bay first.']
    : ['The bay is not measured. Measure it by hand before you start.']
}
