import type { PAPERS } from '@/features/papers'
import { type Beside, BrokenOff } from '@/server/compute/beside'
import { computeThread } from '@/server/compute/thread'
import { KeptPapers, PressBusy } from './kept-papers'

type Papers = typeof PAPERS

const shared = globalThis as unknown as { fernYardPress?: Beside; fernYardPapers?: KeptPapers }

/** A paper is broken off after so long, ms: one of a car's whole life takes some ten seconds. */
const PATIENCE_MS = 60_000

/** A paper as PDF, set in a thread of its own: pages are answered meanwhile. */
async function pdf<Name extends keyof Papers>(
  name: Name,
  ...paper: Parameters<Papers[Name]>
): Promise<Uint8Array<ArrayBuffer>> {
  shared.fernYardPapers ??= new KeptPapers()
  shared.fernYardPress ??= computeThread({ patienceMs: PATIENCE_MS })
  const press = shared.fernYardPress
  return shared.fernYardPapers.of(
    name,
    paper,
    async () => (await press.ask(name, ...paper)) as Uint8Array<ArrayBuffer>,
  )
}

/** A paper to be read in the browser, under the name of its file; where too many are asked for at once, when to ask again. */
export async function pdfResponse<Name extends keyof Papers>(
  { file, headers = {} }: { file: string; headers?: Record<string, string> },
  name: Name,
  ...paper: Parameters<Papers[Name]>
): Promise<Response> {
  try {
    return new Response(await pdf(name, ...paper), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${file}.pdf"`,
        // Never kept on the way.
        'cache-control': 'no-store',
        ...headers,
      },
    })
  } catch (error) {
    if (error instanceof BrokenOff)
      return new Response('This paper took longer than a minute and was broken off. Try again in a while.', {
        status: 503,
        headers: { 'retry-after': '60' },
      })
    if (!(error instanceof PressBusy)) throw error
    return new Response('Many papers are being set just now. Try again in a moment.', {
      status: 503,
      headers: { 'retry-after': '10' },
    })
  }
}
