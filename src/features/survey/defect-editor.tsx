'use client'

import clsx from 'clsx'
import { type ReactNode, useState } from 'react'
import {
  DEFECT_KINDS,
  type DefectKind,
  type NotedDefect,
  type PanelJudgement,
  type Severity,
  wholeIndex,
} from '@/core/survey'
import type { Panel } from '@/core/vehicle'
import { staffPanel, staffPanelName } from '@/text/en/staff-panels'
import { prospectText, SEVERITY_NAME, VERDICT_NAME } from '@/text/en/survey'
import { number, percent } from '@/text/formats'
import { markName, markTitle } from '@/text/marks'
import { numberOf } from '@/text/typed'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { NumberInput } from '@/ui/number-input'
import { useRegion } from '@/ui/region'
import { intoView, NoteField, RemoveButton, SeverityChoice } from './defect-parts'

type Props = {
  title: string
  judged: PanelJudgement
  defects: readonly NotedDefect[]
  readOnly: boolean
  /** Whether this inspection has been done on the panel, where it is not the first. */
  done?: boolean
  /** How many marks of the panel stand before these: those of the first inspection. */
  after?: number
  /** What is said where nothing was found, and how that is said. */
  words?: { nothing: string; nothingFound: string }
  /** Where on the drawing the panel was last touched. */
  at?: { x: number; y: number } | undefined
  onChange: (defects: NotedDefect[]) => void
  /** The other panels, and how one mark is put on several of them at once. */
  others?: readonly Panel[]
  onAlso?: (defect: NotedDefect, panels: readonly string[]) => void
  /** Where it can be said that a panel was inspected and nothing was found. */
  onInspected?: (inspected: boolean) => void
  children?: ReactNode
}

const NOTHING = { nothing: 'Inspected: no defects.', nothingFound: 'Inspected: no defects' }

/** What mars a panel, what each defect costs in points, what can be done about it, and how to add another. */
export function DefectEditor({
  title,
  judged,
  defects,
  readOnly,
  done,
  after = 0,
  words = NOTHING,
  at,
  onChange,
  others = [],
  onAlso,
  onInspected,
  children,
}: Props) {
  const region = useRegion()
  const { condition, prospects, panel } = judged
  const inspected = done ?? judged.inspected
  return (
    <section className="sheet p-4" aria-label={`Defects on ${staffPanelName(region, panel.id)}`}>
      <header className="flex items-baseline justify-between gap-3">
        <h2 className="text-xl">{title}</h2>
        <p data-testid="panel-condition">
          {inspected ? (
            <>
              <span className="font-head text-2xl font-bold">{condition.letter}</span>{' '}
              {wholeIndex(condition.index)}
            </>
          ) : (
            <span className="text-ink-soft">Not inspected yet</span>
          )}
        </p>
      </header>
      {defects.length === 0 && (
        <p className="text-[15px] text-ink-soft">{inspected ? words.nothing : 'No defects recorded here.'}</p>
      )}
      {defects.length === 0 && !readOnly && onInspected && (
        <Button look="outline" className="mt-2" onClick={() => onInspected(!inspected)}>
          {inspected ? 'Undo' : words.nothingFound}
        </Button>
      )}
      <ul>
        {defects.map((defect, index) => {
          const prospect = prospects[after + index]
          return (
            <li key={index} className="border-b border-line py-1.5 text-[15px]">
              <div className="flex min-h-11 items-center gap-2">
                <span className="grow leading-snug">
                  <strong>{markTitle(region, defect.kind)}</strong>, {SEVERITY_NAME[defect.severity]},{' '}
                  {percent(region, defect.extentPercent)}
                  {defect.catchesNail && <span className="text-copper">, catches the nail</span>}
                  {defect.note && <span className="block text-sm text-ink-soft">{defect.note}</span>}
                  {prospect && (
                    <span
                      className={clsx(
                        'block text-sm',
                        prospect.verdict === 'stays' ? 'text-copper' : 'text-fern',
                      )}
                    >
                      {VERDICT_NAME[prospect.verdict]}
                      <span className="text-ink-soft">: {prospectText(region, prospect)}</span>
                    </span>
                  )}
                </span>
                <span className="text-ink-soft">
                  −{number(region, condition.costs[after + index]?.points ?? 0, 1)}
                </span>
                {!readOnly && (
                  <RemoveButton
                    what={markTitle(region, defect.kind)}
                    onRemove={() => onChange(defects.filter((_, position) => position !== index))}
                  />
                )}
              </div>
            </li>
          )
        })}
      </ul>
      {!readOnly && (
        <NewDefect
          others={others}
          onAdd={(defect, also) => {
            onChange([...defects, { ...defect, ...(at ? { at } : {}) }])
            if (also.length > 0) onAlso?.(defect, also)
          }}
        />
      )}
      {children}
    </section>
  )
}

