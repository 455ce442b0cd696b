import { Link } from '@/ui/link'

const MENU = 'who-is-here'
const item = 'flex min-h-11 w-full items-center rounded px-3 no-underline hover:bg-lichen'

/** Who is signed in, and the way out. The browser itself opens and closes the list: a card at the car needs no script for it. */
export function WhoHere({ name }: { name: string }) {
  return (
    <>
      <button
        type="button"
        popoverTarget={MENU}
        className="flex min-h-11 items-center gap-1.5 rounded px-3 text-sm font-semibold hover:bg-lichen"
      >
        {name}
        <span aria-hidden>▾</span>
      </button>
      <div
        id={MENU}
        popover="auto"
        className="under-its-button sheet fixed inset-auto top-13 right-4 m-0 min-w-52 p-1.5 text-ink"
      >
        <Link href="/you" className={item}>
          Passphrase and PIN
        </Link>
        <form action="/sign-out" method="post">
          <button type="submit" className={item}>
            Sign out
          </button>
        </form>
      </div>
    </>
  )
}
