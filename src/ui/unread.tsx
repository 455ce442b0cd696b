/** Says which rows of a list cannot be read, so that nobody takes the list for whole. */
export function Unread({ names }: { names: readonly string[] }) {
  if (names.length === 0) return null
  return (
    <p role="status" className="my-3 border-l-4 border-copper bg-copper/10 px-4 py-3">
      {names.length === 1 ? 'One entry' : `${names.length} entries`} of this list cannot be read:{' '}
      {names.join(', ')}. Nothing of it is lost. Whoever looks after the machine finds why in the log.
    </p>
  )
}
