'use client'

import { Refused } from '@/ui/refused'
import { spelt } from '@/text/en/spelling'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import { guessColumns } from '@/core/bring'
import { readTable, separatorName, type Table } from '@/core/table'
import type { LocalDay } from '@/core/time'
import { SHAPE_NAME, SHAPES, type Shape } from '@/core/vehicle'
import { checkList, dropBroughtList, takeList } from '@/server/bring/bring-actions'
import { type BringReading, orderOf } from '@/text/bring'
import { listFileText } from '@/text/en/bring'
import { counted } from '@/text/en/counted'
import { Button } from '@/ui/button'
import { Choice } from '@/ui/choice'
import { Field } from '@/ui/field'
import { freshKey } from '@/ui/fresh-key'
import { useRegion } from '@/ui/region'
import { act, reach, useAction } from '@/ui/use-action'
import { ColumnMapper } from './column-mapper'
import { FaultyRows } from './faulty-rows'
import { type Outcome, OutcomeSummary } from './outcome'
import { type ReadList, readList, sendList } from './read-list'

const MOST_LINES = 100_001
const MOST_BYTES = 80 * 1024 * 1024

/** So many rows are shown as they were read. */
const FIRST_ROWS = 4

type Loaded = { name: string; table: Table; header: boolean }
type Way = Pick<BringReading, 'columns' | 'shape' | 'threeDigits' | 'dayOrder'>
type Busy = { what: 'Reading' | 'Sending' | 'Comparing'; share: number }
type Ready = { id: string; rows: number; outcome: Outcome }

/** Rows up to the last that holds anything. */
const withoutEnd = (rows: string[][]) =>
  rows.slice(0, rows.findLastIndex((cells) => cells.some((cell) => cell.trim() !== '')) + 1)

