'use client'

import { type ReactNode, useState } from 'react'
import { EQUIPMENT_KINDS, type EquipmentKind, type TypedCrew, type TypedWeek } from '@/core/planning'
import type { LocalDay } from '@/core/time'
import { keepCrew } from '@/server/shop/crew-actions'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useAction } from '@/ui/use-action'
import { BayForm } from './bay-form'
import { ClosedDays } from './closed-days'
import { FeedList, type FeedRow } from './feed-list'
import { HolidayList } from './holiday-list'
import { PersonForm } from './person-form'
import { SaveBar } from './save-bar'
import { ShopCrumb } from './shop-crumb'
import { WeekForm } from './week-form'

type Props = {
  crew: TypedCrew
  /** Those whose public holidays are known. */
  countries: readonly { code: string; name: string }[]
  version: number
  feeds: readonly FeedRow[]
  today: LocalDay
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
export function CrewScreen({ crew, countries, version: readAt, feeds, today }: Props) {
  const [typed, setTyped] = useState(crew)
  const [version, setVersion] = useState(readAt)
  const saving = useAction()
  const { run, refusal, clear } = saving
  const set = (change: Partial<TypedCrew>) => {
    setTyped({ ...typed, ...change })
    clear()
  }
  const error = (path: string) => (refusal?.field === `crew.${path}` ? refusal.message : undefined)
  const keep = () => run(keepCrew, { version, crew: typed }, (kept) => setVersion(kept.version))
  const rooms = [...new Set(typed.places.flatMap(({ room }) => room?.trim() || []))]
  const swap = <T,>(list: readonly T[], before: T, next: T) =>
    list.map((each) => (each === before ? next : each))
  return (
    <div className="mx-auto max-w-5xl p-5">
      <ShopCrumb />
      <h1 className="mt-1 text-3xl">People, bays and hours</h1>
      <Part
        title="People"
        words="Their skills and shifts. A coating layer must be finished without a break, so it has to fit into one stretch of hours."
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
          Add a person
        </Button>
      </Part>
      <Part
        title="Bays"
        words="A car holds its bay day and night, until its work there is done and cured. Bays in the same room share its air: while a car is coated in one of them, no dust is raised in the others."
      >
        <ul className="space-y-3">
          {typed.places.map((bay, at) => (
            <li key={bay.id}>
              <BayForm
                bay={bay}
                rooms={rooms}
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
          Add a bay
        </Button>
      </Part>
      <Part
        title="Lifts, stands, lamps and the extractor"
        words="Where you say how many there are, no more of them are planned at one time. Leave a field empty where there are always enough."
      >
        <div className="flex flex-wrap gap-4">
          {EQUIPMENT_KINDS.map((kind) => (
            <Field key={kind} label={EQUIPMENT_NAME[kind]} error={error(`equipment.${kind}`)}>
              <NumberInput
                className="w-24"
                whole
                value={countText(typed.equipment[kind])}
                onChange={(text) => set({ equipment: withCount(typed.equipment, kind, text) })}
              />
            </Field>
          ))}
        </div>
      </Part>
      <Part
        title="The counter"
        words="When cars are dropped off and collected. Collections are promised within these hours."
      >
        <WeekForm
          week={typed.counter}
          error={(day) => error(`counter.${day}`)}
          onChange={(counter) => set({ counter })}
        />
      </Part>
      <Part title="Closed days" words="Nobody works here, and subcontractors do not come. Curing continues.">
        <ClosedDays closed={typed.closed} today={today} onChange={(closed) => set({ closed })} />
        <HolidayList countries={countries} closed={typed.closed} onChange={(closed) => set({ closed })} />
      </Part>
      <Part
        title="For other calendars"
        words="Make an address, and a calendar program can subscribe to it. Revoke it when a telephone is lost."
      >
        <FeedList feeds={feeds} />
      </Part>
      <SaveBar saving={saving} onSave={keep} saved="Saved. The current plan stays until you re-plan." />
    </div>
  )
}

const EQUIPMENT_NAME: Record<EquipmentKind, string> = {
  lift: 'Lifts',
  stands: 'Sets of stands',
  lamp: 'Inspection lamps',
  extractor: 'Extractors',
}

const countText = (count: number | undefined) =>
  count === undefined || Number.isNaN(count) ? '' : String(count)

function withCount(equipment: TypedCrew['equipment'], kind: EquipmentKind, text: string) {
  const { [kind]: _, ...others } = equipment
  return text.trim() === '' ? others : { ...others, [kind]: numberOf(text) }
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
