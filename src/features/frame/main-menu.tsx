'use client'

import clsx from 'clsx'
import { usePathname } from 'next/navigation'
import { useId, useState } from 'react'
import { Link } from '@/ui/link'
import type { Room } from './rooms-of-shop'

/** The pages of the app that are for whoever is here, in a row; on a phone behind a button, which folds again once one of them is chosen. */
export function MainMenu({ rooms }: { rooms: readonly Room[] }) {
  const here = usePathname()
  // Open on the page where it was opened, and nowhere else.
  const [openAt, setOpenAt] = useState<string>()
  const isOpen = openAt === here
  const id = useId()
  return (
    <>
      <button
        type="button"
        aria-expanded={isOpen}
        aria-controls={id}
        className="ml-auto flex min-h-11 items-center rounded border border-ink-soft/45 bg-sheet px-4 font-head font-semibold md:hidden"
        onClick={() => setOpenAt(isOpen ? undefined : here)}
      >
        Menu
      </button>
      <nav
        id={id}
        aria-label="Rooms"
        className={clsx(
          'max-md:order-last max-md:w-full max-md:grid-cols-3 max-md:pb-2 md:flex',
          isOpen ? 'max-md:grid' : 'max-md:hidden',
        )}
      >
        {rooms.map(({ href, label }) => (
          <Link
            key={href}
            href={href}
            className="flex min-h-11 items-center px-1.5 font-head text-[15px] font-semibold no-underline decoration-fern decoration-2 underline-offset-8 hover:underline xl:px-2.5 xl:text-base"
          >
            {label}
          </Link>
        ))}
      </nav>
    </>
  )
}
