import { Zip, ZipDeflate, ZipPassThrough } from 'fflate'

/** A file of an archive. What is packed by itself, such as a photograph, is not packed again. */
export type ArchiveFile = { name: string; bytes: Uint8Array; packed?: boolean }

const FIRST_DAY = new Date('1980-01-01T12:00:00Z')

/** A zip archive (APPNOTE 6.3), a piece at a time: no more of it is in memory than the file it is at. */
export async function* zipped(files: AsyncIterable<ArchiveFile>): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = []
  const zip = new Zip((error, piece) => {
    if (error) throw error
    ready.push(piece)
  })
  for await (const { name, bytes, packed } of files) {
    const file = packed ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 })
    // The same shop gives the same archive, whenever it is asked.
    file.mtime = FIRST_DAY
    zip.add(file)
    file.push(bytes, true)
    yield* ready.splice(0)
  }
  zip.end()
  yield* ready.splice(0)
}
