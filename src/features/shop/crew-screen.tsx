'use client'

import { type ReactNode, useState, useTransition } from 'react'
import { BAY_KINDS, type BayKind, SKILLS, type Skill, type TypedCrew, type TypedWeek, WEEK } from '@/core/job'
import type { LocalDay, Weekday } from '@/core/time'
import { isLocalDay } from '@/core/time'
import { type CrewAnswer, keepCrew } from '@/server/actions/crew'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { PatientLink } from '@/ui/patient-link'
import { dayText } from '@/ui/when'

type Props = { crew: TypedCrew; version: number; today: LocalDay }
type Person = TypedCrew['people'][number]
type Bay = TypedCrew['places'][number]

const SKILL_LABEL: Record<Skill, string> = { prep: 'Washes and prepares', correct: 'Corrects', coat: 'Coats' }
const KIND_LABEL: Record<BayKind, string> = {
  wash: 'For washing',
  indoor: 'Under a roof',
  studio: 'For paint work',
}
const DAY_LABEL: Record<Weekday, string> = {
  mon: 'Monday',
  tue: 'Tuesday',
  wed: 'Wednesday',
  thu: 'Thursday',
  fri: 'Friday',
  sat: 'Saturday',
  sun: 'Sunday',
}
const OFF: TypedWeek = { mon: '', tue: '', wed: '', thu: '', fri: '', sat: '', sun: '' }

/** An id that no other of the list has. */
function freshId(stem: string, list: readonly { id: string }[]): string {
  const ids = new Set(list.map(({ id }) => id))
  let count = ids.size + 1
  while (ids.has(`${stem}-${count}`)) count++
  return `${stem}-${count}`
}

/** Who works here and when, which bays there are, when the counter is open, and which days nobody is here. */
export function CrewScreen({ crew, version: readAt, today }: Props) {
  const [typed, setTyped] = useState(crew)
  const [version, setVersion] = useState(readAt)
  const [answer, setAnswer] = useState<CrewAnswer>()
  const [pending, startTransition] = useTransition()
  const set = (change: Partial<TypedCrew>) => {
    setTyped({ ...typed, ...change })
    setAnswer(undefined)
  }
  const refused = answer?.kind === 'refused' ? answer : undefined
  const error = (path: string) => (refused?.path === path ? refused.message : undefined)
  const fields = refused && /\.|^counter|^closed/.test(refused.path)
  const keep = () =>
    startTransition(async () => {
      const next = await keepCrew(version, typed).catch(
        (): CrewAnswer => ({
          kind: 'refused',
          message: 'The server does not answer. What you typed stays; try again.',
          path: '',
        }),
      )
      setAnswer(next)
      if (next.kind === 'kept') setVersion(next.version)
    })
  const swap = <T,>(list: readonly T[], before: T, next: T) =>
    list.map((each) => (each === before ? next : each))
  return (
    <div className="mx-auto max-w-5xl p-5">
      <p>
        <PatientLink className="underline underline-offset-4" href="/shop">
          How this shop works
        </PatientLink>
      </p>
      <h1 className="mt-1 text-3xl">People, bays and hours</h1>
      <Part
        title="People"
        words="Their skills and shifts. A layer must fall into one stretch of hours; it does not stop for lunch."
      >
        <ul className="space-y-4">
          {typed.people.map((person, at) => (
            <li key={person.id}>
              <PersonForm
                person={person}
                isNew={!crew.people.some(({ id }) => id === person.id)}
                error={(field) => error(`people.${at}.${field}`)}
                onChange={(next) => set({ people: swap(typed.people, person, next) })}
                onRemove={() => set({ people: typed.people.filter((each) => each !== person) })}
              />
            </li>
          ))}
        </ul>
        <Button
          look="outline"
          onClick={() =>
            set({
              people: [
                ...typed.people,
                { id: freshId('person', typed.people), name: '', skills: [], week: OFF, days: [] },
              ],
            })
          }
        >
          Somebody new
        </Button>
      </Part>
      <Part title="Bays" words="A car holds its bay day and night, until its work there is done and cured.">
        <ul className="space-y-3">
          {typed.places.map((bay, at) => (
            <li key={bay.id}>
              <BayForm
                bay={bay}
                isNew={!crew.places.some(({ id }) => id === bay.id)}
                error={(field) => error(`places.${at}.${field}`)}
                onChange={(next) => set({ places: swap(typed.places, bay, next) })}
                onRemove={() => set({ places: typed.places.filter((each) => each !== bay) })}
              />
            </li>
          ))}
        </ul>
        <Button
          look="outline"
          onClick={() =>
            set({
              places: [
                ...typed.places,
                { id: freshId('bay', typed.places), name: '', kinds: [], capacity: 1 },
              ],
            })
          }
        >
          A new bay
        </Button>
      </Part>
      <Part
        title="The counter"
        words="When cars are brought and fetched. Collections are promised within these hours."
      >
        <WeekForm
          week={typed.counter}
          error={(day) => error(`counter.${day}`)}
          onChange={(counter) => set({ counter })}
        />
      </Part>
      <Part
        title="Closed days"
        words="Nobody is here, and nobody called in comes. What cures goes on curing."
      >
        <Closed closed={typed.closed} today={today} onChange={(closed) => set({ closed })} />
      </Part>
      <Part
        title="For other calendars"
        words="Addresses any calendar program on this network can subscribe to."
      >
        <ul className="grid gap-x-6 sm:grid-cols-2">
          {[
            { name: 'Who comes and goes', href: '/calendars/shop/all.ics' },
            ...crew.people.map(({ id, name }) => ({ name, href: `/calendars/people/${id}.ics` })),
            ...crew.places.map(({ id, name }) => ({ name, href: `/calendars/bays/${id}.ics` })),
          ].map(({ name, href }) => (
            <li key={href}>
              <a className="inline-flex min-h-11 items-center underline underline-offset-4" href={href}>
                {name}
              </a>
            </li>
          ))}
        </ul>
      </Part>
      <div className="sticky bottom-0 flex flex-wrap items-center gap-4 border-t border-line bg-paper py-3">
        <Button disabled={pending} onClick={keep}>
          {pending ? 'Keeping it…' : 'Keep'}
        </Button>
        {refused && (
          <p role="alert" className="max-w-prose text-copper">
            {fields ? 'Something is not right yet: ' : ''}
            {refused.message}
          </p>
        )}
        {answer?.kind === 'kept' && (
          <p role="status" className="text-fern">
            Kept. The plan that stands stays; plan anew to use the new hours.
          </p>
        )}
      </div>
    </div>
  )
}

