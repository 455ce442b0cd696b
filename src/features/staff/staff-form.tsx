'use client'

import { type FormEvent, useState } from 'react'
import { type AccountId, type PersonId, toPersonId } from '@/core/ids'
import { STAFF_ROLES, type StaffRole } from '@/core/staff'
import { closeStaff, keepStaff } from '@/server/staff/staff-actions'
import { ROLE_NAME, ROLE_WORDS } from '@/text/en/staff'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { Refused } from '@/ui/refused'
import { useAction } from '@/ui/use-action'
import { SecretInput } from './secret-input'

export type StaffMember = {
  id: AccountId
  name: string
  role: StaffRole
  person?: PersonId
  hasPassphrase: boolean
  hasPin: boolean
}

type Props = {
  member?: StaffMember
  crew: readonly { id: PersonId; name: string }[]
  onDone: () => void
}

const kept = (has: boolean | undefined, what: string) =>
  has ? `Empty: the ${what} stays as it is.` : undefined

/** One person who signs in: name, what they are here, and what they prove it by. */
export function StaffForm({ member, crew, onDone }: Props) {
  const [name, setName] = useState(member?.name ?? '')
  const [role, setRole] = useState<StaffRole>(member?.role ?? 'technician')
  const [person, setPerson] = useState<string>(member?.person ?? '')
  const [passphrase, setPassphrase] = useState('')
  const [pin, setPin] = useState('')
  const keeping = useAction()
  const closing = useAction()
  const { run, pending, refusal, errorAt, clear } = keeping
  const typed = (set: (text: string) => void) => (event: { target: { value: string } }) => {
    set(event.target.value)
    clear()
  }
  const submit = (event: FormEvent) => {
    event.preventDefault()
    run(
      keepStaff,
      {
        ...(member ? { account: member.id } : {}),
        name,
        role,
        ...(person ? { person: toPersonId(person) } : {}),
        passphrase,
        pin,
      },
      onDone,
    )
  }
  const fields = ['name', 'role', 'person', 'passphrase', 'pin']
  return (
    <form onSubmit={submit} className="sheet grid gap-4 p-4 sm:grid-cols-2">
      <Field label="Name" {...errorAt('name')}>
        <input className="field" maxLength={60} autoComplete="off" value={name} onChange={typed(setName)} />
      </Field>
      <Field label="What they are here" hint={ROLE_WORDS[role]} {...errorAt('role')}>
        <select
          className="field"
          value={role}
          onChange={(event) => {
            setRole(STAFF_ROLES.find((each) => each === event.target.value) ?? role)
            clear()
          }}
        >
          {STAFF_ROLES.map((each) => (
            <option key={each} value={each}>
              {ROLE_NAME[each]}
            </option>
          ))}
        </select>
      </Field>
      <Field
        label="Of the crew"
        hint="What they do at the car is written under this name."
        {...errorAt('person')}
      >
        <select className="field" value={person} onChange={typed(setPerson)}>
          <option value="">Nobody</option>
          {crew.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </select>
      </Field>
      <Field
        label="PIN"
        hint={kept(member?.hasPin, 'PIN') ?? '4 to 8 digits; it works on the shop’s own devices only.'}
        {...errorAt('pin')}
      >
        <input
          className="field"
          inputMode="numeric"
          type="password"
          autoComplete="new-password"
          maxLength={8}
          value={pin}
          onChange={typed(setPin)}
        />
      </Field>
      <div className="sm:col-span-2">
        <Field
          label="Passphrase"
          hint={
            kept(member?.hasPassphrase, 'passphrase') ??
            'Four or five words in a row; it works on any device.'
          }
          {...errorAt('passphrase')}
        >
          <SecretInput autoComplete="new-password" value={passphrase} onChange={typed(setPassphrase)} />
        </Field>
      </div>
      <div className="sm:col-span-2">
        <Refused refusal={refusal && fields.includes(refusal.field) ? undefined : refusal} />
        <Refused refusal={closing.refusal} />
      </div>
      <div className="flex flex-wrap gap-2 sm:col-span-2">
        <Button type="submit" disabled={pending}>
          {pending ? 'Saving …' : 'Save'}
        </Button>
        <Button look="outline" onClick={onDone}>
          Cancel
        </Button>
        {member && (
          <Button
            look="quiet"
            className="ml-auto"
            disabled={closing.pending}
            onClick={() => closing.run(closeStaff, { account: member.id }, onDone)}
          >
            {member.name} no longer works here
          </Button>
        )}
      </div>
    </form>
  )
}
