import { randomUUID } from 'node:crypto'
import { type JobId, toJobId } from '@/core/ids'
import { Shop } from '../e2e/shop'

/**
 * A shop in which everybody is at a screen at once: fifty who read, ten who write, for a minute. A reader opens a page, looks at it for
 * some seconds and opens the next; a writer stands at a car and taps. In the midst somebody asks for a plan of everything and for a PDF.
 */

const CLOCK = '2027-01-13T10:20:00Z'
const READERS = 50
const WRITERS = 10
const LASTS_MS = 60_000
/** So long a page is looked at, and so long a panel is worked between two taps, ms. */
const LOOKS_MS = 8_000
const TAPS_MS = 4_000
/** And so often the desk works packages out and prints, ms. */
const DESK_MS = 10_000

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

class Times {
  private readonly taken = new Map<string, number[]>()
  async of(what: string, run: () => Promise<Response>): Promise<Response> {
    const from = performance.now()
    const answer = await run()
    await answer.clone().arrayBuffer()
    if (!answer.ok) throw new Error(`${what}: ${answer.status}`)
    this.taken.set(what, [...(this.taken.get(what) ?? []), performance.now() - from])
    return answer
  }
  rows() {
    return [...this.taken].map(([what, all]) => {
      const sorted = all.toSorted((a, b) => a - b)
      const share = (p: number) => Math.round(sorted[Math.floor(p * (sorted.length - 1))]!)
      return { what, asked: all.length, 'p50 ms': share(0.5), 'p95 ms': share(0.95), 'most ms': share(1) }
    })
  }
}

export async function loadBench(): Promise<void> {
  const shop = Shop.demo(CLOCK)
  await shop.open(CLOCK)
  const times = new Times()
  const page = (what: string, at: string) => times.of(what, () => fetch(shop.url + at))
  const yard = await (await fetch(shop.url)).text()
  const jobs = [...new Set([...yard.matchAll(/\/jobs\/([0-9a-f-]{36})\//g)].map(([, id]) => toJobId(id!)))]
  const vehicle = (await (await fetch(`${shop.url}/vehicles`)).text()).match(/\/vehicles\/[0-9a-f-]{36}/)![0]
  // What is looked at most is asked for most.
  const pages = [
    ...jobs.flatMap((id) => [
      ['yard', '/'],
      ['card', `/jobs/${id}/work`],
      ['today', '/work'],
      ['card', `/jobs/${id}/work`],
      ['yard', '/'],
      ['schedule', '/schedule'],
      ['vehicles', '/vehicles'],
    ]),
  ] as [string, string][]
  for (const [, at] of pages) await fetch(shop.url + at)
  const until = Date.now() + LASTS_MS

  const reader = async (seat: number) => {
    await wait((seat * LOOKS_MS) / READERS)
    for (let turn = seat; Date.now() < until; turn++) {
      const [what, at] = pages[turn % pages.length]!
      const from = Date.now()
      await page(what, at)
      await wait(Math.max(0, LOOKS_MS - (Date.now() - from)))
    }
  }
  const tap = async (device: string, number: number, job: JobId) => {
    const act = { kind: 'towel', operation: 'wash' }
    const entry = { id: randomUUID(), number, kind: 'act', job, by: 'brida', act, ago: 0 }
    const answer = await times.of('act', () =>
      fetch(`${shop.url}/api/queue`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: shop.url },
        body: JSON.stringify({ device, waiting: [entry] }),
      }),
    )
    const { next } = (await answer.json()) as { next: number }
    if (next !== number + 1) throw new Error(`an act was lost: ${next} after ${number}`)
  }
  const writer = async (seat: number) => {
    const device = randomUUID()
    await wait((seat * TAPS_MS) / WRITERS)
    for (let number = 1; Date.now() < until; number++) {
      await tap(device, number, jobs[seat % jobs.length]!)
      await wait(TAPS_MS)
    }
  }
  // Its packages are planned one by one, and its paper is drawn: neither may hold up the others.
  const desk = async () => {
    while (Date.now() < until - DESK_MS) {
      await wait(DESK_MS)
      await page('packages', `/jobs/${jobs[0]}/plan`)
      await page('a paper', `${vehicle}/history.pdf`)
    }
  }
  try {
    await Promise.all([
      desk(),
      ...Array.from({ length: READERS }, (_, seat) => reader(seat)),
      ...Array.from({ length: WRITERS }, (_, seat) => writer(seat)),
    ])
    console.log(`\n${READERS} readers, ${WRITERS} writers, ${LASTS_MS / 1000} s`)
    console.table(times.rows())
  } finally {
    await shop.remove()
  }
}
