'use client'

import { useState } from 'react'
import {
  type Condition,
  DEFECT_KINDS,
  DEFECT_MODEL,
  type Defect,
  type DefectKind,
  type Severity,
} from '@/core/survey'
import { Button } from '@/ui/button'

type Props = { condition: Condition; readOnly: boolean; onChange: (defects: Defect[]) => void }

const SEVERITY = { 1: 'light', 2: 'moderate', 3: 'heavy' } as const

/** What mars a panel, what each defect costs in points, and a row to add another. */
export function DefectEditor({ condition, readOnly, onChange }: Props) {
  const defects = condition.costs.map(({ defect }) => defect)
  return (
    <section className="sheet p-4" aria-label="Defects">
      <header className="flex items-baseline justify-between">
        <h2 className="text-xl">Defects</h2>
        <p data-testid="panel-condition">
          <span className="font-head text-2xl font-bold">{condition.letter}</span>{' '}
          {condition.index.toFixed(0)}
        </p>
      </header>
      {defects.length === 0 && <p className="text-[15px] text-ink-soft">None written down on this panel.</p>}
      <ul>
        {condition.costs.map(({ defect, points }, index) => (
          <li key={index} className="flex min-h-11 items-center gap-2 border-b border-line text-[15px]">
            <span className="grow">
              {DEFECT_MODEL[defect.kind].name}, {SEVERITY[defect.severity]}, {defect.extentPercent} %
              {defect.catchesNail && <span className="text-copper">, catches the nail</span>}
            </span>
            <span className="text-ink-soft">−{points.toFixed(1)}</span>
            {!readOnly && (
              <button
                type="button"
                className="min-h-11 px-2 text-sm underline underline-offset-4"
                aria-label={`Remove ${DEFECT_MODEL[defect.kind].name}`}
                onClick={() => onChange(defects.filter((_, at) => at !== index))}
              >
                remove
              </button>
            )}
          </li>
        ))}
      </ul>
      {!readOnly && <NewDefect onAdd={(defect) => onChange([...defects, defect])} />}
    </section>
  )
}

function NewDefect({ onAdd }: { onAdd: (defect: Defect) => void }) {
  const [kind, setKind] = useState<DefectKind>('swirls')
  const [severity, setSeverity] = useState<Severity>(2)
  const [extent, setExtent] = useState('50')
  const [catchesNail, setCatchesNail] = useState(false)
  const [error, setError] = useState<string>()
  const add = () => {
    const extentPercent = Number(extent)
    if (!Number.isInteger(extentPercent) || extentPercent < 1 || extentPercent > 100)
      return setError('Give the extent in whole percent, 1 to 100.')
    setError(undefined)
    onAdd({ kind, severity, extentPercent, catchesNail })
  }
  return (
    <div className="mt-3 grid grid-cols-[1fr_auto_auto] items-end gap-2">
      <label className="text-sm">
        Kind
        <select
          className="field"
          value={kind}
          onChange={(event) => setKind(event.target.value as DefectKind)}
        >
          {DEFECT_KINDS.map((each) => (
            <option key={each} value={each}>
              {DEFECT_MODEL[each].name}
            </option>
          ))}
        </select>
      </label>
      <label className="text-sm">
        Severity
        <select
          className="field"
          value={severity}
          onChange={(event) => setSeverity(Number(event.target.value) as Severity)}
        >
          {([1, 2, 3] as const).map((each) => (
            <option key={each} value={each}>
              {SEVERITY[each]}
            </option>
          ))}
        </select>
      </label>
      <label className="w-20 text-sm">
        Extent, %
        <input
          className="field"
          inputMode="numeric"
          value={extent}
          aria-invalid={error ? true : undefined}
          onChange={(event) => setExtent(event.target.value)}
        />
      </label>
      <label className="col-span-2 flex min-h-11 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-5 accent-fern"
          checked={catchesNail}
          onChange={(event) => setCatchesNail(event.target.checked)}
        />
        Catches the fingernail
      </label>
      <Button look="outline" onClick={add}>
        Add
      </Button>
      {error && (
        <p role="alert" className="col-span-3 text-sm font-semibold text-copper">
          {error}
        </p>
      )}
    </div>
  )
}
