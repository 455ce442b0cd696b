'use client'

import { DropdownMenu } from 'radix-ui'
import { signOut } from '@/server/staff/sign-in-actions'
import { Link } from '@/ui/link'
import { useAction } from '@/ui/use-action'
import { goTo } from '../staff/go-to'

const item =
  'flex min-h-11 w-full items-center rounded px-3 no-underline outline-none data-highlighted:bg-lichen'

/** Nothing of the cars stays on the screen of who has left. */
function leave() {
  navigator.serviceWorker?.controller?.postMessage({ forget: true })
  goTo('/')
}

/** Who is signed in, and the way out. */
export function WhoHere({ name }: { name: string }) {
  const { run } = useAction()
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="flex min-h-11 items-center gap-1.5 rounded px-3 text-sm font-semibold hover:bg-lichen max-md:order-last">
        {name}
        <span aria-hidden>▾</span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={4} className="sheet z-40 min-w-52 p-1.5">
          <DropdownMenu.Item asChild>
            <Link href="/you" className={item}>
              Passphrase and PIN
            </Link>
          </DropdownMenu.Item>
          <DropdownMenu.Item className={item} onSelect={() => run(signOut, null, leave)}>
            Sign out
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
