import clsx from 'clsx'
import type { ReactNode } from 'react'
import type { PersonId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { conditionText } from '@/text/en/conditions'
import { measured, moment, percent, temperatureStep } from '@/text/formats'
import { CarFromAbove } from '@/ui/car-from-above'
import { Frond } from '@/ui/frond'
import { Link } from '@/ui/link'
import { roomFor } from '../frame/rooms'
import { leafletsOf } from '../leaflets'
import { windowText } from '../window-text'
import { waitsText } from './waits-text'
import type { NextThing, Yard, YardCar, YardPlace } from './yard-view'

type Context = {
  region: Region
  now: Instant
  nameOf: (person: PersonId) => string
  /** The bays have sensors, so that a bay without a reading is worth a word. */
  sensed: boolean
}

/** The shop as a floor plan, and beside it what comes next. */
export function YardScreen({
  yard,
  away,
  held,
  after,
  context,
}: {
  yard: Yard
  /** What has left the shop, under its floor. */
  away: ReactNode
  /** Slots that are held for callers, under what waits outside. */
  held: ReactNode
  after: After
  context: Context
}) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6 p-5 xl:grid-cols-[minmax(0,1fr)_19rem]">
      <section aria-label="The floor">
        <h1 className="sr-only">Yard</h1>
        <div className="grid grid-cols-1 border-[3px] border-ink bg-sheet md:grid-cols-2">
          {yard.places.map((place, index) => (
            <Bay
              key={place.id}
              place={place}
              context={context}
              className={clsx(
                index % 2 === 1 && 'md:border-l-[3px]',
                index > 1 && 'md:border-t-[3px]',
                index > 0 && 'max-md:border-t-[3px]',
              )}
            />
          ))}
        </div>
        {away}
        <div className="mx-6 grid gap-px border-x-[3px] border-b-[3px] border-dashed border-ink/40 bg-lichen/60 p-4 md:grid-cols-2">
          <div>
            <Apron title="Outside" empty="Nobody is waiting outside." cars={yard.outside} context={context} />
            {held}
          </div>
          <div>
            <Apron title="Expected" empty="Nothing is booked." cars={yard.expected} context={context} />
            {yard.inCare.length > 0 && <InCare jobs={yard.inCare} context={context} />}
          </div>
        </div>
      </section>
      <div>
        <NextList next={yard.next} context={context} />
        <AfterList after={after} />
      </div>
    </div>
  )
}

/** What waits in the years after: cars to be seen, and answers nobody has read. */
export type After = { toSee: number; answers: number }

function AfterList({ after: { toSee, answers } }: { after: After }) {
  if (toSee + answers === 0) return null
  return (
    <ul aria-label="Aftercare" className="mt-4 border-t border-line pt-2 text-[15px]">
      {toSee > 0 && (
        <li>
          <Link href="/aftercare" className="inline-flex min-h-11 items-center">
            {toSee} {toSee === 1 ? 'inspection visit' : 'inspection visits'} due
          </Link>
        </li>
      )}
      {answers > 0 && (
        <li>
          <Link href="/aftercare/messages" className="inline-flex min-h-11 items-center font-semibold">
            {answers} {answers === 1 ? 'answer' : 'answers'} from owners, unread
          </Link>
        </li>
      )}
    </ul>
  )
}

function Bay({ place, context, className }: { place: YardPlace; context: Context; className?: string }) {
  return (
    <article className={clsx('flex min-h-56 flex-col border-ink p-4', className)} aria-label={place.name}>
      <header className="flex items-baseline justify-between gap-3">
        <h2 className="text-lg">{place.name}</h2>
        {(context.sensed || place.climate) && <Climate place={place} region={context.region} />}
      </header>
      {place.car ? (
        <CarInBay car={place.car} context={context} />
      ) : (
        <p className="m-auto rounded border border-dashed border-ink-soft/50 px-8 py-5 text-ink-soft">Free</p>
      )}
    </article>
  )
}

function Climate({ place, region }: { place: YardPlace; region: Region }) {
  const { climate } = place
  const go = place.breaches.length === 0
  const studio = place.kinds.includes('studio')
  return (
    <details className="group relative text-sm">
      <summary className="list-none text-ink-soft marker:hidden">
        {climate
          ? `${measured(region, 'temperature', climate.airC, 1)} · ${percent(region, climate.rhPercent)}`
          : 'no reading'}
        {studio && (
          <span className={clsx('ml-2 font-semibold', go ? 'text-fern' : 'text-copper')}>
            {!climate ? 'not measured' : go ? 'OK to coat' : 'do not coat'}
          </span>
        )}
      </summary>
      <div className="sheet absolute right-0 z-10 mt-1 w-72 p-3 shadow-sm">
        {climate && (
          <p>
            Panel {measured(region, 'temperature', climate.panelC, 1)},{' '}
            {place.dewMarginC === undefined ? '?' : temperatureStep(region, place.dewMarginC, 1)} above the
            dew point. {temperatureStep(region, 3)} are needed (ISO 8502-4).
          </p>
        )}
        {(studio ? place.breaches : []).map((breach) => (
          <p key={breach.rule} className="mt-1 text-copper">
            {conditionText(region, breach)}
          </p>
        ))}
      </div>
    </details>
  )
}

