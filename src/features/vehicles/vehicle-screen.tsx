import Link from 'next/link'
import { countedReadings, type Measured, mean } from '@/core/survey'
import {
  isMetal,
  PAINT_SYSTEM_GUIDE,
  panelsOf,
  SHAPE_NAME,
  STORAGE_NAME,
  TREATMENT,
  WASHING_NAME,
} from '@/core/vehicle'
import type { Visit } from '@/server/history'
import type { LedgerEntry } from '@/server/ledger-store'
import type { Photo } from '@/server/photo-store'
import type { KnownVehicle } from '@/server/vehicle-store'
import { ButtonLink } from '@/ui/button'
import { SideView } from '@/ui/side-view'
import { yearDay } from '@/ui/when'
import { MarkedPhoto } from '../photos/marked-photo'
import { LedgerTable } from './ledger-table'
import { ToldForm } from './told-form'

type Props = {
  known: KnownVehicle
  visits: readonly Visit[]
  ledger: readonly LedgerEntry[]
  photos: readonly Photo[]
}

/** One vehicle over the years: its visits, what was ever taken from its paint, how its film has gone, its pictures. */
export function VehicleScreen({ known: { customer, vehicle }, visits, ledger, photos }: Props) {
  const panels = panelsOf(vehicle.shape)
  const facts = [
    PAINT_SYSTEM_GUIDE[vehicle.paintSystem].name.toLowerCase(),
    vehicle.storage === 'unknown' ? '' : `sleeps: ${STORAGE_NAME[vehicle.storage].toLowerCase()}`,
    vehicle.washing === 'unknown' ? '' : `washed: ${WASHING_NAME[vehicle.washing].toLowerCase()}`,
    vehicle.yearlyKm === undefined ? '' : `${vehicle.yearlyKm.toLocaleString('en-IE')} km a year`,
    vehicle.salted ? 'salted roads' : '',
    vehicle.hardWater ? 'hard water' : '',
  ].filter(Boolean)
  return (
    <div className="mx-auto max-w-6xl p-5">
      <header className="flex items-center gap-6 border-b-2 border-ink pb-4 max-sm:flex-wrap">
        <SideView shape={vehicle.shape} className="h-16 shrink-0" />
        <div className="grow">
          <h1 className="text-3xl">{vehicle.plate}</h1>
          <p>
            {vehicle.make} {vehicle.model}
            {vehicle.year ? ` ${vehicle.year}` : ''}, {vehicle.colour.toLowerCase()}
            {vehicle.colourCode && ` (${vehicle.colourCode})`}, {SHAPE_NAME[vehicle.shape].toLowerCase()} ·{' '}
            {customer.name}
            {customer.phone && `, ${customer.phone}`}
          </p>
          <p className="text-sm text-ink-soft">
            {facts.join(' · ')}
            {vehicle.vin && ` · ${vehicle.vin}`}
          </p>
        </div>
        <ButtonLink href={`/intake?vehicle=${vehicle.id}`} className="shrink-0">
          Take it in again
        </ButtonLink>
      </header>
      <div className="mt-6 grid gap-8 lg:grid-cols-2">
        <section>
          <h2 className="text-xl">Visits</h2>
          <ol className="mt-2 border-l-2 border-fern-soft pl-5">
            {visits.map(({ job, day, packageName, letter, readings }) => (
              <li key={job.id} className="relative py-2">
                <span className="absolute top-4 -left-[27px] size-3 rounded-[50%_50%_50%_0] bg-fern" />
                <Link href={`/jobs/${job.id}`} className="font-head font-semibold">
                  {yearDay(day)}, job {job.number}
                </Link>
                <p className="text-[15px]">{packageName ?? job.wishes}</p>
                <p className="text-sm text-ink-soft">
                  {readings > 0 ? `${readings} readings, condition ${letter}` : 'not measured'}
                  {job.odometerKm !== undefined && ` · ${job.odometerKm.toLocaleString('en-IE')} km`}
                </p>
              </li>
            ))}
          </ol>
          {vehicle.treatments.length > 0 && (
            <>
              <h2 className="mt-5 text-xl">Told by the owner</h2>
              <ul className="mt-1 text-[15px]">
                {vehicle.treatments.map(({ kind, what, year }, at) => (
                  <li key={at}>
                    <strong>{TREATMENT[kind].name}</strong>
                    {[what, year].filter(Boolean).length > 0 &&
                      `: ${[what, year].filter(Boolean).join(', ')}`}
                  </li>
                ))}
              </ul>
            </>
          )}
          <FilmOverTime visits={visits} panels={panels.filter(({ substrate }) => isMetal(substrate))} />
        </section>
        <section>
          <h2 className="mb-2 text-xl">The ledger: all paint ever removed</h2>
          <LedgerTable ledger={ledger} panels={panels} />
          <ToldForm vehicleId={vehicle.id} panels={panels} />
          {photos.length > 0 && (
            <>
              <h2 className="mt-6 mb-2 text-xl">Photographs</h2>
              <ul className="flex flex-wrap gap-2">
                {photos.map((photo) => (
                  <li key={photo.id}>
                    <Link
                      href={`/jobs/${photo.jobId}/walk`}
                      aria-label={`Photograph of ${photo.place}, ${photo.phase}`}
                    >
                      <MarkedPhoto photo={photo} size="thumb" className="h-24" />
                    </Link>
                  </li>
                ))}
              </ul>
            </>
          )}
        </section>
      </div>
    </div>
  )
}

/** Means by panel over the rounds, the oldest first. */
function FilmOverTime({ visits, panels }: { visits: readonly Visit[]; panels: ReturnType<typeof panelsOf> }) {
  const rounds = visits.flatMap(({ day, survey }) =>
    (
      [
        [`${yearDay(day)} before`, survey.before],
        [`${yearDay(day)} after`, survey.after],
      ] as [string, Measured][]
    ).filter(([, { readings }]) => Object.values(readings).some(({ length }) => length > 0)),
  )
  if (rounds.length === 0) return null
  const cell = (measured: Measured, panel: string) => {
    const values = countedReadings(measured)[panel] ?? []
    return values.length > 0 ? mean(values).toFixed(1) : '–'
  }
  return (
    <>
      <h2 className="mt-6 text-xl">Film over the rounds, µm</h2>
      <div className="mt-1 overflow-x-auto">
        <table className="w-full text-sm">
          <thead>
            <tr className="text-left text-ink-soft">
              <th className="py-1 font-normal">Panel</th>
              {rounds.map(([name]) => (
                <th key={name} className="py-1 pl-3 text-right font-normal">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {panels.map(({ id, name }) => (
              <tr key={id} className="border-t border-line">
                <th className="py-1 text-left font-normal">{name}</th>
                {rounds.map(([round, measured]) => (
                  <td key={round} className="py-1 pl-3 text-right">
                    {cell(measured, id)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}
