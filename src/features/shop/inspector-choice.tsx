import { INSPECTOR_RULES, type InspectorRule } from '@/core/handover/inspector-rule'
import { type PersonId, toPersonId } from '@/core/ids'
import type { Inspector } from '@/core/shop'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'

const INSPECTOR_NAME: Record<InspectorRule, string> = {
  tomorrow: 'It waits until tomorrow, for rested eyes',
  manager: 'The manager looks',
}

/** Who inspects a car at whose paint everybody has worked. */
export function InspectorChoice({
  inspector,
  people,
  error,
  onChange,
}: {
  inspector: Inspector
  people: readonly { id: PersonId; name: string }[]
  error: string | undefined
  onChange: (inspector: Inspector) => void
}) {
  const managed = (manager: PersonId | undefined): Inspector => ({
    rule: 'manager',
    ...(manager ? { manager } : {}),
  })
  return (
    <>
      <Choice
        label="Everybody has worked on it"
        options={INSPECTOR_RULES.map((value) => ({ value, name: INSPECTOR_NAME[value] }))}
        value={inspector.rule}
        onChange={(rule) => onChange(rule === 'manager' ? managed(people[0]?.id) : { rule })}
      />
      {inspector.rule === 'manager' && (
        <Field label="Who that is" error={error}>
          <select
            className="field max-w-xs"
            value={inspector.manager}
            onChange={({ target }) => onChange(managed(toPersonId(target.value)))}
          >
            {people.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </Field>
      )}
    </>
  )
}
