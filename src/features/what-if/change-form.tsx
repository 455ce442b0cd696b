'use client'

import type { EquipmentKind } from '@/core/planning'
import type { Setup } from '@/core/shop'
import { MOST_SHIFTED, type ShopChange, type ShopChangeKind, setupWith } from '@/core/what-if'
import { MORE_EQUIPMENT } from '@/text/en/what-if'
import { duration } from '@/text/formats'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'

const KIND_NAME: Record<ShopChangeKind, string> = {
  person: 'One more person',
  saturdays: 'Saturdays',
  hours: 'Other hours',
  bay: 'One more bay',
  equipment: 'More equipment',
  dropped: 'A package fewer',
}

type Named = { id: string; name: string }

/** Whoever, or whatever, a change of each kind can be about: those with which it has a meaning. */
function aboutWhich(setup: Setup): Record<ShopChangeKind, readonly Named[]> {
  const { people } = setup
  return {
    person: people,
    saturdays: people.filter(({ id }) => setupWith(setup, { kind: 'saturdays', person: id })),
    hours: people.filter(({ calendar }) => 'weekly' in setup.calendars[calendar]!),
    bay: setup.places,
    equipment: (Object.keys(setup.equipment) as EquipmentKind[]).map((id) => ({
      id,
      name: MORE_EQUIPMENT[id],
    })),
    dropped: setup.packages.length > 1 ? setup.packages.map(({ key, name }) => ({ id: key, name })) : [],
  }
}

const STEP = 60
const SHIFTS = Array.from({ length: (2 * MOST_SHIFTED) / STEP + 1 }, (_, at) => at * STEP - MOST_SHIFTED)

/** What is typed of a change; all of it is kept while one kind is tried after another. */
export type TypedChange = {
  kind: ShopChangeKind
  about: Record<ShopChangeKind, string>
  begins: number
  leaves: number
}

export function firstTyped(setup: Setup): TypedChange {
  const which = aboutWhich(setup)
  const first = (kind: ShopChangeKind) => which[kind][0]?.id ?? ''
  const coats = setup.people.find(({ skills }) => skills.includes('coat'))
  return {
    kind: 'person',
    about: {
      person: coats?.id ?? first('person'),
      saturdays: first('saturdays'),
      hours: first('hours'),
      bay: setup.places.find(({ kinds }) => kinds.includes('studio'))?.id ?? first('bay'),
      equipment: first('equipment'),
      dropped: first('dropped'),
    },
    begins: -120,
    leaves: -120,
  }
}

/** The change as it is typed; nothing where it would change nothing. */
export function changeOf(setup: Setup, { kind, about, begins, leaves }: TypedChange): ShopChange | undefined {
  const person = setup.people.find(({ id }) => id === about[kind])?.id
  const changes = (): ShopChange | undefined => {
    switch (kind) {
      case 'person':
        return person && { kind, like: person }
      case 'saturdays':
        return person && { kind, person }
      case 'hours':
        return person && { kind, person, begins, leaves }
      case 'bay': {
        const bay = setup.places.find(({ id }) => id === about.bay)?.id
        return bay && { kind, like: bay }
      }
      case 'equipment':
        return about.equipment ? { kind, what: about.equipment as EquipmentKind } : undefined
      case 'dropped':
        return { kind, packageKey: about.dropped }
    }
  }
  const change = changes()
  return change && setupWith(setup, change) ? change : undefined
}

const ABOUT_LABEL: Record<ShopChangeKind, string> = {
  person: 'With the skills and hours of',
  saturdays: 'Who comes in on Saturdays as well',
  hours: 'Whose hours',
  bay: 'A bay like',
  equipment: 'Of what',
  dropped: 'No longer sold',
}

const NONE: Partial<Record<ShopChangeKind, string>> = {
  saturdays: 'Everybody is here on Saturdays already.',
  equipment:
    'Nothing is counted in this shop, so there is always enough. Under “People, bays and hours” you say how many there are.',
  dropped: 'There is only one package.',
}

type Props = { setup: Setup; typed: TypedChange; onChange: (typed: TypedChange) => void }

/** What is to be changed: a kind, and whom or what it is about. */
export function ChangeForm({ setup, typed, onChange }: Props) {
  const region = useRegion()
  const { kind, about } = typed
  const which = aboutWhich(setup)[kind]
  return (
    <div className="space-y-4">
      <Choice
        label="What would you change?"
        options={(Object.keys(KIND_NAME) as ShopChangeKind[]).map((value) => ({
          value,
          name: KIND_NAME[value],
        }))}
        value={kind}
        onChange={(next) => onChange({ ...typed, kind: next })}
      />
      {which.length === 0 ? (
        <p>{NONE[kind]}</p>
      ) : (
        <Field label={ABOUT_LABEL[kind]}>
          <select
            className="field"
            value={about[kind]}
            onChange={({ target }) => onChange({ ...typed, about: { ...about, [kind]: target.value } })}
          >
            {which.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
      )}
      {kind === 'hours' && which.length > 0 && (
        <div className="grid grid-cols-2 gap-3">
          {(['begins', 'leaves'] as const).map((end) => (
            <Field key={end} label={end === 'begins' ? 'Begins' : 'Leaves'}>
              <select
                className="field"
                value={typed[end]}
                onChange={({ target }) => onChange({ ...typed, [end]: Number(target.value) })}
              >
                {SHIFTS.map((minutes) => (
                  <option key={minutes} value={minutes}>
                    {minutes === 0
                      ? 'as now'
                      : `${duration(region, Math.abs(minutes))} ${minutes < 0 ? 'earlier' : 'later'}`}
                  </option>
                ))}
              </select>
            </Field>
          ))}
        </div>
      )}
    </div>
  )
}
