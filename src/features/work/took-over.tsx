import type { PersonId } from '@/core/ids'
import { Link } from '@/ui/link'

type Props = {
  holder: { tookOver?: PersonId | undefined; was?: PersonId | undefined }
  people: readonly { id: PersonId; name: string }[]
}

/** Whoever took a tablet over without a network is told that they confirm it once they can sign in. */
export function TookOver({ holder: { tookOver, was }, people }: Props) {
  const nameOf = (id: PersonId) => people.find((person) => person.id === id)?.name ?? id
  if (tookOver)
    return (
      <p role="status" className="border-l-4 border-copper bg-copper/10 px-4 py-2">
        {nameOf(tookOver)} cannot sign in without a network. Go on; it is marked, and {nameOf(tookOver)}{' '}
        confirms it later under <em>Today</em>.
      </p>
    )
  if (!was) return null
  return (
    <p role="status" className="border-l-4 border-copper bg-copper/10 px-4 py-2">
      The network is back. {nameOf(was)}, sign in and confirm under <Link href="/work">Today</Link> what you
      did without it.
    </p>
  )
}
