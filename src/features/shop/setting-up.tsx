'use client'

import clsx from 'clsx'
import { usePathname } from 'next/navigation'
import { createContext, type ReactNode, useContext } from 'react'
import { nextStep, SETUP_STEPS, type SettingUp, stepTaken } from '@/core/shop'
import { PatientLink } from '@/ui/patient-link'
import { STEP, stepAt } from './setup-steps'

const SettingUpContext = createContext<SettingUp | undefined>(undefined)

/** The pages of the shop, with the way through its set-up on top of them until all of it is gone through. */
export function SettingUpFrame({ settingUp, children }: { settingUp?: SettingUp; children: ReactNode }) {
  return (
    <SettingUpContext value={settingUp}>
      {settingUp && <Strip settingUp={settingUp} />}
      {children}
    </SettingUpContext>
  )
}

/** Where saving this page leads while a shop is being set up; undefined when it leads nowhere. */
export function useOnward(): { href: string; isLast: boolean } | undefined {
  const settingUp = useContext(SettingUpContext)
  const here = stepAt(usePathname())
  if (!settingUp || !here) return undefined
  const after = stepTaken(settingUp, here)
  // What comes after this page first, then what was left out before it.
  const left = after
    ? SETUP_STEPS.slice(SETUP_STEPS.indexOf(here)).find((step) => !after.done.includes(step))
    : undefined
  const next = left ?? (after && nextStep(after))
  return { href: next ? STEP[next].href : '/', isLast: !next }
}

function Strip({ settingUp: { done } }: { settingUp: SettingUp }) {
  const here = stepAt(usePathname())
  return (
    <nav aria-label="Setting up your shop" className="border-b border-line bg-lichen px-5 py-2">
      <ol className="mx-auto flex max-w-5xl flex-wrap items-center gap-x-6 gap-y-1">
        {SETUP_STEPS.map((step, at) => (
          <li key={step}>
            <PatientLink
              href={STEP[step].href}
              aria-current={step === here ? 'step' : undefined}
              className={clsx(
                'flex min-h-11 items-center gap-2 underline-offset-4',
                step === here ? 'font-semibold' : 'underline',
              )}
            >
              <Mark step={at + 1} isDone={done.includes(step)} isHere={step === here} />
              {STEP[step].title}
              {done.includes(step) && <span className="sr-only">, saved</span>}
            </PatientLink>
          </li>
        ))}
      </ol>
    </nav>
  )
}

export function Mark({ step, isDone, isHere = false }: { step: number; isDone: boolean; isHere?: boolean }) {
  return (
    <span
      aria-hidden
      className={clsx(
        'grid size-7 place-items-center rounded-full border font-head text-sm font-semibold',
        isDone ? 'border-fern bg-fern text-on-fern' : isHere ? 'border-ink bg-sheet' : 'border-ink-soft/60',
      )}
    >
      {isDone ? '✓' : step}
    </span>
  )
}
