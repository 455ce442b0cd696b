import { Link } from '@/ui/link'

/** Whoever took a tablet over without a network is told that they confirm it once they can sign in; and when they can. */
export function TookOver({ name, isBack }: { name: string; isBack: boolean }) {
  return (
    <p role="status" className="border-l-4 border-copper bg-copper/10 px-4 py-2">
      {isBack ? (
        <>
          The network is back. {name}, sign in and confirm under <Link href="/work">Today</Link> what you did
          without it.
        </>
      ) : (
        <>
          {name} cannot sign in without a network. Go on; it is marked, and {name} confirms it later under{' '}
          <em>Today</em>.
        </>
      )}
    </p>
  )
}
