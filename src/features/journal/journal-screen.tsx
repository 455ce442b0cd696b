import type { AccountId } from '@/core/ids'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { deedText, SUBJECT_NAME } from '@/text/en/journal'
import { screenMoment } from '@/text/formats'
import { Button, ButtonLink } from '@/ui/button'
import { Field } from '@/ui/field'
import { Link } from '@/ui/link'
import { ShopCrumb } from '../shop/shop-crumb'
import { DayField } from './day-field'
import { SentFacts } from './sent-facts'
import { addressOf, type Typed } from './sought'

export type JournalRow = {
  position: number
  at: Instant
  action: string
  who: string
  device?: string
  job?: string
  plate?: string
  sent?: string
  /** Who was at the car, where somebody else sent it. */
  atTheCar?: string
  /** What stood before and after, in words. */
  changes: readonly { name: string; before: string; after: string }[]
}

type Props = {
  rows: readonly JournalRow[]
  people: readonly { id: AccountId; name: string }[]
  typed: Typed
  /** Whether there are entries before these. */
  hasOlder: boolean
  region: Region
  now: Instant
}

const PAGE = '/shop/journal'

/** Who did what: found by person, kind, car and day. */
export function JournalScreen({ rows, people, typed, hasOlder, region, now }: Props) {
  const isNarrowed = typed.who || typed.subject || typed.plate || typed.day
  return (
    <div className="mx-auto max-w-5xl p-5">
      <ShopCrumb />
      <div className="mt-1 flex flex-wrap items-baseline justify-between gap-3">
        <h1 className="text-3xl">Journal</h1>
        <ButtonLink
          look="outline"
          href={addressOf(`${PAGE}/journal.csv`, { ...typed, before: undefined })}
          prefetch={false}
        >
          Save as CSV
        </ButtonLink>
      </div>
      <p className="mt-1 mb-4 max-w-2xl text-ink-soft">
        Everything that was changed, by whom and when. Nothing here can be altered from the app; “yard
        journal” tells whether anybody did so elsewhere.
      </p>
      <form className="mb-5 grid items-end gap-3 sm:grid-cols-[1fr_1fr_1fr_1fr_auto]">
        <Field label="Who">
          <select className="field" name="who" defaultValue={typed.who ?? ''}>
            <option value="">Everybody</option>
            {people.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="What">
          <select className="field" name="subject" defaultValue={typed.subject ?? ''}>
            <option value="">Everything</option>
            {Object.entries(SUBJECT_NAME).map(([subject, name]) => (
              <option key={subject} value={subject}>
                {name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Plate">
          <input className="field" name="plate" maxLength={20} defaultValue={typed.plate ?? ''} />
        </Field>
        <DayField name="day" first={typed.day ?? ''} />
        <Button type="submit" look="outline">
          Show
        </Button>
      </form>
      {rows.length === 0 ? (
        <p className="text-ink-soft">
          {isNarrowed ? 'Nothing like that was done.' : 'Nothing was changed yet.'}
        </p>
      ) : (
        <ol className="border-t border-line">
          {rows.map((row) => (
            <li key={row.position} className="border-b border-line py-2">
              <div className="flex flex-wrap items-baseline gap-x-3">
                <span className="min-w-32 text-sm text-ink-soft">{screenMoment(region, row.at, now)}</span>
                <span>
                  <b>{row.who}</b> {deedText(row.action)}
                  {row.atTheCar && `; at the car: ${row.atTheCar}`}
                </span>
                {row.plate &&
                  (row.job ? (
                    <Link href={`/jobs/${row.job}`} className="font-semibold">
                      {row.plate}
                    </Link>
                  ) : (
                    <span className="font-semibold">{row.plate}</span>
                  ))}
                {row.device && <span className="ml-auto text-sm text-ink-soft">{row.device}</span>}
              </div>
              {row.changes.length > 0 && (
                <ul className="mt-0.5 text-sm">
                  {row.changes.map(({ name, before, after }, at) => (
                    <li key={at}>
                      <span className="text-ink-soft">{name}:</span> {before} → {after}
                    </li>
                  ))}
                </ul>
              )}
              {row.sent && <SentFacts sent={row.sent} />}
            </li>
          ))}
        </ol>
      )}
      {hasOlder && (
        <ButtonLink
          look="outline"
          className="mt-4"
          href={addressOf(PAGE, typed, { before: rows.at(-1)!.position })}
        >
          Older entries
        </ButtonLink>
      )}
    </div>
  )
}
