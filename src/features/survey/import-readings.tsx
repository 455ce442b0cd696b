'use client'

import { Dialog } from 'radix-ui'
import { useMemo, useState } from 'react'
import {
  FILM_UNITS,
  guessMapping,
  type Mapping,
  MOST_LINES,
  panelTexts,
  type Readings,
  readingsFromTable,
} from '@/core/survey'
import { readTable, separatorName, type Table } from '@/core/table'
import { isMetal, type Panel } from '@/core/vehicle'
import { readingsFaultText, readingsFileText } from '@/text/en/readings-file'
import { staffPanel } from '@/text/en/staff-panels'
import { Button } from '@/ui/button'
import { Field } from '@/ui/field'
import { useRegion } from '@/ui/region'
import { ScrollStrip } from '@/ui/scroll-strip'

/** A larger file is no table of one car's readings, and is not even opened. */
const MOST_BYTES = 25 * 1024 * 1024
const PREVIEW_ROWS = 6
const FAULTS_SHOWN = 6

type Loaded = { name: string; table: Table; mapping: Mapping }
type Props = { panels: readonly Panel[]; onTake: (readings: Readings, how: 'add' | 'replace') => void }

/** Brings in a table from any gauge: what its columns mean is guessed, shown, and corrected by hand. */
export function ImportReadings({ panels, onTake }: Props) {
  const region = useRegion()
  const [open, setOpen] = useState(false)
  const [fault, setFault] = useState<string>()
  const [loaded, setLoaded] = useState<Loaded>()
  const [how, setHow] = useState<'add' | 'replace'>('add')
  const choose = async (file: File | undefined) => {
    setLoaded(undefined)
    if (!file) return
    if (file.size > MOST_BYTES)
      return setFault('This file is too large for the readings of one vehicle. Export this vehicle alone.')
    const table = readTable(new Uint8Array(await file.arrayBuffer()), MOST_LINES)
    if (!table.ok) return setFault(readingsFileText(region, table.error))
    setFault(undefined)
    setLoaded({ name: file.name, table: table.value, mapping: guessMapping(table.value, panels) })
  }
  const change = (part: Partial<Mapping>) =>
    setLoaded((before) => before && { ...before, mapping: { ...before.mapping, ...part } })
  const result = useMemo(
    () => loaded && readingsFromTable(loaded.table, loaded.mapping, panels),
    [loaded, panels],
  )
  const take = () => {
    if (!result?.ok) return
    onTake(onMetalOnly(result.value, panels).kept, how)
    setOpen(false)
    setLoaded(undefined)
  }
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button look="outline">Import readings (CSV)</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          className="sheet fixed top-1/2 left-1/2 z-50 max-h-[92dvh] w-[min(46rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-6"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-2xl">Import readings (CSV)</Dialog.Title>
          <p className="mt-1 text-[15px] text-ink-soft">
            Any gauge’s CSV or text file will do: commas, semicolons or tabs, µm or mil, point or comma.
          </p>
          <div className="mt-4">
            <Field label="File" error={fault}>
              <input
                type="file"
                accept=".csv,.txt,.tsv,text/csv,text/plain"
                className="field"
                onChange={(event) => void choose(event.target.files?.[0])}
              />
            </Field>
          </div>
          {loaded && <Columns loaded={loaded} onChange={change} />}
          {loaded && <PanelNames loaded={loaded} panels={panels} onChange={change} />}
          {result && <Outcome result={result} panels={panels} />}
          <div className="mt-5 flex flex-wrap items-center gap-3">
            <Button disabled={!result?.ok} onClick={take}>
              Take these readings
            </Button>
            <label className="flex min-h-11 items-center gap-2 text-[15px]">
              <input
                type="checkbox"
                className="size-5 accent-fern"
                checked={how === 'replace'}
                onChange={(event) => setHow(event.target.checked ? 'replace' : 'add')}
              />
              in place of those the panels have
            </label>
            <Dialog.Close className="ml-auto min-h-11 rounded px-4 underline underline-offset-4">
              Cancel
            </Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  )
}

type Edit = { loaded: Loaded; onChange: (part: Partial<Mapping>) => void }

