export type OwnJobRow = { id: string; day: string; hours: string; title: string; car: string; where: string }

type Props = { name: string; shop: string; rows: readonly OwnJobRow[]; calendar: string }

/** What is planned for somebody who works here now and then: by day, and as a calendar to subscribe to. */
export function OwnJobs({ name, shop, rows, calendar }: Props) {
  const days = [...new Set(rows.map(({ day }) => day))]
  return (
    <div className="mx-auto max-w-xl space-y-6 p-5">
      <div>
        <h1 className="text-3xl">{name}</h1>
        <p className="text-ink-soft">
          What is planned at {shop}. It changes when the plan does; look again on the day.
        </p>
      </div>
      {rows.length === 0 && <p>Nothing is planned.</p>}
      {days.map((day) => (
        <section key={day}>
          <h2 className="text-xl">{day}</h2>
          <ul>
            {rows
              .filter((row) => row.day === day)
              .map(({ id, hours, title, car, where }) => (
                <li key={id} className="border-t border-line py-2">
                  <strong className="font-head">{hours}</strong> {title}
                  <span className="block text-sm text-ink-soft">
                    {[car, where].filter(Boolean).join(', ')}
                  </span>
                </li>
              ))}
          </ul>
        </section>
      ))}
      <p>
        <a className="inline-flex min-h-11 items-center font-semibold" href={calendar}>
          The same as a calendar
        </a>
      </p>
    </div>
  )
}
