'use client'

import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { type ReactNode, useState } from 'react'
import type { PersonId } from '@/core/ids'
import { DUTIES, STAFF_ROLES, type StaffRules } from '@/core/staff'
import { DUTY_WORDS, ROLE_NAME } from '@/text/en/staff'
import { Button } from '@/ui/button'
import { ShopCrumb } from '../shop/shop-crumb'
import { RulesForm } from './rules-form'
import { SessionList, type SessionRow } from './session-list'
import { SetUpForm } from './set-up-form'
import { StaffForm, type StaffMember } from './staff-form'

type Props = {
  isOpen: boolean
  members: readonly StaffMember[]
  crew: readonly { id: PersonId; name: string }[]
  sessions: readonly SessionRow[]
  /** Who was wrong how often, in words. */
  wrong: readonly string[]
  rules: StaffRules
}

/** Who signs in and as what, on which devices, and who may what. */
export function StaffScreen({ isOpen, members, crew, sessions, wrong, rules }: Props) {
  const router = useRouter()
  const [edited, setEdited] = useState<string>()
  const finish = () => {
    setEdited(undefined)
    router.refresh()
  }
  if (isOpen)
    return (
      <div className="mx-auto max-w-5xl p-5">
        <ShopCrumb />
        <h1 className="mt-1 text-3xl">Who signs in</h1>
        <p className="mt-3 mb-6 max-w-2xl">
          Nobody signs in yet: whoever is at this machine is the owner, and no other machine can reach the
          shop. Once an owner is set up, everybody signs in, and tablets may join.
        </p>
        <SetUpForm />
        <WhoMayWhat />
      </div>
    )
  return (
    <div className="mx-auto max-w-5xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">Who signs in</h1>
      {wrong.length > 0 && (
        <section role="status" className="mt-4 border-l-4 border-copper bg-copper/10 p-4">
          <h2 className="text-lg">Wrong passphrases and PINs in the last day</h2>
          <ul className="mt-1">
            {wrong.map((said) => (
              <li key={said}>{said}</li>
            ))}
          </ul>
        </section>
      )}
      <Part title="People">
        <ul className="space-y-2">
          {members.map((member) =>
            edited === member.id ? (
              <li key={member.id}>
                <StaffForm member={member} crew={crew} onDone={finish} />
              </li>
            ) : (
              <li key={member.id} className="flex flex-wrap items-center gap-x-4 border-b border-line py-1">
                <span className="min-w-40 font-semibold">{member.name}</span>
                <span className="min-w-28">{ROLE_NAME[member.role]}</span>
                <span className="text-sm text-ink-soft">{provedBy(member)}</span>
                <Button look="quiet" className="ml-auto" onClick={() => setEdited(member.id)}>
                  Change<span className="sr-only"> {member.name}</span>
                </Button>
              </li>
            ),
          )}
        </ul>
        {edited === 'new' ? (
          <StaffForm crew={crew} onDone={finish} />
        ) : (
          <Button look="outline" onClick={() => setEdited('new')}>
            Add somebody
          </Button>
        )}
      </Part>
      <Part title="Signed in now">
        <SessionList sessions={sessions} />
      </Part>
      <Part title="Rules">
        <RulesForm rules={rules} />
      </Part>
      <WhoMayWhat />
    </div>
  )
}

const provedBy = ({ hasPassphrase, hasPin }: StaffMember) =>
  hasPassphrase && hasPin
    ? 'passphrase and PIN'
    : hasPassphrase
      ? 'passphrase'
      : hasPin
        ? 'PIN'
        : 'cannot sign in yet: set a passphrase or a PIN'

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mt-8 space-y-3">
      <h2 className="text-xl">{title}</h2>
      {children}
    </section>
  )
}

/** Made from the duties themselves: what is true of the shop is what stands here. */
function WhoMayWhat() {
  const duties = Object.keys(DUTY_WORDS) as (keyof typeof DUTY_WORDS)[]
  return (
    <Part title="Who may what">
      <table className="w-full text-left">
        <thead>
          <tr className="border-b-2 border-ink align-bottom">
            <th scope="col" className="py-1 pr-4 font-head">
              May
            </th>
            {STAFF_ROLES.map((role) => (
              <th key={role} scope="col" className="px-2 py-1 text-center font-head">
                {ROLE_NAME[role]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {duties.map((duty) => (
            <tr key={duty} className="border-b border-line">
              <th scope="row" className="py-2 pr-4 font-normal">
                {DUTY_WORDS[duty]}
              </th>
              {STAFF_ROLES.map((role) => {
                const roles: readonly string[] = DUTIES[duty]
                const may = roles.includes(role)
                return (
                  <td key={role} className="px-2 text-center">
                    <span aria-hidden className={may ? 'text-fern' : 'text-ink-soft/50'}>
                      {may ? '●' : '–'}
                    </span>
                    <span className="sr-only">{may ? 'yes' : 'no'}</span>
                  </td>
                )
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-3 max-w-2xl text-ink-soft">
        A subcontractor does not sign in: an address of their own, made under{' '}
        <Link href="/shop/crew" className="underline underline-offset-4">
          People, bays and hours
        </Link>
        , shows what is planned for them, and nothing else.
      </p>
    </Part>
  )
}