function Columns({ loaded: { table, mapping }, onChange }: Edit) {
  const columns = Math.max(...table.rows.slice(0, 40).map((row) => row.length))
  const all = Array.from({ length: columns }, (_, at) => at)
  const name = (at: number) => (mapping.header && table.rows[0]?.[at]?.trim()) || `Column ${at + 1}`
  const meaning = (at: number) =>
    at === mapping.panelColumn ? 'panel' : mapping.readingColumns.includes(at) ? 'reading' : 'nothing'
  const setMeaning = (at: number, means: string) =>
    onChange({
      panelColumn: means === 'panel' ? at : mapping.panelColumn === at ? -1 : mapping.panelColumn,
      readingColumns: [
        ...mapping.readingColumns.filter((column) => column !== at),
        ...(means === 'reading' ? [at] : []),
      ].sort((a, b) => a - b),
    })
  return (
    <div className="mt-4">
      <p className="flex flex-wrap items-center gap-x-5 gap-y-2 text-[15px]">
        <span>Cut by {separatorName(table.delimiter)}.</span>
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-fern"
            checked={mapping.header}
            onChange={(event) => onChange({ header: event.target.checked })}
          />
          The first line is a header
        </label>
        <label className="flex min-h-11 items-center gap-2">
          Readings are in
          <select
            className="field w-24"
            value={mapping.unit}
            onChange={(event) => onChange({ unit: event.target.value as Mapping['unit'] })}
          >
            {FILM_UNITS.map((unit) => (
              <option key={unit} value={unit}>
                {unit === 'um' ? 'µm' : 'mil'}
              </option>
            ))}
          </select>
        </label>
      </p>
      <ScrollStrip label="What the columns mean" className="mt-2 rounded border border-line">
        <table className="w-full text-sm">
          <thead>
            <tr>
              {all.map((at) => (
                <th key={at} className="p-1.5 text-left align-bottom font-normal">
                  <span className="block font-head font-semibold">{name(at)}</span>
                  <select
                    className="field mt-1 min-w-28"
                    aria-label={`${name(at)} means`}
                    value={meaning(at)}
                    onChange={(event) => setMeaning(at, event.target.value)}
                  >
                    <option value="panel">the panel</option>
                    <option value="reading">a reading</option>
                    <option value="nothing">nothing</option>
                  </select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.slice(mapping.header ? 1 : 0, PREVIEW_ROWS + 1).map((row, line) => (
              <tr key={line} className="border-t border-line">
                {all.map((at) => (
                  <td key={at} className="px-2 py-1">
                    {row[at]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollStrip>
    </div>
  )
}

const LEAVE_OUT = ''

/** Names only the gauge knows, each to be given a panel or left out. */
function PanelNames({ loaded: { table, mapping }, panels, onChange }: Edit & { panels: readonly Panel[] }) {
  const region = useRegion()
  const known = new Set(
    panels.flatMap(({ id, name }) => [id, name.toLowerCase(), name.toLowerCase().replace(/\s+/g, '-')]),
  )
  if (mapping.panelColumn < 0) return null
  const strange = panelTexts(table, mapping).filter((text) => !known.has(text.toLowerCase()))
  if (strange.length === 0) return null
  return (
    <fieldset className="mt-4">
      <legend className="font-head font-semibold">Which panels are these?</legend>
      <div className="mt-1 grid gap-2 sm:grid-cols-2">
        {strange.slice(0, 40).map((text) => (
          <label key={text} className="flex items-center gap-2 text-[15px]">
            <span className="w-32 truncate">{text}</span>
            <select
              className="field"
              aria-label={`${text} is`}
              value={mapping.panelFor[text] ?? (mapping.panelFor[text] === null ? LEAVE_OUT : 'ask')}
              onChange={(event) =>
                onChange({
                  panelFor: {
                    ...mapping.panelFor,
                    [text]: event.target.value === LEAVE_OUT ? null : event.target.value,
                  },
                })
              }
            >
              <option value="ask" disabled>
                choose…
              </option>
              <option value={LEAVE_OUT}>leave out</option>
              {panels.map(({ id }) => (
                <option key={id} value={id}>
                  {staffPanel(region, id)}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </fieldset>
  )
}

function onMetalOnly(readings: Readings, panels: readonly Panel[]) {
  const metal = new Set(panels.filter(({ substrate }) => isMetal(substrate)).map(({ id }) => id))
  const entries = Object.entries(readings)
  return {
    kept: Object.fromEntries(entries.filter(([id]) => metal.has(id))) as Readings,
    plastic: entries.filter(([id]) => !metal.has(id)).map(([id]) => id),
  }
}

function Outcome({
  result,
  panels,
}: {
  result: ReturnType<typeof readingsFromTable>
  panels: readonly Panel[]
}) {
  const region = useRegion()
  if (!result.ok)
    return (
      <div role="alert" className="mt-4 text-[15px] text-copper">
        <p className="font-semibold">Nothing imported yet:</p>
        <ul>
          {result.error.slice(0, FAULTS_SHOWN).map((error) => {
            const text = readingsFaultText(region, error)
            return <li key={text}>{text}</li>
          })}
        </ul>
        {result.error.length > FAULTS_SHOWN && <p>and {result.error.length - FAULTS_SHOWN} more problems.</p>}
      </div>
    )
  const { kept, plastic: unread } = onMetalOnly(result.value, panels)
  const plastic = unread.map((id) => staffPanel(region, id))
  const count = Object.values(kept).reduce((sum, values) => sum + values.length, 0)
  const missing = panels.filter(({ id, substrate }) => isMetal(substrate) && !kept[id])
  return (
    <div role="status" className="mt-4 text-[15px]">
      <p className="font-semibold text-fern">
        {count} readings on {Object.keys(kept).length} panels.
      </p>
      {missing.length > 0 && (
        <p>No readings for {missing.map(({ name }) => name.toLowerCase()).join(', ')}.</p>
      )}
      {plastic.length > 0 && (
        <p className="text-copper">
          Left out, since no gauge reads them: {plastic.map((name) => name.toLowerCase()).join(', ')}.
        </p>
      )}
    </div>
  )
}
