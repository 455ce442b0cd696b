'use client'

import clsx from 'clsx'
import type { ComponentProps } from 'react'
import { useMayOpen } from './me'
import { PatientLink } from './patient-link'

type Look = 'solid' | 'outline' | 'quiet'

const LOOK: Record<Look, string> = {
  solid: 'bg-fern text-on-fern border border-fern hover:brightness-110',
  outline: 'bg-sheet border border-ink/60 hover:bg-lichen',
  quiet: 'border border-transparent hover:bg-lichen underline underline-offset-4 decoration-ink-soft/50',
}

const base =
  'inline-flex min-h-11 items-center justify-center gap-2 rounded px-4 py-2 font-head text-[15px] font-semibold transition-[filter] disabled:opacity-50'

export function Button({
  look = 'solid',
  className,
  type = 'button',
  ...rest
}: ComponentProps<'button'> & { look?: Look }) {
  return <button type={type} className={clsx(base, LOOK[look], className)} {...rest} />
}

/** The way to another page as a button; none for whoever may not open that. */
export function ButtonLink({
  look = 'solid',
  className,
  ...rest
}: ComponentProps<typeof PatientLink> & { look?: Look }) {
  const mayOpen = useMayOpen()
  if (!mayOpen(rest.href)) return null
  return <PatientLink className={clsx(base, 'no-underline', LOOK[look], className)} {...rest} />
}
