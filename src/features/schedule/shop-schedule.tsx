import type { Floor, MoveHistory } from '@/core/planning'
import { namedReasons } from '@/core/planning'
import { namesOf } from '@/core/shop'
import { clockIn, dayIn, type LocalDay, plusDays } from '@/core/time'
import { namedReasonText } from '@/text/en/placing'
import { moment } from '@/text/formats'
import { ButtonLink } from '@/ui/button'
import { PatientLink } from '@/ui/patient-link'
import { PrintButton } from '@/ui/print-button'
import { Board } from './board'
import { boardView } from './board-view'
import { TakeBack } from './moving/take-back'
import { OneCar } from './one-car'
import { PlanAll } from './plan-all'
import { ReportChange } from './report-change'
import { outName, reportable } from './reportable'
import { TightLayers } from './tight-layers'
import { SPANS, type Span, timelineOn } from './timeline'

type Props = {
  floor: Floor
  /** Another word once anything on the floor has changed. */
  basis: string
  history: MoveHistory
  span: Span
  from: LocalDay
  car: string | undefined
}

/** Bays and people over the coming days, nights shaded, windows drawn. */
export function ShopSchedule({ floor, basis, history, span, from, car }: Props) {
  const { setup } = floor.shop
  const { now, planning } = floor
  const { days, pxPerHour } = SPANS[span]
  const view = boardView(floor, timelineOn(setup.region, from, days, pxPerHour), basis)
  const outNames = namesOf(setup)
  return (
    <div className="wide-on-paper p-5">
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="text-2xl">Schedule</h1>
        {planning && (
          <p className="text-ink-soft">
            Last planned {moment(setup.region, planning.computedAt, now)}
            {planning.status === 'infeasible' ? ', not everything found room' : ''}
          </p>
        )}
        <div className="contents print:hidden">
          <TakeBack history={history} />
          <ButtonLink look="outline" href="/schedule/promise" className="ml-auto">
            Check a date
          </ButtonLink>
          <ReportChange
            of={reportable(floor)}
            known={floor.outages.map(({ id, what, until }) => ({
              id,
              kind: what.kind,
              name: outName(what, outNames),
              until,
            }))}
            region={setup.region}
            now={now}
            clockNow={clockIn(setup.region.timezone, now)}
          />
          <PlanAll region={setup.region} now={now} />
        </div>
      </div>
      {planning && planning.reasons.length > 0 && <Reasons floor={floor} />}
      <LookAt span={span} from={from} today={dayIn(setup.region.timezone, now)} car={car} floor={floor} />
      <TightLayers blocks={view.blocks} region={setup.region} now={now} />
      <Board view={view} car={car} />
      <Legend holds={floor.holds.length > 0} />
    </div>
  )
}

/** How many days are drawn, from which, and which car stands out. */
function LookAt({
  span,
  from,
  today,
  car,
  floor,
}: {
  span: Span
  from: LocalDay
  today: LocalDay
  car: string | undefined
  floor: Floor
}) {
  const { days } = SPANS[span]
  const to = (next: { span?: Span; from?: LocalDay; car?: string }) => {
    const query = new URLSearchParams({ span, from, ...(car ? { car } : {}), ...next })
    if (query.get('from') === today) query.delete('from')
    if (query.get('car') === '') query.delete('car')
    return `/schedule?${query}`
  }
  const link = 'inline-flex min-h-11 items-center rounded px-3 font-head text-[15px] hover:bg-lichen'
  const cars = floor.jobs.flatMap(({ job, live, stage }) =>
    live && stage.kind !== 'handed-over' ? [job] : [],
  )
  return (
    <nav aria-label="What is drawn" className="mb-2 flex flex-wrap items-center gap-x-1 gap-y-1 print:hidden">
      {(Object.keys(SPANS) as Span[]).map((each) => (
        <PatientLink
          key={each}
          href={to({ span: each })}
          aria-current={each === span ? 'true' : undefined}
          className={`${link} ${each === span ? 'border-b-2 border-fern font-semibold' : 'text-ink-soft'}`}
        >
          {SPANS[each].name}
        </PatientLink>
      ))}
      <span className="mx-2 h-6 border-l border-line" />
      <PatientLink href={to({ from: plusDays(from, -Math.min(days, 7)) })} className={link}>
        Earlier
      </PatientLink>
      <PatientLink href={to({ from: today })} className={link}>
        Today
      </PatientLink>
      <PatientLink href={to({ from: plusDays(from, Math.min(days, 7)) })} className={link}>
        Later
      </PatientLink>
      <span className="mx-2 h-6 border-l border-line" />
      <OneCar
        cars={cars.map(({ id, vehicle }) => ({
          id,
          name: `${vehicle.plate}, ${vehicle.make} ${vehicle.model}`,
        }))}
        chosen={cars.some(({ id }) => id === car) ? car! : ''}
        href={Object.fromEntries(['', ...cars.map(({ id }) => id)].map((id) => [id, to({ car: id })]))}
      />
      <span className="ml-auto">
        <PrintButton look="quiet" />
      </span>
    </nav>
  )
}

function Reasons({ floor }: { floor: Floor }) {
  const { setup } = floor.shop
  const shop = { region: setup.region, now: floor.now, names: namesOf(setup) }
  return (
    <div role="alert" className="mb-3 border-l-4 border-copper pl-3 text-copper">
      <ul>
        {namedReasons(floor, floor.planning!.reasons).map((named) => (
          <li key={`${named.reason.job}-${named.reason.operation}`}>{namedReasonText(named, shop)}</li>
        ))}
      </ul>
    </div>
  )
}

function Legend({ holds }: { holds: boolean }) {
  return (
    <ul className="mt-3 flex flex-wrap gap-x-6 gap-y-1 text-sm text-ink-soft">
      <li>Filled leaf: work, darker when done</li>
      <li className="text-copper">Outlined leaf: waiting, do not touch</li>
      <li className="text-copper">
        Bracket below: the window in which a layer must begin, with what the one before may overrun; thick
        where that is little
      </li>
      {holds && <li>Dashed bar: a slot held for a caller</li>}
      <li>Shaded: nobody on shift</li>
      <li className="print:hidden">
        Drag a leaf, or a whole bar with all that follows; by keys, Tab to a bar, then the arrows
      </li>
    </ul>
  )
}
