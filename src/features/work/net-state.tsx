import type { Why } from '@/core/queue'
import { conflictText } from '@/text/en/card'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import type { Card } from './use-card'

/** Whether the shop hears this tablet, what still waits here, and what the shop did not take. */
export function NetState({ card }: { card: Card }) {
  const { net, view, now, timeOf } = card
  const waiting = net.waiting.length
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? id
  const refused = net.refused.filter((entry) => entry.kind === 'call' || entry.job === view.job.id)
  const words = (why: Why) =>
    why.kind === 'words'
      ? why.message
      : conflictText(why.conflict, {
          who: nameOf,
          when: (at) => moment(view.region, at, now),
          region: view.region,
        })
  return (
    <>
      <p role="status" data-testid="net" className="pb-2 text-sm text-ink-soft">
        {net.reached
          ? waiting > 0
            ? 'Sending…'
            : 'All saved'
          : waiting === 0
            ? 'No network. Go on: whatever you tap is kept here and sent later.'
            : `No network. ${waiting === 1 ? 'One entry is' : `${waiting} entries are`} kept here and sent when it is back.`}
        {net.forgetful && ' This tablet cannot store anything: do not close the page before all is sent.'}
      </p>
      {card.against && (
        <p role="alert" className="w-full rounded bg-copper-soft px-4 py-2 text-lg font-semibold text-copper">
          {conflictText(card.against, {
            who: nameOf,
            when: (at) => moment(view.region, at, now),
            region: view.region,
          })}
        </p>
      )}
      {refused.length > 0 && (
        <div role="alert" className="w-full">
          <ul className="space-y-2">
            {refused.map((entry) => (
              <li
                key={entry.id}
                className="flex flex-wrap items-center justify-between gap-3 rounded border-l-4 border-copper bg-copper-soft px-4 py-2"
              >
                <span>
                  <strong>Not taken</strong>, from {moment(view.region, timeOf(entry), now)}
                  {entry.kind === 'act' && ` by ${nameOf(entry.by)}`}
                  {entry.kind === 'call' && `, ${entry.about}`}
                  {entry.kind === 'photo' && `, ${entry.name}`}: {words(entry.why)}
                </span>
                <Button look="outline" onClick={() => card.dismiss(entry.id)}>
                  I have read it
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </>
  )
}
