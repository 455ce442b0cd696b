import type { Why } from '@/core/queue'
import { conflictText } from '@/text/en/card'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import type { Card } from './use-card'

/** Why the last act cannot be, and what the shop did not take. */
export function NotTaken({ card, refused }: { card: Card; refused: Card['net']['refused'] }) {
  const { view, now, timeOf } = card
  const nameOf = (id: string) => view.people.find((person) => person.id === id)?.name ?? id
  const told = (conflict: Parameters<typeof conflictText>[0]) =>
    conflictText(conflict, {
      who: nameOf,
      when: (at) => moment(view.region, at, now),
      region: view.region,
    })
  const words = (why: Why) => (why.kind === 'words' ? why.message : told(why.conflict))
  return (
    <>
      {card.against && (
        <p role="alert" className="w-full rounded bg-copper-soft px-4 py-2 text-lg font-semibold text-copper">
          {told(card.against)}
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
