import { WATERS } from '@/core/aftercare'
import type { VehicleHistory } from '@/core/history'
import type { KnownVehicle, Stay, TimelineEntry } from '@/core/job'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { WATER_WORDS } from '@/text/en/aftercare'
import { ledgerNote } from '@/text/en/ledger'
import { OCCASION_NAME } from '@/text/en/messages'
import { TREATMENT } from '@/text/en/vehicle'
import { measured, money, paperMoment, shortDay } from '@/text/formats'
import { layerPlace } from '@/text/history'
import { Link } from '@/ui/link'
import { Unread } from '@/ui/unread'
import { messageStateText } from '../aftercare/message-text'
import { MarkedPhoto } from '../photos/marked-photo'

type Props = {
  known: KnownVehicle
  timeline: readonly TimelineEntry[]
  /** What other shops wrote before the car came here. */
  brought: readonly VehicleHistory[]
  /** When files came that cannot be read. */
  unread: readonly Instant[]
  region: Region
}

/** One line through all that ever happened to a vehicle here: readings, work, layers, pictures, messages, money. */
export function HistoryScreen({ known: { vehicle }, timeline, brought, unread, region }: Props) {
  return (
    <div className="mx-auto grid max-w-6xl gap-8 p-5 lg:grid-cols-[minmax(0,1fr)_19rem]">
      <section>
        <h2 className="text-2xl">History</h2>
        {timeline.length === 0 && <p className="mt-1 text-ink-soft">It has not been here yet.</p>}
        <ol className="mt-3 border-l-2 border-fern-soft pl-6">
          {timeline.map((entry, at) => (
            <li key={at} className="relative py-3">
              <span
                className={`absolute top-5 -left-[31px] size-3.5 ${entry.kind === 'stay' ? 'rounded-[50%_50%_50%_0] bg-fern' : 'rounded-full border-2 border-fern bg-paper'}`}
              />
              {entry.kind === 'stay' && <StayEntry stay={entry} region={region} />}
              {entry.kind === 'message' && (
                <p className="text-[15px]">
                  <strong>{shortDay(region, entry.day)}</strong> {OCCASION_NAME[entry.message.occasion].name}:{' '}
                  {entry.message.subject}{' '}
                  <span className="text-ink-soft">({messageStateText(entry.message)})</span>
                </p>
              )}
              {entry.kind === 'past' && (
                <p className="text-[15px]">
                  <strong>{shortDay(region, entry.day)}</strong> {entry.work}
                  {entry.cents === undefined ? '' : `, ${money(region, entry.cents)}`}{' '}
                  <span className="text-ink-soft">(from your earlier records)</span>
                </p>
              )}
              {entry.kind === 'told' && (
                <p className="text-[15px]">
                  <strong>{shortDay(region, entry.day)}</strong> told:{' '}
                  {measured(region, 'depth', entry.entry.removedUm, 1)}
                  taken from {entry.entry.panel}
                  {entry.entry.note && `, ${ledgerNote(region, entry.entry.note)}`}
                </p>
              )}
            </li>
          ))}
        </ol>
        <Unread names={unread.map((at) => `the history brought on ${paperMoment(region, at)}`)} />
        {brought.map((history, at) => (
          <BroughtHistory region={region} key={at} history={history} />
        ))}
        {vehicle.treatments.length > 0 && (
          <>
            <h2 className="mt-5 text-xl">Told by the owner</h2>
            <ul className="mt-1 text-[15px]">
              {vehicle.treatments.map(({ kind, what, year }, at) => (
                <li key={at}>
                  <strong>{TREATMENT[kind].name}</strong>
                  {[what, year].filter(Boolean).length > 0 && `: ${[what, year].filter(Boolean).join(', ')}`}
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      <aside>
        <h2 className="text-xl">Pass on to a new owner</h2>
        <p className="mt-1 text-[15px] text-ink-soft">
          When the car is sold its history goes with it: one file that any shop with this program reads back,
          and one sheet to read. Neither names messages or money.
        </p>
        <ul className="mt-3 space-y-2">
          <li>
            <a href={`/vehicles/${vehicle.id}/history.json`} download className="font-semibold">
              History as one file (JSON)
            </a>
          </li>
          <li>
            <a href={`/vehicles/${vehicle.id}/history.pdf`} className="font-semibold">
              History to read (PDF)
            </a>
          </li>
        </ul>
      </aside>
    </div>
  )
}

function BroughtHistory({
  history: { shop, writtenOn, stays },
  region,
}: {
  history: VehicleHistory
  region: Region
}) {
  return (
    <>
      <h2 className="mt-6 text-xl">
        Brought along from {shop}, {shortDay(region, writtenOn)}
      </h2>
      <ul className="mt-1">
        {stays.map((stay, at) => (
          <li key={at} className="border-t border-line py-2 text-[15px]">
            <strong>
              {shortDay(region, stay.day)}, {stay.title}
            </strong>
            <span className="block text-ink-soft">
              {[
                stay.film.length > 0
                  ? `${stay.film.reduce((sum, { values }) => sum + values.length, 0)} depth readings`
                  : '',
                ...stay.layers.map((layer) => `${layer.product} on ${layerPlace(region, layer)}`),
                stay.looks.length > 0 ? `${stay.looks.length} parts inspected` : '',
              ]
                .filter(Boolean)
                .join(', ')}
            </span>
            <ul className="mt-1 flex flex-wrap gap-2">
              {stay.photographs
                .filter(({ picture }) => picture)
                .map(({ sha256, picture, place, phase }) => (
                  <li key={sha256}>
                    {/* biome-ignore lint/performance/noImgElement: it came in the file and lies nowhere else. */}
                    <img
                      src={`data:image/jpeg;base64,${picture}`}
                      alt={`${place}, ${phase}`}
                      className="h-20 rounded"
                    />
                  </li>
                ))}
            </ul>
          </li>
        ))}
      </ul>
    </>
  )
}

const KIND = { work: 'job', visit: 'visit', repair: 'repair' } as const

function StayEntry({ stay, region }: { stay: Stay; region: Region }) {
  const { job, day, packageName, letter, readings, coats, waters, totalCents, paidCents, photos } = stay
  const seen = WATERS.filter((water) => waters[water])
  return (
    <>
      <p>
        <Link href={`/jobs/${job.id}`} className="font-head text-lg font-semibold">
          {shortDay(region, day)}, {packageName ?? (job.kind === 'visit' ? 'Visit' : job.wishes)}
        </Link>{' '}
        <span className="text-sm text-ink-soft">
          {KIND[job.kind]} {job.number}
          {job.odometerKm !== undefined && ` · ${measured(region, 'distance', job.odometerKm)}`}
          {!job.handedOverAt && ' · not handed over yet'}
        </span>
      </p>
      <ul className="text-[15px]">
        {readings > 0 && (
          <li>
            {readings} depth readings{letter ? `, condition ${letter} as it came in` : ''}
          </li>
        )}
        {coats.map(({ product, lot, where }, at) => (
          <li key={at}>
            {product} on {where}, lot {lot}
          </li>
        ))}
        {seen.length > 0 && (
          <li>
            Water:{' '}
            {seen.map((water) => `${waters[water]} × ${WATER_WORDS[water].name.toLowerCase()}`).join(', ')}
          </li>
        )}
        {totalCents !== undefined && (
          <li className="text-ink-soft">
            {money(region, totalCents)}
            {totalCents > 0 && (paidCents >= totalCents ? ', paid' : `, ${money(region, paidCents)} paid`)}
            {job.onGuarantee && ', on guarantee'}
          </li>
        )}
      </ul>
      {photos.length > 0 && (
        <ul className="mt-2 flex flex-wrap gap-2">
          {photos.map((photo) => (
            <li key={photo.id}>
              <Link
                href={`/jobs/${photo.jobId}/walk`}
                aria-label={`Photograph of ${photo.place}, ${photo.phase}`}
              >
                <MarkedPhoto photo={photo} size="thumb" className="h-20" />
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