function CarInBay({ car, context }: { car: YardCar; context: Context }) {
  const { job, live, stage } = car.entry
  const words = waitsText(car.waits, context)
  const window = car.waits.kind === 'next' ? car.waits.window : undefined
  return (
    <Link
      href={`/jobs/${job.id}/${roomFor(stage, job.kind)}`}
      className="group mt-2 flex grow flex-col no-underline"
    >
      <div className="flex items-center gap-4">
        <CarFromAbove shape={job.vehicle.shape} className="w-36 shrink-0" />
        <div className="min-w-0">
          <p className="font-head text-xl font-bold decoration-2 underline-offset-4 group-hover:underline">
            {job.vehicle.plate}
          </p>
          <p className="truncate text-sm text-ink-soft">
            {job.vehicle.make} {job.vehicle.model}, {job.vehicle.colour.toLowerCase()}
          </p>
          <p className={clsx('mt-1 font-semibold', words.hold && 'text-copper')}>{words.what}</p>
          <p className="text-[15px]">{words.until}</p>
        </div>
      </div>
      <div className="mt-auto flex items-end justify-between gap-3 pt-2">
        {live && <Frond leaflets={leafletsOf(live, context.region, context.now)} height={58} />}
        {window && <p className="max-w-44 text-right text-sm text-copper">{windowText(window, context)}</p>}
      </div>
    </Link>
  )
}

function Apron({
  title,
  empty,
  cars,
  context,
}: {
  title: string
  empty: string
  cars: YardCar[]
  context: Context
}) {
  return (
    <section className="px-2">
      <h2 className="eyebrow">{title}</h2>
      {cars.length === 0 && <p className="py-3 text-ink-soft">{empty}</p>}
      <ul>
        {cars.map((car) => {
          const words = waitsText(car.waits, context)
          const { job, stage } = car.entry
          return (
            <li key={job.id}>
              <Link
                href={`/jobs/${job.id}/${roomFor(stage, job.kind)}`}
                className="group flex min-h-14 items-center gap-3 border-t border-line py-1.5 no-underline first:border-0"
              >
                <CarFromAbove shape={job.vehicle.shape} className="w-16 shrink-0" />
                <span className="w-20 shrink-0 font-head font-bold group-hover:underline">
                  {job.vehicle.plate}
                </span>
                <span className="min-w-0 text-[15px] leading-snug">
                  {words.what}
                  <br />
                  <span className="text-ink-soft">{words.until}</span>
                </span>
              </Link>
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** Cars that went home lately; their calendar and sheet stay within reach. */
function InCare({ jobs, context }: { jobs: Yard['inCare']; context: Context }) {
  return (
    <p className="mx-2 mt-2 border-t border-line pt-2 text-[15px] text-ink-soft">
      Handed over:{' '}
      {jobs.map(({ job, stage }) => (
        <Link
          key={job.id}
          href={`/jobs/${job.id}/${roomFor(stage, job.kind)}`}
          className="mr-3 inline-flex min-h-11 items-center"
        >
          <span className="mr-1 font-head font-bold text-ink">{job.vehicle.plate}</span>
          {moment(context.region, job.handedOverAt!, context.now)}
        </Link>
      ))}
    </p>
  )
}

const NEXT_WORDS: Record<NextThing['kind'], (thing: NextThing) => string> = {
  begin: ({ what }) => what,
  'window-closes': ({ what }) => `Last start for ${what}`,
  'hold-ends': ({ what }) => `${what} ends`,
  collect: () => 'Collection',
  arrive: () => 'Arrives',
}

function NextList({ next, context }: { next: NextThing[]; context: Context }) {
  return (
    <section aria-label="What comes next">
      <h2 className="mb-1 text-xl">Coming up</h2>
      {next.length === 0 && <p className="text-ink-soft">Nothing is planned. Check a vehicle in to begin.</p>}
      <ol className="relative border-l-[3px] border-fern pl-4">
        {next.slice(0, 12).map((thing) => {
          const held = thing.kind === 'window-closes' || thing.kind === 'hold-ends'
          return (
            <li key={`${thing.jobId}-${thing.kind}-${thing.at}`} className="relative py-2">
              <span
                className={clsx(
                  'absolute top-4 -left-[25px] size-[13px] rounded-full border-[3px]',
                  held ? 'border-copper bg-paper' : 'border-fern bg-fern',
                )}
              />
              <p className={clsx('text-sm', thing.late ? 'font-semibold text-copper' : 'text-ink-soft')}>
                {thing.late ? 'Overdue, ' : ''}
                {moment(context.region, thing.at, context.now)}
              </p>
              <p className={clsx('leading-snug', held && 'text-copper')}>
                <Link
                  href={`/jobs/${thing.jobId}/${thing.room}`}
                  className="font-head font-bold no-underline hover:underline"
                >
                  {thing.plate}
                </Link>{' '}
                {NEXT_WORDS[thing.kind](thing)}
                {thing.by.length > 0 && (
                  <span className="text-ink-soft"> · {thing.by.map(context.nameOf).join(', ')}</span>
                )}
              </p>
            </li>
          )
        })}
      </ol>
    </section>
  )
}
