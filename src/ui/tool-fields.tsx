'use client'

import { LIQUIDS, type Liquid, MACHINES, type Machine, PADS, type Pad } from '@/core/correction'
import { sentence } from '@/text/en/sentence'
import { workWords } from '@/text/work'
import { Field } from './field'
import { useRegion } from './region'

const KINDS = { machine: MACHINES, pad: PADS, liquid: LIQUIDS } as const
const LABEL = { machine: 'Machine', pad: 'Pad', liquid: 'Compound or polish' } as const

export type Tools = { machine: Machine; pad: Pad; liquid: Liquid }

/** What is on the machine: three fields of a grid of three columns. */
export function ToolFields({
  tools,
  error,
  onChange,
}: {
  tools: Tools
  error: (field: string) => string | undefined
  onChange: (changed: Partial<Tools>) => void
}) {
  const words = workWords(useRegion())
  return (['machine', 'pad', 'liquid'] as const).map((tool) => (
    <Field key={tool} label={LABEL[tool]} error={error(tool)}>
      <select
        className="field"
        value={tools[tool]}
        onChange={(event) => onChange({ [tool]: event.target.value })}
      >
        {KINDS[tool].map((kind) => (
          <option key={kind} value={kind}>
            {sentence((words[tool] as Record<string, string>)[kind]!)}
          </option>
        ))}
      </select>
    </Field>
  ))
}
