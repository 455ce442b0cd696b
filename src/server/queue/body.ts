/** Reads a body up to a limit and no further, whatever its header says; undefined where there is more. Bytes. */
export async function bodyOf(request: Request, most: number): Promise<Buffer | undefined> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return undefined
  const chunks: Uint8Array[] = []
  let length = 0
  for await (const chunk of request.body ?? []) {
    length += chunk.length
    if (length > most) return undefined
    chunks.push(chunk)
  }
  return Buffer.concat(chunks)
}