function Part({ title, words, children }: { title: string; words: string; children: ReactNode }) {
  return (
    <section className="mt-6 space-y-3">
      <div>
        <h2 className="text-xl">{title}</h2>
        <p className="max-w-prose text-ink-soft">{words}</p>
      </div>
      {children}
    </section>
  )
}

type FormProps = { isNew: boolean; error: (field: string) => string | undefined; onRemove: () => void }

function PersonForm({
  person,
  isNew,
  error,
  onChange,
  onRemove,
}: FormProps & { person: Person; onChange: (person: Person) => void }) {
  const set = (change: Partial<Person>) => onChange({ ...person, ...change })
  const hours = WEEK.filter((day) => person.week[day] !== '').length
  return (
    <fieldset className="sheet p-4">
      <legend className="sr-only">{person.name || 'Somebody new'}</legend>
      <div className="flex flex-wrap items-end gap-4">
        <Field label="Who" error={error('name')}>
          <input
            className="field"
            autoComplete="off"
            value={person.name}
            onChange={({ target }) => set({ name: target.value })}
          />
        </Field>
        <Checks
          label="What they do"
          options={SKILLS.map((skill) => ({ value: skill, name: SKILL_LABEL[skill] }))}
          chosen={person.skills}
          error={error('skills')}
          onChange={(skills) => set({ skills })}
        />
        <Button look="quiet" className="ml-auto" onClick={onRemove}>
          No longer here
        </Button>
      </div>
      <details className="mt-3" open={isNew || WEEK.some((day) => error(`week.${day}`)) || undefined}>
        <summary className="min-h-11 cursor-pointer content-center font-head font-semibold">
          Shifts: {hours === 0 ? 'none yet' : `${hours} days a week`}
          {person.days.length > 0 ? `, ${person.days.length} days otherwise` : ''}
        </summary>
        <WeekForm
          week={person.week}
          error={(day) => error(`week.${day}`)}
          onChange={(week) => set({ week })}
        />
        <Otherwise
          days={person.days}
          error={(at, field) => error(`days.${at}.${field}`)}
          onChange={(days) => set({ days })}
        />
      </details>
    </fieldset>
  )
}

/** Single days with other hours than usual, or none. */
function Otherwise({
  days,
  error,
  onChange,
}: {
  days: Person['days']
  error: (at: number, field: 'day' | 'hours') => string | undefined
  onChange: (days: Person['days']) => void
}) {
  const change = (at: number, next: Partial<Person['days'][number]>) =>
    onChange(days.map((each, index) => (index === at ? { ...each, ...next } : each)))
  return (
    <div className="mt-3 space-y-2">
      {days.map(({ day, hours }, at) => (
        <div key={at} className="flex flex-wrap items-end gap-3">
          <Field label="On this day" error={error(at, 'day')}>
            <input
              type="date"
              className="field"
              value={day}
              onChange={({ target }) => change(at, { day: target.value })}
            />
          </Field>
          <Field label="these hours, or nothing" error={error(at, 'hours')}>
            <input
              className="field"
              autoComplete="off"
              value={hours}
              onChange={({ target }) => change(at, { hours: target.value })}
            />
          </Field>
          <Button look="quiet" onClick={() => onChange(days.filter((_, index) => index !== at))}>
            As usual again
          </Button>
        </div>
      ))}
      <Button look="outline" onClick={() => onChange([...days, { day: '', hours: '' }])}>
        A day otherwise
      </Button>
    </div>
  )
}

