import clsx from 'clsx'
import type { DueState } from '@/core/aftercare'
import type { DueCar, DueFilter } from '@/core/job'
import { DUE_FILTERS } from '@/core/job'
import type { Region } from '@/core/region'
import { daysBetween, type Instant, type LocalDay } from '@/core/time'
import { moment, monthYear, shortDay } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { Link } from '@/ui/link'
import { SideView } from '@/ui/side-view'
import { Unread } from '@/ui/unread'
import { BookVisit } from './book-visit'

type Props = {
  cars: readonly DueCar[]
  more: boolean
  /** Plates of cars that cannot be read. */
  unread: readonly string[]
  page: number
  filter: DueFilter
  counts: Record<DueFilter, number>
  products: ReadonlyMap<string, string>
  today: LocalDay
  now: Instant
  region: Region
}

const FILTER_NAME: Record<DueFilter, string> = {
  now: 'Due now',
  soon: 'Due within 3 weeks',
  booked: 'Booked or here',
  gone: 'Recoat due',
  lapsed: 'Lapsed',
  all: 'Every coated car',
}

const EMPTY: Record<DueFilter, string> = {
  now: 'No visit is due. The next are under “Due within 3 weeks”.',
  soon: 'No visit falls due in the next three weeks.',
  booked: 'No coated car is booked or here.',
  gone: 'No car needs recoating yet.',
  lapsed: 'No visit is more than half a year overdue.',
  all: 'No coated car has been handed over yet. The first one appears here with its visits.',
}

/** Who is to be seen next: the windows of every coated car, and the way into the schedule. */
export function DueScreen({ cars, more, unread, page, filter, counts, products, today, now, region }: Props) {
  return (
    <div className="mx-auto max-w-6xl p-5">
      <h1 className="text-3xl">Visits</h1>
      <p className="mt-1 max-w-prose text-ink-soft">
        When each coated car should be inspected next: by its product, how it is used, and what the last
        inspection found.
      </p>
      <nav aria-label="Which cars" className="mt-4 flex flex-wrap gap-1.5">
        {DUE_FILTERS.map((each) => (
          <Link
            key={each}
            href={`/aftercare?show=${each}`}
            aria-current={each === filter ? 'page' : undefined}
            className={clsx(
              'flex min-h-11 items-center gap-2 rounded border px-3 no-underline',
              each === filter
                ? 'border-fern bg-fern text-on-fern'
                : 'border-ink-soft/45 bg-sheet hover:bg-lichen',
            )}
          >
            {FILTER_NAME[each]} <strong>{counts[each]}</strong>
          </Link>
        ))}
      </nav>
      <Unread names={unread} />
      {cars.length === 0 ? (
        <p className="mt-8 text-lg">{EMPTY[filter]}</p>
      ) : (
        <ul className="mt-4">
          {cars.map((car) => (
            <DueRow
              key={car.vehicle.id}
              car={car}
              product={products.get(car.dates.productId) ?? car.dates.productId}
              {...{ today, now, region }}
            />
          ))}
        </ul>
      )}
      {(page > 0 || more) && (
        <div className="mt-4 flex gap-3">
          {page > 0 && (
            <ButtonLink look="outline" href={`/aftercare?show=${filter}&page=${page - 1}`}>
              Previous
            </ButtonLink>
          )}
          {more && (
            <ButtonLink look="outline" href={`/aftercare?show=${filter}&page=${page + 1}`}>
              Next
            </ButtonLink>
          )}
        </div>
      )}
    </div>
  )
}

type RowProps = { car: DueCar; product: string } & Pick<Props, 'today' | 'now' | 'region'>

function DueRow({ car, product, today, now, region }: RowProps) {
  const { vehicle, customer, dates, state, booked, asked } = car
  const gone = dates.good.mid < today
  return (
    <li className="grid grid-cols-[7rem_minmax(0,1fr)_auto] items-center gap-x-4 border-t border-line py-3 max-sm:grid-cols-[minmax(0,1fr)_auto]">
      <SideView shape={vehicle.shape} className="h-11 w-28 max-sm:hidden" />
      <div>
        <p>
          <Link href={`/vehicles/${vehicle.id}`} className="font-head text-lg font-semibold">
            {vehicle.plate}
          </Link>{' '}
          {vehicle.make} {vehicle.model}, {customer.name}
          {customer.phone && <span className="text-ink-soft">, {customer.phone}</span>}
        </p>
        <p className="text-[15px]">
          <span
            className={clsx(
              'font-semibold',
              (gone || state === 'overdue' || state === 'lapsed') && 'text-copper',
            )}
          >
            {asked ? 'The owner has asked for a visit. ' : ''}
            {booked
              ? bookedText(booked, region, now)
              : gone
                ? 'Coating probably worn off.'
                : dueText(region, state, dates.visit, today)}
          </span>{' '}
          <span className="text-ink-soft">
            {product} of {shortDay(region, dates.laidOn)},{' '}
            {gone ? 'expected to last until' : 'likely good until'} {monthYear(region, dates.good.mid)}
            {dates.lastVisit
              ? `, last inspected ${shortDay(region, dates.lastVisit)}`
              : ', not inspected since'}
            .
          </span>
          {dates.failing > 0 && (
            <span className="font-semibold text-copper">
              {' '}
              {dates.failing === 1 ? 'One panel has failed.' : `${dates.failing} panels have failed.`}
            </span>
          )}
        </p>
      </div>
      {booked ? (
        <ButtonLink look="outline" href={`/jobs/${booked.jobId}`}>
          Open {booked.kind === 'work' ? 'job' : booked.kind}
        </ButtonLink>
      ) : gone && !asked ? (
        <ButtonLink look="outline" href={`/intake?vehicle=${vehicle.id}`}>
          Check in
        </ButtonLink>
      ) : (
        <BookVisit
          vehicleId={vehicle.id}
          plate={vehicle.plate}
          from={dates.visit.from > today ? dates.visit.from : today}
          region={region}
        />
      )}
    </li>
  )
}

const bookedText = ({ kind, arriveAt }: NonNullable<DueCar['booked']>, region: Region, now: Instant) =>
  arriveAt > now
    ? `Comes ${moment(region, arriveAt, now)} for ${kind === 'visit' ? 'a visit' : kind === 'repair' ? 'a repair' : 'other work'}.`
    : 'Is here.'

export function dueText(
  region: Region,
  state: DueState,
  { from, until }: { from: LocalDay; until: LocalDay },
  today: LocalDay,
): string {
  const weeks = (days: number) =>
    days < 14 ? `${days} ${days === 1 ? 'day' : 'days'}` : `${Math.round(days / 7)} weeks`
  switch (state) {
    case 'later':
      return `Visit from ${shortDay(region, from)}.`
    case 'soon':
      return `Visit in ${weeks(daysBetween(today, from))}.`
    case 'due':
      return `Due now, by ${shortDay(region, until)} at the latest.`
    case 'overdue':
      return `Overdue by ${weeks(daysBetween(until, today))}.`
    case 'lapsed':
      return `Lapsed: was due by ${shortDay(region, until)}.`
  }
}
