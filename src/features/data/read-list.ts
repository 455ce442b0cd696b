import { type BringEntry, type BringFault, ROWS_A_PIECE } from '@/core/bring'
import { type BringReading, readBrought } from '@/text/bring'

/** Lists are read and sent in pieces: the page answers meanwhile, shows how far it is and can be stopped. */

export type RowFault = { line: number; cells: readonly string[]; faults: BringFault[] }
export type ReadList = { entries: BringEntry[]; faulty: RowFault[]; ambiguousPrices: number }

const ROWS_A_SLICE = 1_500

const breathe = () => new Promise<void>((resolve) => setTimeout(resolve))

const isEmpty = (cells: readonly string[]) => cells.every((cell) => cell.trim() === '')

/**
 * Reads all rows of a table; `first` is the line of the first of them. Nothing where `stopped` says so in the midst of it.
 * `progress` gets the share that is done, 0 to 1.
 */
export async function readList(
  rows: readonly (readonly string[])[],
  first: number,
  reading: BringReading,
  { progress, stopped }: { progress: (share: number) => void; stopped: () => boolean },
): Promise<ReadList | undefined> {
  const list: ReadList = { entries: [], faulty: [], ambiguousPrices: 0 }
  for (let from = 0; from < rows.length; from += ROWS_A_SLICE) {
    if (stopped()) return undefined
    for (const [at, cells] of rows.slice(from, from + ROWS_A_SLICE).entries()) {
      if (isEmpty(cells)) continue
      const line = first + from + at
      const read = readBrought(cells, line, reading)
      if (read.ok) list.entries.push(read.value)
      else {
        list.faulty.push({ line, cells, faults: read.error })
        if (read.error.some(({ code }) => code === 'ambiguous-price')) list.ambiguousPrices += 1
      }
    }
    progress(Math.min(1, (from + ROWS_A_SLICE) / rows.length))
    await breathe()
  }
  return list
}

export type Sent = { ok: true } | { ok: false; message: string }

/** Sets a list down at the shop, piece by piece. A piece whose answer is lost is sent again, and doubles nothing. */
export async function sendList(
  { id, name }: { id: string; name: string },
  entries: readonly BringEntry[],
  { progress, stopped }: { progress: (share: number) => void; stopped: () => boolean },
): Promise<Sent> {
  for (let from = 0; from < entries.length; from += ROWS_A_PIECE) {
    if (stopped()) return { ok: false, message: 'Stopped. Nothing was brought.' }
    const sent = await sendPiece(id, { name, entries: entries.slice(from, from + ROWS_A_PIECE) })
    if (!sent.ok) return sent
    progress(Math.min(1, (from + ROWS_A_PIECE) / entries.length))
  }
  return { ok: true }
}

const TRIES = 3
const AGAIN_AFTER_MS = 800

async function sendPiece(id: string, piece: object): Promise<Sent> {
  for (let turn = 1; ; turn++) {
    try {
      const answer = await fetch(`/api/bring/${id}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(piece),
      })
      if (answer.ok) return { ok: true }
      const told = (await answer.json().catch(() => ({}))) as { message?: string }
      return { ok: false, message: told.message ?? 'The shop could not take the list. Try again.' }
    } catch {
      if (turn === TRIES)
        return {
          ok: false,
          message: 'No reply from the server. Nothing was brought; try again.',
        }
      await new Promise((resolve) => setTimeout(resolve, AGAIN_AFTER_MS))
    }
  }
}
