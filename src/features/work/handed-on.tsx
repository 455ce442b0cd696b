'use client'

import type { PersonId } from '@/core/ids'
import type { HandedOn } from '@/core/planning'
import type { Region } from '@/core/region'
import type { Instant } from '@/core/time'
import { answerHandedOn } from '@/server/work/confirm-actions'
import { moment } from '@/text/formats'
import { Button } from '@/ui/button'
import { Link } from '@/ui/link'
import { useMayDo, useSignedIn } from '@/ui/me'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'

type Props = {
  waiting: readonly HandedOn[]
  people: readonly { id: PersonId; name: string }[]
  region: Region
  now: Instant
}

/** What was done on a tablet that somebody else was signed in on: who did it says so, or a manager who knows. */
export function HandedOnList({ waiting, people, region, now }: Props) {
  const me = useSignedIn()
  const mayVouch = useMayDo('manage')
  const { run, pending, refusal } = useAction()
  if (waiting.length === 0) return null
  const nameOf = (id: PersonId) => people.find((person) => person.id === id)?.name ?? id
  return (
    <section
      aria-label="Done without signing in"
      className="mb-4 border-l-4 border-copper bg-copper/10 px-4 py-3"
    >
      <h2 className="text-lg">Done without signing in: who was it?</h2>
      <ul>
        {waiting.map(({ ids, person, sentBy, car, from, isDenied }) => (
          <li key={ids[0]} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-line py-1">
            <span className="grow">
              {car && (
                <>
                  <Link href={`/jobs/${car.jobId}/work`} className="font-semibold">
                    {car.plate}
                  </Link>
                  ,{' '}
                </>
              )}
              {ids.length === 1 ? 'one entry' : `${ids.length} entries`} by {nameOf(person)},{' '}
              {moment(region, from, now)}, on a tablet where {sentBy} was signed in
              {isDenied && <strong> – {nameOf(person)} says it was somebody else</strong>}
            </span>
            {person === me && !isDenied && (
              <>
                <Button
                  look="outline"
                  disabled={pending}
                  onClick={() => run(answerHandedOn, { ids, answer: 'me' })}
                >
                  That was me
                </Button>
                <Button
                  look="quiet"
                  disabled={pending}
                  onClick={() => run(answerHandedOn, { ids, answer: 'not-me' })}
                >
                  Not me
                </Button>
              </>
            )}
            {person !== me && mayVouch && (
              <Button
                look="outline"
                disabled={pending}
                onClick={() => run(answerHandedOn, { ids, answer: isDenied ? 'looked-into' : 'vouched' })}
              >
                {isDenied ? 'Looked into' : `I know it was ${nameOf(person)}`}
              </Button>
            )}
            {person !== me && !mayVouch && (
              <span className="text-sm text-ink-soft">{nameOf(person)} confirms it</span>
            )}
          </li>
        ))}
      </ul>
      <Refused refusal={refusal} />
    </section>
  )
}
