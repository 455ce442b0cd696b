import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { expect, test, vi } from 'vitest'
import { HISTORY_FORMAT, type HistoryStay, type VehicleHistory } from '@/core/history'
import { instantOrThrow, localDayOrThrow } from '@/core/time'
import { DUBLIN } from '@/text/region.fixture'
import { historyPdf } from './history-pdf'

const MOST_LAYERS = 50

const stay: HistoryStay = {
  day: localDayOrThrow('2026-05-04'),
  homeOn: localDayOrThrow('2026-05-08'),
  kind: 'work',
  title: 'Boathouse',
  film: [],
  gloss: [],
  work: [],
  layers: Array.from({ length: MOST_LAYERS }, (_, at) => ({
    product: `Layer of many, ${at + 1}`,
    kind: 'base',
    lot: `L-${at + 1}`,
    surface: 'paint',
    endedAt: instantOrThrow('2026-05-07T15:00:00Z'),
    lifeMonths: 36,
    firstVisitMonths: 6,
  })),
  looks: [],
  photographs: [],
}
const history = {
  format: HISTORY_FORMAT,
  writtenOn: localDayOrThrow('2027-01-13'),
  shop: 'Fern Yard',
  vehicle: {
    plate: 'IM 903',
    vin: '',
    make: 'Marl',
    model: 'Puffin',
    shape: 'coupe',
    colour: 'Slate',
    colourCode: '',
    paintSystem: 'clear-over-base',
    hardness: 'medium',
  },
  stays: [stay, { ...stay, day: localDayOrThrow('2026-11-02'), title: 'Headland' }],
  ledger: [],
} as unknown as VehicleHistory

/** The words of each page with how high they stand, from its foot, points. */
async function printed(pdf: Buffer): Promise<{ text: string; y: number }[][]> {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: true, verbosity: 0 })
    .promise
  const pages = []
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent()
    pages.push(items.flatMap((item) => ('str' in item ? [{ text: item.str, y: item.transform[5] }] : [])))
  }
  await document.destroy()
  return pages
}

test('a stay that fills more than a page goes on on the next one, and nothing of it runs off the paper', async () => {
  const warned = [vi.spyOn(console, 'warn'), vi.spyOn(console, 'error')]
  const pages = await printed(await historyPdf(history, DUBLIN))
  for (const said of warned) expect(said).not.toHaveBeenCalled()
  expect(pages.length).toBeGreaterThan(2)
  for (const words of pages) for (const { text, y } of words) expect(y, text).toBeGreaterThan(20)
  const all = pages.map((words) =>
    words
      .map(({ text }) => text)
      .join(' ')
      .replace(/\s+/g, ' '),
  )
  for (let at = 1; at <= MOST_LAYERS; at++)
    expect(all.join(' ').split(`lot L-${at},`).length - 1, `layer ${at}`).toBe(2)
  // A heading stays with what it heads.
  for (const page of all) expect(page).not.toMatch(/Headland\s*(Fern Yard.*)?$/)
})

test('of a very long life the latest stays are told, and how many more there are in the file', async () => {
  const short = (at: number): HistoryStay => ({ ...stay, title: `Visit ${at}`, layers: [] })
  const long = { ...history, stays: Array.from({ length: 1000 }, (_, at) => short(at)) }
  const text = (await printed(await historyPdf(long, DUBLIN))).flat().map((each) => each.text)
  const all = text.join(' ').replace(/\s+/g, ' ')
  expect(all).toContain('940 earlier stays are in the file')
  expect(all).toContain('Visit 940 ')
  expect(all).toContain('Visit 999 ')
  expect(all).not.toContain('Visit 939 ')
})

test('what was measured stands in one sentence', async () => {
  const read = (phase: 'before' | 'after', values: number[]) => ({ panel: 'bonnet', phase, values })
  const film = [read('before', [118, 120]), read('after', [116])]
  const measuredStay = { ...stay, layers: [], film: film as unknown as HistoryStay['film'] }
  const pages = await printed(await historyPdf({ ...history, stays: [measuredStay] }, DUBLIN))
  expect(pages).toHaveLength(1)
  const all = pages[0]!.map(({ text }) => text).join('')
  expect(all).toContain('Paint depth, mean of 3 readings')
})
