import { atOneMoment } from '../db/connection'
import { type ArchiveFile, zipped } from './archive'
import { type TakenTable, tablesToTake } from './take-along'

/** An archive of the shop as it stands at one moment. */
export async function archive(
  name: string,
  files: (tables: readonly TakenTable[]) => AsyncIterable<ArchiveFile>,
): Promise<Response> {
  return download(name, files(await atOneMoment(tablesToTake)))
}

/** Files as an archive, sent as fast as it is taken. */
export function download(name: string, files: AsyncIterable<ArchiveFile>): Response {
  const pieces = zipped(files)
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await pieces.next()
      if (done) controller.close()
      else controller.enqueue(value)
    },
    async cancel() {
      await pieces.return(undefined)
    },
  })
  return new Response(body, {
    headers: {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}.zip"`,
      'cache-control': 'no-store',
    },
  })
}