/** Brings a list from another program: its columns are said, what it would bring is seen, and only then is it taken over. */
export function BringList({ today }: { today: LocalDay }) {
  const region = useRegion()
  const router = useRouter()
  const [fault, setFault] = useState<string>()
  const [loaded, setLoaded] = useState<Loaded>()
  const [way, setWay] = useState<Way>({ columns: {}, shape: 'hatchback' })
  const [read, setRead] = useState<ReadList>()
  const [ready, setReady] = useState<Ready>()
  const [busy, setBusy] = useState<Busy>()
  const [brought, setBrought] = useState<string>()
  const stop = useRef(false)
  const { run, pending, refusal, clear } = useAction()

  const forget = () => {
    if (ready) void act(dropBroughtList, { id: ready.id })
    setRead(undefined)
    setReady(undefined)
    setFault(undefined)
    clear()
  }
  const choose = async (file: File | undefined) => {
    forget()
    setLoaded(undefined)
    setBrought(undefined)
    if (!file) return
    if (file.size > MOST_BYTES) return setFault('This file is larger than 80 MB. Split it and bring the parts.')
    const table = readTable(new Uint8Array(await file.arrayBuffer()), MOST_LINES)
    if (!table.ok) return setFault(listFileText(table.error))
    const rows = withoutEnd(table.value.rows)
    const columns = guessColumns(rows[0] ?? [])
    setLoaded({ name: file.name, table: { ...table.value, rows }, header: Object.keys(columns).length > 0 })
    setWay({ columns, shape: 'hatchback' })
  }
  const change = (changed: Partial<Way>) => {
    forget()
    setWay({ ...way, ...changed })
  }
  const look = async () => {
    if (!loaded) return
    forget()
    stop.current = false
    const working = {
      stopped: () => stop.current,
      progress: (what: Busy['what']) => (share: number) => setBusy({ what, share }),
    }
    const rows = loaded.header ? loaded.table.rows.slice(1) : loaded.table.rows
    const list = await readList(
      rows,
      loaded.header ? 2 : 1,
      { ...way, region, today },
      { stopped: working.stopped, progress: working.progress('Reading') },
    )
    setRead(list)
    if (list && list.entries.length > 0 && list.ambiguousPrices === 0) {
      const id = freshKey()
      const sent = await sendList({ id, name: loaded.name.slice(0, 200) }, list.entries, {
        stopped: working.stopped,
        progress: working.progress('Sending'),
      })
      if (sent.ok) {
        setBusy({ what: 'Comparing', share: 1 })
        const found = await reach(checkList({ id }))
        if (found.ok) setReady({ id, rows: found.value.rows, outcome: found.value })
        else setFault(found.message)
      } else {
        setFault(sent.message)
        void act(dropBroughtList, { id })
      }
    }
    setBusy(undefined)
  }
  const take = ({ id, rows }: Ready) =>
    run(takeList, { id, rows }, ({ customers, vehicles, past }) => {
      setBrought(
        `Brought: ${counted(region, customers, 'customer')}, ${counted(region, vehicles, 'vehicle')}, ${counted(region, past, 'past job')}.`,
      )
      setLoaded(undefined)
      setRead(undefined)
      setReady(undefined)
      router.refresh()
    })
  return (
    <div>
      <Field
        label="List (CSV)"
        hint="As any other program or spreadsheet writes it: commas, semicolons or tabs, up to 100,000 rows."
        error={fault}
      >
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          className="field"
          onChange={(event) => void choose(event.target.files?.[0])}
        />
      </Field>
      {brought && (
        <p role="status" className="mt-4 font-semibold text-fern">
          {brought}
        </p>
      )}
      {loaded && (
        <>
          <p className="mt-4 text-[15px] text-ink-soft">
            {loaded.name}: {counted(region, loaded.table.rows.length, 'line')}, cut by{' '}
            {separatorName(loaded.table.delimiter)}. Say what each column holds.
          </p>
          <ColumnMapper
            table={loaded.table}
            header={loaded.header}
            columns={way.columns}
            onHeader={(header) => {
              forget()
              setLoaded({ ...loaded, header })
            }}
            onChange={(columns) => change({ columns })}
          />
          {way.columns.day !== undefined && (
            <div className="mt-4">
              <Choice
                label="Days in numbers are written"
                options={[
                  { value: 'day-first', name: '31/12/2026, the day first' },
                  { value: 'month-first', name: '12/31/2026, the month first' },
                ]}
                value={orderOf({ region, ...way })[0] === 'month' ? 'month-first' : 'day-first'}
                onChange={(dayOrder) => change({ dayOrder })}
              />
            </div>
          )}
          <div className="mt-4 max-w-sm">
            <Field label="Body shape where the list names none">
              <select
                className="field"
                value={way.shape}
                onChange={(event) => change({ shape: event.target.value as Shape })}
              >
                {SHAPES.map((shape) => (
                  <option key={shape} value={shape}>
                    {spelt(region, SHAPE_NAME[shape])}
                  </option>
                ))}
              </select>
            </Field>
          </div>
          {(way.threeDigits || (read && read.ambiguousPrices > 0)) && (
            <div className="mt-4">
              <Choice
                label="A price such as “1.234” or “1,234” means"
                options={[
                  { value: 'thousands', name: 'a thousand and more' },
                  { value: 'decimals', name: 'one and a bit' },
                ]}
                value={way.threeDigits ?? ''}
                onChange={(threeDigits) => change({ threeDigits: threeDigits as 'thousands' | 'decimals' })}
              />
            </div>
          )}
          {!ready && (
            <div className="mt-5 flex flex-wrap items-center gap-4">
              <Button disabled={busy !== undefined || way.columns.name === undefined} onClick={() => void look()}>
                See what it would bring
              </Button>
              {way.columns.name === undefined && (
                <p className="text-[15px] text-ink-soft">One column must hold the customer’s name.</p>
              )}
              {busy && (
                <>
                  <p role="status">
                    {busy.what} … {Math.round(100 * busy.share)}%
                  </p>
                  <Button
                    look="quiet"
                    onClick={() => {
                      stop.current = true
                    }}
                  >
                    Stop
                  </Button>
                </>
              )}
            </div>
          )}
          {read && read.faulty.length > 0 && (
            <FaultyRows
              rows={read.faulty}
              header={loaded.header ? loaded.table.rows[0]! : []}
              columns={way.columns}
              name={loaded.name}
            />
          )}
          {read && read.entries.length === 0 && (
            <p role="alert" className="mt-4 text-copper">
              No row can be brought. Look at what each column holds.
            </p>
          )}
          {ready && (
            <>
              <OutcomeSummary outcome={ready.outcome} first={read?.entries.slice(0, FIRST_ROWS) ?? []} />
              <div className="mt-5 flex flex-wrap items-center gap-4">
                <Button disabled={pending} onClick={() => take(ready)}>
                  Bring it in
                </Button>
                <Button look="quiet" onClick={forget}>
                  Cancel
                </Button>
                <Refused refusal={refusal} />
              </div>
            </>
          )}
        </>
      )}
    </div>
  )
}
