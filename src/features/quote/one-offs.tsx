import { SKILLS, type Skill } from '@/core/offer'
import { title } from '@/text/title'
import { numberOf } from '@/text/typed'
import { workWords } from '@/text/work'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import type { TypedOneOff } from './typed-one-off'

type Props = {
  lines: readonly TypedOneOff[]
  /** What is wrong with a field of a line, by its place. */
  error: (at: number, field: string) => string | undefined
  onChange: (lines: readonly TypedOneOff[]) => void
}

/** Lines of this quote alone, each with its price, and with hours where somebody here works on it. */
export function OneOffs({ lines, error, onChange }: Props) {
  const region = useRegion()
  const set = (at: number, change: Partial<TypedOneOff>) =>
    onChange(lines.map((line, each) => (each === at ? { ...line, ...change } : line)))
  return (
    <fieldset>
      <legend className="mb-1 font-head text-sm font-semibold">Only on this quote</legend>
      <ul className="space-y-4">
        {lines.map((line, at) => (
          <li key={at} className="space-y-2 border-l-4 border-fern-soft pl-3">
            <Field label="What it is" error={error(at, 'words')}>
              <input
                className="field"
                value={line.words}
                onChange={(event) => set(at, { words: event.target.value })}
              />
            </Field>
            <div className="grid grid-cols-2 gap-3">
              <Field label={`Price, ${region.currency}`} error={error(at, 'cents')}>
                <NumberInput value={line.amount} onChange={(amount) => set(at, { amount })} />
              </Field>
              <Field label="Takes, h" error={error(at, 'minutes')}>
                <NumberInput value={line.hours} onChange={(hours) => set(at, { hours })} />
              </Field>
            </div>
            <div className="flex items-end justify-between gap-3">
              {numberOf(line.hours) > 0 ? (
                <Field label="Who does it">
                  <select
                    className="field"
                    value={line.skill}
                    onChange={(event) => set(at, { skill: event.target.value as Skill })}
                  >
                    {SKILLS.map((skill) => (
                      <option key={skill} value={skill}>
                        {title(region, workWords(region).skill[skill])}
                      </option>
                    ))}
                  </select>
                </Field>
              ) : (
                <span />
              )}
              <Button look="quiet" onClick={() => onChange(lines.toSpliced(at, 1))}>
                Remove
              </Button>
            </div>
          </li>
        ))}
      </ul>
      <Button
        look="outline"
        className="mt-2"
        onClick={() => onChange([...lines, { words: '', amount: '', hours: '0', skill: 'prep' }])}
      >
        Add a line
      </Button>
    </fieldset>
  )
}
