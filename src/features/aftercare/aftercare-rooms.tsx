'use client'

import clsx from 'clsx'
import { usePathname } from 'next/navigation'
import { PatientLink } from '@/ui/patient-link'

const ROOMS = [
  { href: '/aftercare', label: 'Visits' },
  { href: '/aftercare/messages', label: 'Messages' },
  { href: '/aftercare/texts', label: 'Texts and times' },
] as const

export function AftercareRooms() {
  const path = usePathname()
  return (
    <nav aria-label="Aftercare" className="flex border-b border-line bg-lichen/50 px-5">
      {ROOMS.map(({ href, label }) => (
        <PatientLink
          key={href}
          href={href}
          aria-current={path === href ? 'page' : undefined}
          className={clsx(
            'flex min-h-11 items-center border-b-[3px] px-3 font-head font-semibold no-underline',
            path === href ? 'border-fern' : 'border-transparent text-ink-soft hover:text-ink',
          )}
        >
          {label}
        </PatientLink>
      ))}
    </nav>
  )
}
