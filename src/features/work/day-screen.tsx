'use client'

import clsx from 'clsx'
import { type PersonId, toPersonId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { stepTitle } from '@/text/en/step-names'
import { clock, duration, moment } from '@/text/formats'
import { Choice } from '@/ui/choice'
import { Link } from '@/ui/link'
import type { DayCar } from './day'
import { PlainHttpNote } from './plain-http-note'
import { Tick } from './tick'
import { useWhose } from './use-me'
import { useOffline } from './use-offline'

/** Of the choice, not of the shop: whoever holds the tablet looks at all of them. */
const EVERYBODY = toPersonId('everybody')

type Props = {
  cars: DayCar[]
  people: { id: PersonId; name: string; outside?: boolean }[]
  region: Region
  now: Instant
}

/** Today’s work for whoever holds the tablet, by car. */
export function DayScreen({ cars, people, region, now }: Props) {
  useOffline({ ahead: cars.map(({ job }) => `/jobs/${job}/work`) })
  const [me, setMe] = useWhose(EVERYBODY)
  const isMine = (step: DayCar['steps'][number]) => me === EVERYBODY || step.people.includes(me)
  const mine = cars
    .map((car) => ({ ...car, steps: car.steps.filter(isMine) }))
    .filter(({ steps }) => steps.length > 0)
  // Who comes from outside has several trades and as many names; they are asked for where one of them is at work.
  const isHereToday = ({ id, outside }: Props['people'][number]) =>
    !outside || id === me || cars.some(({ steps }) => steps.some((step) => step.people.includes(id)))
  const nameOf = (id: string) => people.find((person) => person.id === id)?.name ?? id
  return (
    <div className="mx-auto max-w-3xl p-5">
      <PlainHttpNote />
      <h1 className="mb-3 text-2xl">Today at the cars</h1>
      <Choice
        label="Whose work"
        options={[
          { value: EVERYBODY, name: 'Everybody' },
          ...people.filter(isHereToday).map(({ id, name }) => ({ value: id, name })),
        ]}
        value={me}
        onChange={setMe}
      />
      {mine.length === 0 && <p className="mt-6 text-lg">Nothing is planned for {nameOf(me)} today.</p>}
      <ul className="mt-5 space-y-4">
        {mine.map((car) => (
          <li key={car.job}>
            <Link href={`/jobs/${car.job}/work`} className="sheet block p-4 no-underline hover:bg-lichen">
              <p className="flex flex-wrap items-baseline gap-x-4">
                <strong className="font-head text-2xl">{car.plate}</strong>
                <span>{car.car}</span>
                <span className="ml-auto font-head text-lg">{car.place}</span>
              </p>
              <ol className="mt-2">
                {car.steps.map((step) => (
                  <li
                    key={step.operation.id}
                    className="flex items-start gap-3 border-t border-line py-2"
                    data-state={step.state}
                  >
                    <Tick state={step.state} hold={false} />
                    <span className={clsx('grow text-lg', step.state === 'done' && 'text-ink-soft')}>
                      {stepTitle(region, step.operation.title)}
                      {me === EVERYBODY && (
                        <span className="ml-2 text-base text-ink-soft">
                          {step.people.map(nameOf).join(', ')}
                        </span>
                      )}
                    </span>
                    <span className="text-right text-ink-soft">
                      {step.state === 'open'
                        ? `${moment(region, step.start, now)}, ${duration(region, step.operation.minutes)}`
                        : step.state === 'started'
                          ? `until about ${moment(region, step.end, now)}`
                          : `done ${clock(region, step.end)}`}
                      {step.state === 'open' && step.start < now && (
                        <span className="block font-semibold text-copper">overdue</span>
                      )}
                    </span>
                  </li>
                ))}
              </ol>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}
