'use client'

import { useState } from 'react'
import type { CardView } from '@/core/card/view'
import type { JobId } from '@/core/ids'
import { goesOnWith, openNow, progressAt } from '@/core/job'
import { ButtonLink } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { later } from '@/ui/later'
import { usePhotos } from '../photos/use-photos'
import { fetchTheRest } from './fetch-the-rest'
import type { Ended } from './just-done'
import { NetState } from './net-state'
import { StepList } from './step-list'
import { StepPanel } from './step-panel'
import { type Card, useCard } from './use-card'
import { useAtTheCar } from './use-me'
import { useOffline } from './use-offline'

// It is there as soon as the card stands; the first paint need not wait for it.
const TimerStrip = later(() => import('./timer-strip').then(({ TimerStrip: strip }) => strip))
// Only where somebody took the tablet over without a network.
const TookOver = later(() => import('./took-over').then(({ TookOver: told }) => told))
// Only while something dries.
const HoldPanel = later(() => import('./hold-panel').then(({ HoldPanel: panel }) => panel))
// Only when a step has just been ended.
const JustDone = later(() => import('./just-done').then(({ JustDone: told }) => told))
// Only a car on which several work.
const OpenSteps = later(() => import('./open-steps').then(({ OpenSteps: steps }) => steps))
// Only a car with a layer on it asks for it.
const HighSpots = later(() => import('./high-spots').then(({ HighSpots: part }) => part))

/** The job card at the car: one step large, its timers on top, all steps to choose from. It works on without a network. */
export function CardScreen({ fromShop }: { fromShop: CardView }) {
  const shopCard = useCard(fromShop)
  useOffline({ fetchTheRest })
  const album = usePhotos(fromShop.job.id, fromShop.photos)
  const { view, state, now } = shopCard
  const live = { ...view.live, progress: state.progress }
  const first = goesOnWith(live, now)
  const planned = view.live.published.find(({ operation }) => operation === first?.id)?.people[0]
  const usual = first?.away ? undefined : planned
  const holder = useAtTheCar(usual ?? view.people[0]!.id, shopCard.net)
  const { me, change: setMe } = holder
  const takenBy = view.people.find(({ id }) => id === (holder.tookOver ?? holder.was))
  // Where several steps are open, each tablet shows the one of whoever holds it.
  const open = openNow(live, now)
  const next = open.length > 1 ? goesOnWith(live, now, me) : first
  const [ended, setEnded] = useState<Ended>()
  const [chosen, setChosen] = useState<string>()
  const shown = live.plan.operations.find(({ id }) => id === (chosen ?? next?.id)) ?? next
  // Whoever does something at this tablet is who it belongs to from then on.
  const card: Card = {
    ...shopCard,
    add: (by, act) => {
      setMe(by)
      if (act.kind === 'done') setEnded({ operation: act.operation, at: now })
      shopCard.add(by, act)
    },
  }
  const elsewhere = new Set(live.plan.operations.flatMap(({ id, away }) => (away ? [id] : [])))
  const comes = new Set(
    view.live.published.flatMap(({ operation, people }) => (elsewhere.has(operation) ? [] : people)),
  )
  const atTheCar = view.people.filter(({ id, outside }) => !outside || comes.has(id) || id === me)
  const applied = live.plan.operations.filter(
    (operation) => operation.kind === 'layer' && progressAt(live, operation, now).kind !== 'open',
  )
  return (
    <div className="grid gap-6 p-4 lg:grid-cols-[minmax(0,1fr)_22rem] lg:p-5">
      <div className="min-w-0 space-y-4">
        <div className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
          <Choice
            label="At the car"
            options={atTheCar
              .filter(({ id }) => holder.mayChange || id === me)
              .map(({ id, name }) => ({ value: id, name }))}
            value={me}
            onChange={setMe}
          />
          <NetState card={card} />
        </div>
        {takenBy && <TookOver name={takenBy.name} isBack={!holder.tookOver} />}
        <TimerStrip card={card} me={me} />
        {open.length > 1 && (
          <OpenSteps
            card={card}
            open={open}
            shown={shown?.id}
            onShow={(id) => setChosen(id === next?.id ? undefined : id)}
          />
        )}
        {shown ? (
          shown.mode === 'unattended' ? (
            <HoldPanel key={shown.id} card={card} operation={shown} />
          ) : (
            <StepPanel
              key={shown.id}
              card={card}
              operation={shown}
              me={me}
              isNext={shown.id === next?.id}
              album={album}
            />
          )
        ) : (
          <AllDone job={view.job.id} />
        )}
        {applied.length > 0 && <HighSpots card={card} me={me} layers={applied} />}
      </div>
      {ended && (
        <JustDone
          card={card}
          ended={ended}
          onUndo={() => {
            card.add(me, { kind: 'undo', operation: ended.operation })
            setEnded(undefined)
          }}
        />
      )}
      <StepList
        card={card}
        me={me}
        shown={shown?.id}
        next={next?.id}
        onShow={(id) => {
          setChosen(id === next?.id ? undefined : id)
          // The list stands below the step on a tablet.
          window.scrollTo({ top: 0 })
        }}
      />
    </div>
  )
}

function AllDone({ job }: { job: JobId }) {
  return (
    <section className="sheet p-8">
      <h1 className="text-3xl">All steps are done</h1>
      <p className="my-4 text-lg">
        The car is ready for the final inspection and for its owner. The cure calendar starts from the real
        end of the last layer.
      </p>
      <div className="flex flex-wrap gap-3">
        <ButtonLink href={`/jobs/${job}/finish`}>Final inspection and handover</ButtonLink>
        <ButtonLink look="outline" href={`/jobs/${job}/care`}>
          See its care calendar
        </ButtonLink>
      </div>
    </section>
  )
}