function WeekForm({
  week,
  error,
  onChange,
}: {
  week: TypedWeek
  error: (day: Weekday) => string | undefined
  onChange: (week: TypedWeek) => void
}) {
  return (
    <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
      {WEEK.map((day) => (
        <Field key={day} label={DAY_LABEL[day]} error={error(day)}>
          <input
            className="field tabular-nums"
            autoComplete="off"
            placeholder="off"
            value={week[day]}
            onChange={({ target }) => onChange({ ...week, [day]: target.value })}
          />
        </Field>
      ))}
    </div>
  )
}

function BayForm({
  bay,
  isNew,
  error,
  onChange,
  onRemove,
}: FormProps & { bay: Bay; onChange: (bay: Bay) => void }) {
  const set = (change: Partial<Bay>) => onChange({ ...bay, ...change })
  return (
    <fieldset className="sheet flex flex-wrap items-end gap-4 p-4">
      <legend className="sr-only">{bay.name || 'A new bay'}</legend>
      <Field label="Bay" error={error('name')}>
        <input
          className="field"
          autoComplete="off"
          // biome-ignore lint/a11y/noAutofocus: it was asked for just now.
          autoFocus={isNew}
          value={bay.name}
          onChange={({ target }) => set({ name: target.value })}
        />
      </Field>
      <Checks
        label="What may be done in it"
        options={BAY_KINDS.map((kind) => ({ value: kind, name: KIND_LABEL[kind] }))}
        chosen={bay.kinds}
        error={error('kinds')}
        onChange={(kinds) => set({ kinds })}
      />
      <Field label="Cars" error={error('capacity')}>
        <input
          className="field w-20"
          inputMode="numeric"
          autoComplete="off"
          value={Number.isNaN(bay.capacity) ? '' : bay.capacity}
          onChange={({ target }) =>
            set({ capacity: target.value === '' ? Number.NaN : Number(target.value) })
          }
        />
      </Field>
      <Button look="quiet" className="ml-auto" onClick={onRemove}>
        No longer there
      </Button>
    </fieldset>
  )
}

function Checks<T extends string>({
  label,
  options,
  chosen,
  error,
  onChange,
}: {
  label: string
  options: readonly { value: T; name: string }[]
  chosen: readonly T[]
  error: string | undefined
  onChange: (chosen: T[]) => void
}) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: it stands inside a fieldset of its own.
    <div role="group" aria-label={label}>
      <p className="mb-1 font-head text-sm font-semibold">{label}</p>
      <div className="flex flex-wrap gap-1.5">
        {options.map(({ value, name }) => (
          <label
            key={value}
            className="flex min-h-11 items-center gap-2 rounded border border-ink-soft/45 bg-sheet px-3 has-checked:border-fern has-checked:bg-lichen"
          >
            <input
              type="checkbox"
              className="size-5 accent-fern"
              checked={chosen.includes(value)}
              onChange={({ target }) =>
                onChange(target.checked ? [...chosen, value] : chosen.filter((each) => each !== value))
              }
            />
            {name}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="mt-1 text-sm font-semibold text-copper">
          {error}
        </p>
      )}
    </div>
  )
}

function Closed({
  closed,
  today,
  onChange,
}: {
  closed: readonly string[]
  today: LocalDay
  onChange: (closed: string[]) => void
}) {
  const [day, setDay] = useState('')
  const shown = closed.filter((each) => each >= today)
  return (
    <div className="space-y-2">
      <ul className="flex flex-wrap gap-2">
        {shown.map((each) => (
          <li key={each} className="flex items-center gap-1 rounded bg-lichen pl-3">
            {isLocalDay(each) ? dayText(each) : each}
            <Button
              look="quiet"
              aria-label={`Open again on ${isLocalDay(each) ? dayText(each) : each}`}
              onClick={() => onChange(closed.filter((other) => other !== each))}
            >
              Open again
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Nobody is here on">
          <input
            type="date"
            className="field"
            min={today}
            value={day}
            onChange={({ target }) => setDay(target.value)}
          />
        </Field>
        <Button
          look="outline"
          disabled={!isLocalDay(day) || closed.includes(day)}
          onClick={() => {
            onChange([...closed, day].toSorted())
            setDay('')
          }}
        >
          Close on that day
        </Button>
      </div>
    </div>
  )
}
