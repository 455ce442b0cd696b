import type { PAPERS } from '@/features/papers'
import { ComputeThread } from '@/server/compute/thread'

type Papers = typeof PAPERS

const shared = globalThis as unknown as { fernYardPress?: ComputeThread }

/** A paper as PDF, set in a thread of its own: pages are answered meanwhile. */
export async function pdf<Name extends keyof Papers>(
  name: Name,
  ...paper: Parameters<Papers[Name]>
): Promise<Uint8Array<ArrayBuffer>> {
  shared.fernYardPress ??= new ComputeThread()
  return (await shared.fernYardPress.ask(name, ...paper)) as Uint8Array<ArrayBuffer>
}

/** What every paper is sent with: read in the browser, and never kept on the way. */
export const pdfHeaders = (name: string) => ({
  'content-type': 'application/pdf',
  'content-disposition': `inline; filename="${name}.pdf"`,
  'cache-control': 'no-store',
})
