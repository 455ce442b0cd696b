'use client'

import { BRING_FIELDS, type BringColumns, type BringField } from '@/core/bring'
import type { Table } from '@/core/table'
import { BRING_FIELD_NAME } from '@/text/en/bring'
import { ScrollStrip } from '@/ui/scroll-strip'

const PREVIEW_ROWS = 4
const LOOKED_AT = 40
const NOTHING = ''

type Props = {
  table: Table
  header: boolean
  columns: BringColumns
  onHeader: (header: boolean) => void
  onChange: (columns: BringColumns) => void
}

/** The first rows of a list, with what each column holds above it. */
export function ColumnMapper({ table, header, columns, onHeader, onChange }: Props) {
  const count = Math.max(...table.rows.slice(0, LOOKED_AT).map((row) => row.length))
  const all = Array.from({ length: count }, (_, at) => at)
  const heads = header ? table.rows[0]! : []
  const nameOf = (at: number) => heads[at]?.trim() || `Column ${at + 1}`
  const holds = (at: number) => BRING_FIELDS.find((field) => columns[field] === at)
  const say = (at: number, field: BringField | typeof NOTHING) => {
    const others = Object.entries(columns).filter(([each, column]) => each !== field && column !== at)
    onChange({ ...Object.fromEntries(others), ...(field === NOTHING ? {} : { [field]: at }) })
  }
  return (
    <>
      <label className="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          className="size-5 accent-fern"
          checked={header}
          onChange={(event) => onHeader(event.target.checked)}
        />
        The first line names the columns
      </label>
      <ScrollStrip label="What each column holds" className="sheet mt-2">
        <table className="text-[15px]">
          <thead>
            <tr>
              {all.map((at) => (
                <th key={at} className="min-w-52 p-2 text-left align-top font-normal">
                  <label className="block">
                    <span className="block truncate font-head text-sm font-semibold">{nameOf(at)}</span>
                    <select
                      className="field mt-1"
                      aria-label={`${nameOf(at)} holds`}
                      value={holds(at) ?? NOTHING}
                      onChange={(event) => say(at, event.target.value as BringField | typeof NOTHING)}
                    >
                      <option value={NOTHING}>Nothing we need</option>
                      {BRING_FIELDS.map((field) => (
                        <option key={field} value={field}>
                          {BRING_FIELD_NAME[field]}
                        </option>
                      ))}
                    </select>
                  </label>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.slice(header ? 1 : 0, PREVIEW_ROWS + (header ? 1 : 0)).map((row, line) => (
              <tr key={line} className="border-t border-line">
                {all.map((at) => (
                  <td
                    key={at}
                    className={`max-w-60 truncate px-3 py-1.5 ${holds(at) ? '' : 'text-ink-soft'}`}
                  >
                    {row[at]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollStrip>
    </>
  )
}
