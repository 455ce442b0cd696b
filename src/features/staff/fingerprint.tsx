/** A fingerprint in two rows, as devices show it. */
export function Fingerprint({ children }: { children: string }) {
  const pairs = children.split(':')
  const half = pairs.length / 2
  return (
    <p className="mt-2 text-xs tabular-nums tracking-wide leading-6 break-words">
      {pairs.slice(0, half).join(' ')}
      <br />
      {pairs.slice(half).join(' ')}
    </p>
  )
}