const EXTENTS = [2, 5, 10, 25, 50, 75, 100] as const

/** What was said last of each kind on this screen: the next panel is mostly like the one before. */
const lastOf = new Map<DefectKind, { severity: Severity; extent: string }>()

function NewDefect({
  others,
  onAdd,
}: {
  others: readonly Panel[]
  onAdd: (defect: NotedDefect, also: readonly string[]) => void
}) {
  const [also, setAlso] = useState<readonly string[]>([])
  const region = useRegion()
  const [kind, setKind] = useState<DefectKind>()
  const [severity, setSeverity] = useState<Severity>(2)
  const [extent, setExtent] = useState('50')
  const [catchesNail, setCatchesNail] = useState(false)
  const [note, setNote] = useState('')
  const [error, setError] = useState<string>()
  const choose = (next: DefectKind) => {
    setKind(next)
    setError(undefined)
    // A chip is small and always a hole; most others spread.
    setCatchesNail(next === 'chips')
    const last = lastOf.get(next)
    setSeverity(last?.severity ?? 2)
    setExtent(last?.extent ?? (next === 'chips' || next === 'scratches' || next === 'dents' ? '5' : '50'))
    setAlso([])
  }
  const add = () => {
    const extentPercent = numberOf(extent)
    if (!kind) return
    if (!Number.isInteger(extentPercent) || extentPercent < 1 || extentPercent > 100)
      return setError('Give the extent in whole percent, 1 to 100.')
    setError(undefined)
    lastOf.set(kind, { severity, extent })
    onAdd({ kind, severity, extentPercent, catchesNail, ...(note.trim() ? { note: note.trim() } : {}) }, also)
    setKind(undefined)
    setNote('')
  }
  return (
    <div className="mt-3">
      <Choice
        label="What is it?"
        options={DEFECT_KINDS.map((each) => ({ value: each, name: markTitle(region, each) }))}
        value={kind}
        onChange={choose}
      />
      {kind && (
        <div ref={intoView} className="mt-3 space-y-3 rounded bg-lichen/60 p-3">
          <SeverityChoice value={severity} onChange={setSeverity} />
          <div className="flex flex-wrap items-end gap-x-3 gap-y-2">
            <Choice
              label="How much of the panel?"
              options={EXTENTS.map((each) => ({ value: String(each), name: `${each}` }))}
              value={extent}
              onChange={setExtent}
            />
            <div className="w-20">
              <Field label="Extent, %" {...(error ? { error } : {})}>
                <NumberInput whole value={extent} onChange={setExtent} />
              </Field>
            </div>
          </div>
          <label className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-6 accent-copper"
              checked={catchesNail}
              onChange={(event) => setCatchesNail(event.target.checked)}
            />
            A fingernail catches in it
          </label>
          <NoteField value={note} onChange={setNote} />
          {others.length > 0 && <AlsoOn others={others} also={also} onChange={setAlso} />}
          <Button className="w-full" onClick={add}>
            Add {markName(region, kind)}
            {also.length > 0 ? ` to ${also.length + 1} panels` : ''}
          </Button>
        </div>
      )}
    </div>
  )
}

/** Other panels that bear the same mark: chosen one by one, or all that are painted. */
function AlsoOn({
  others,
  also,
  onChange,
}: {
  others: readonly Panel[]
  also: readonly string[]
  onChange: (also: readonly string[]) => void
}) {
  const region = useRegion()
  const all = others.every(({ id }) => also.includes(id))
  return (
    <details>
      <summary className="flex min-h-11 items-center underline decoration-ink-soft/40 underline-offset-4">
        {also.length > 0 ? `The same on ${also.length} other panels` : 'The same on other panels'}
      </summary>
      <Button look="outline" onClick={() => onChange(all ? [] : others.map(({ id }) => id))}>
        {all ? 'None of them' : 'All panels'}
      </Button>
      <div className="mt-1 grid grid-cols-2">
        {others.map(({ id }) => (
          <label key={id} className="flex min-h-11 items-center gap-2 text-[15px]">
            <input
              type="checkbox"
              className="size-5 accent-fern"
              checked={also.includes(id)}
              onChange={(event) =>
                onChange(event.target.checked ? [...also, id] : also.filter((each) => each !== id))
              }
            />
            {staffPanel(region, id)}
          </label>
        ))}
      </div>
    </details>
  )
}
