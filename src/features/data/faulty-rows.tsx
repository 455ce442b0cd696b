'use client'

import type { BringColumns } from '@/core/bring'
import { writeCsv } from '@/core/csv'
import { BRING_FIELD_NAME, bringFaultText } from '@/text/en/bring'
import { counted } from '@/text/en/counted'
import { Button } from '@/ui/button'
import { useRegion } from '@/ui/region'
import type { RowFault } from './read-list'

const SHOWN = 8

type Props = {
  rows: readonly RowFault[]
  header: readonly string[]
  columns: BringColumns
  /** Of the file they came from. */
  name: string
}

/** Rows that cannot be brought, each with what is wrong in which column; all of them can be kept to be put right. */
export function FaultyRows({ rows, header, columns, name }: Props) {
  const region = useRegion()
  const columnName = (field: keyof BringColumns) => {
    const at = columns[field]
    return at === undefined ? BRING_FIELD_NAME[field] : header[at]?.trim() || `column ${at + 1}`
  }
  const keep = () => {
    const width = Math.max(header.length, ...rows.map(({ cells }) => cells.length))
    const heads = Array.from({ length: width }, (_, at) => header[at] ?? '')
    const told = rows.map(({ cells, faults }) => [
      ...heads.map((_, at) => cells[at] ?? ''),
      faults.map((fault) => `${columnName(fault.field)}: ${bringFaultText(fault)}`).join('; '),
    ])
    const file = new Blob([writeCsv([...heads, 'What is wrong'], told)], { type: 'text/csv;charset=utf-8' })
    const link = document.createElement('a')
    link.href = URL.createObjectURL(file)
    link.download = `left-out-${name.replace(/\.\w+$/, '')}.csv`
    link.click()
    URL.revokeObjectURL(link.href)
  }
  return (
    <section className="mt-5 border-l-4 border-copper pl-4" aria-label="Rows left out">
      <h3 className="text-lg">{counted(region, rows.length, 'row')} cannot be brought and will be left out</h3>
      <ul className="mt-1 space-y-1 text-[15px]">
        {rows.slice(0, SHOWN).map(({ line, faults }) => (
          <li key={line}>
            <strong>Line {line}</strong>,{' '}
            {faults.map((fault) => `${columnName(fault.field)}: ${bringFaultText(fault)}`).join('; ')}.
          </li>
        ))}
      </ul>
      {rows.length > SHOWN && <p className="text-[15px] text-ink-soft">And {rows.length - SHOWN} more.</p>}
      <Button look="outline" className="mt-2" onClick={keep}>
        Keep these rows as a file
      </Button>
    </section>
  )
}
